import { t } from '../../messages/t.ts';
import { Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import type { Entry } from 'yauzl';
import { NotAPackage } from './notAPackage.ts';

/**
 * The content of an archive's entry, checked against the length and checksum in the archive. Both are known only at its
 * end: keep nothing of it before then.
 * @throws NotAPackage naming the entry, as an error of the stream
 */
export function checkedEntry(
  source: Readable,
  entry: Pick<Entry, 'fileName' | 'crc32' | 'uncompressedSize'>
): Readable {
  const bytes = async function* () {
    let [crc, size] = [0, 0];
    try {
      for await (const part of source as AsyncIterable<Buffer>) {
        crc = crc32(part, crc);
        size += part.length;
        yield part;
      }
    } catch (error) {
      throw damaged(entry.fileName, error);
    }
    if (crc !== entry.crc32 || size !== entry.uncompressedSize) throw damaged(entry.fileName);
  };
  return Readable.from(bytes(), { objectMode: false });
}

/** An entry that cannot be read as it was written. */
export const damaged = (fileName: string, cause?: unknown): NotAPackage =>
  new NotAPackage(t('data.slicePackageDamagedExportPackage', { slice: fileName.slice(0, 80) }), { cause });
