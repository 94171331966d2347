/** What a record of each table is called. */
const OF: Readonly<Record<string, string>> = {
  households: 'household',
  places: 'place',
  containers: 'container',
  own_crops: 'crop',
  methods: 'method',
  media: 'medium',
  lots: 'lot of seed',
  eaters: 'eater',
  tastes: 'taste',
  standing_orders: 'standing order',
  prices: 'price',
  reminders: 'reminder',
  sowings: 'sowing'
};

/** Which record could not be read, and why. */
export function unreadableWords({
  table,
  name,
  id,
  fault
}: {
  table: string;
  name: string | null;
  id: string;
  fault: string;
}): string {
  const what = OF[table] ?? 'record';
  return `The ${what} ${name ? `“${name}”` : id}: ${fault}`;
}
