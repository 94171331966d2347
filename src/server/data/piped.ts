import { pipeline, type Duplex, type Readable } from 'node:stream';

/**
 * Pipes a stream through another. An error in the source surfaces on the returned stream; with a bare `pipe` nobody would
 * handle it, and it would end the process.
 */
export function piped<D extends Duplex>(source: Readable, through: D): D {
  pipeline(source, through, () => {});
  return through;
}
