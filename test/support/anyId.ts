import postgres from 'postgres';

/** The household of a database that has one. */
export async function anyId(ownerUrl: string): Promise<string> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {}, connection: { 'brote.door': 'open' } });
  try {
    const [row] = await sql<{ household_id: string }[]>`select household_id from households limit 1`;
    return row!.household_id;
  } finally {
    await sql.end();
  }
}
