import { pipeline, type Duplex, type Readable } from 'node:stream';

/**
 * A stream through another. An error of the source is an error of what is returned, where whoever reads it finds it; a
 * bare `pipe` would let it end the process.
 */
export function piped<D extends Duplex>(source: Readable, through: D): D {
  pipeline(source, through, () => {});
  return through;
}
