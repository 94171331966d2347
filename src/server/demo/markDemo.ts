import postgres from 'postgres';

/** Makes a household the demo, which anyone may enter and whose clock can be moved: the owner's to say. */
export async function markDemo(ownerUrl: string, householdId: string): Promise<void> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {}, connection: { 'brote.door': 'open' } });
  try {
    await sql`update households set demo = true where household_id = ${householdId}`;
  } finally {
    await sql.end();
  }
}
