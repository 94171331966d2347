import { t, table } from '$messages/t.ts';
/** What a record of each table is called. */
const OF: Readonly<Record<string, string>> = table('errors.of');

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
  const what = OF[table] ?? t('errors.record');
  return t('errors.whatValueFault', { what, value: name ? `“${name}”` : id, fault });
}
