import { createReadStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';

/** A file of this process alone, in a folder that goes with it. */
export interface Temporary {
  file: string;
  remove: () => Promise<void>;
}

export async function temporary(name: string): Promise<Temporary> {
  const folder = await mkdtemp(join(tmpdir(), 'brote-'));
  return { file: join(folder, name), remove: () => rm(folder, { recursive: true, force: true }) };
}

/**
 * Answers with a temporary file, which is gone once it was sent or nobody waits for it any more. Its length is told
 * beforehand, so that a browser knows a download that was cut off from a whole one.
 */
export async function fileAnswer(
  { file, remove }: Temporary,
  headers: Record<string, string>
): Promise<Response> {
  const { size } = await stat(file);
  const stream = createReadStream(file);
  // What cannot be removed is left to the machine, which empties its folder for temporary files.
  stream.on('close', () => remove().catch(() => {}));
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: { ...headers, 'content-length': String(size) }
  });
}
