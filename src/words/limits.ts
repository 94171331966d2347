/** What a household has too many of, by table, and what to do about it. */
const OF: Readonly<Record<string, (most: number) => string>> = {
  places: (most) => `You already have ${most} places. Change one you no longer use.`,
  containers: (most) => `You already have ${most} containers. Put one away before you add another.`,
  own_crops: (most) => `You already have ${most} crops of your own. Put one away before you add another.`,
  methods: (most) => `You already have ${most} methods of your own. Put one away before you add another.`,
  media: (most) => `You already have ${most} media. Put one away before you add another.`,
  lots: (most) => `You already have ${most} lots of seed. Put an empty one away before you add another.`,
  devices: (most) => `You already have ${most} sensors. Remove one before you add another.`,
  standing_orders: (most) => `You already have ${most} standing orders. End one before you add another.`,
  sowings: (most) =>
    `You already have ${most} sowings planned or growing. Cut, end or cancel one before you plan another.`,
  members: (most) => `Your household already has ${most} people.`,
  invites: (most) => `${most} invitations are open already. Take one back before you make another.`,
  sitters: (most) =>
    `${most} people can already look after your trays. Take an address back before you add another.`,
  feeds: (most) => `You already have ${most} calendar addresses. Take one away before you add another.`,
  channels: (most) => `You already have ${most} ways to be reminded. Take one away before you add another.`
};

/** That there is no room for another of something, and what to do about it. */
export const limitWords = (table: string, most: number): string =>
  OF[table]?.(most) ?? `You already have ${most} of these. Remove one before you add another.`;
