/** What a piece of work was refused with. */
export async function refusal(work: Promise<unknown>): Promise<string> {
  try {
    await work;
  } catch (error) {
    return (error as Error).message;
  }
  return 'nothing was refused';
}
