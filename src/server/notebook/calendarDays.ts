/** Calendar days between two columns, as everything that is shown counts them: in the household's zone. */
export const calendarDays = (from: string, until: string): string => {
  const day = (column: string) =>
    `(${column} at time zone (select zone from households where household_id = current_household()))::date`;
  return `(${day(until)} - ${day(from)})`;
};
