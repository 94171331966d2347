/** A failure that is told to the person as it stands: what is wrong and what to do. No stack trace. */
export class Plain extends Error {}

/** One line of progress. */
export function say(line: string): void {
  console.log(line);
}

/** Runs a command's whole work; tells a plain failure plainly and any other with its trace. */
export async function runCommand(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const known = explain(error);
    console.error(known ? `\n${known}` : error);
    process.exit(1);
  }
}

function explain(error: unknown): string | null {
  if (error instanceof Plain) return error.message;
  const code = (error as { code?: string }).code;
  if (code === 'ENOSPC' || code === '53100')
    return 'The disk is full. Free some space and start again: nothing that was saved is lost.';
  if (code === 'EACCES')
    return `${(error as Error).message}. Give your user access to that path, or set BROTE_DATA to a folder of your own.`;
  return null;
}
