import postgres from 'postgres';

/** All households of a database: the owner's to ask, for what is done to each of them in turn. */
export async function allHouseholds(ownerUrl: string): Promise<string[]> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {}, connection: { 'brote.door': 'open' } });
  try {
    const rows = await sql<{ household_id: string }[]>`select household_id from households order by name`;
    return rows.map(({ household_id }) => household_id);
  } finally {
    await sql.end();
  }
}
