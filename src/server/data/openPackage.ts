import { t } from '../../messages/t.ts';
import type { Readable } from 'node:stream';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { FORMAT, PACKAGE_TABLES } from './tables.ts';
import { checkedEntry, damaged } from './checkedEntry.ts';
import { fileOf } from './exportPackage.ts';
import { NotAPackage } from './notAPackage.ts';

/** What an archive may come to, all of it together; a household of decades is under a tenth of it. */
const MOST_BYTES = 1024 ** 3;
/** Text is never packed closer than so; what claims to be swells to fill the disk. */
const MOST_RATIO = 200;
const SMALL = 1024 * 1024;
/** A package has one entry a table; a program that packs it again may add folders. */
const MOST_ENTRIES = 100;

const NONE = () => t('data.noPackageBroteChooseFile');

/** A package that was opened: its tables are read one after the other. */
export interface OpenPackage {
  /** The rows of a table as CSV; null where the package does not hold it. */
  table: (name: string) => Promise<Readable | null>;
  close: () => void;
}

const opened = (file: string): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(new NotAPackage(NONE(), { cause: error })) : resolve(zip)
    )
  );

/** All that an archive says it holds. @throws NotAPackage where a name climbs out, or a size cannot be */
function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const known = new Set(['datapackage.json', ...PACKAGE_TABLES.map(fileOf)]);
  const entries = new Map<string, Entry>();
  let bytes = 0;
  return new Promise((resolve, reject) => {
    const refuse = (say: string) => reject(new NotAPackage(say));
    if (zip.entryCount > MOST_ENTRIES)
      return refuse(
        t('data.thereEntrycountFilesFoldersArchive', { entryCount: zip.entryCount, MOST_ENTRIES })
      );
    zip.on('error', (error: Error) =>
      refuse(
        /relative path|absolute path|invalid characters/.test(error.message)
          ? t('data.fileArchiveWouldClimbOut')
          : NONE()
      )
    );
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      const { fileName, uncompressedSize, compressedSize } = entry;
      bytes += uncompressedSize;
      if (bytes > MOST_BYTES || (uncompressedSize > SMALL && uncompressedSize > compressedSize * MOST_RATIO))
        return refuse(t('data.archiveSwellsMoreThanAny'));
      if (fileName.endsWith('/')) return zip.readEntry();
      if (!known.has(fileName) || entries.has(fileName))
        return refuse(t('data.thereFileSliceArchiveNo', { slice: fileName.slice(0, 80) }));
      entries.set(fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

const streamOf = (zip: ZipFile, entry: Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    try {
      zip.openReadStream(entry, (error, stream) =>
        error ? reject(damaged(entry.fileName, error)) : resolve(checkedEntry(stream, entry))
      );
    } catch (error) {
      // What cannot be at all, such as an unknown way of packing, is thrown.
      reject(damaged(entry.fileName, error));
    }
  });

/**
 * Opens a package and looks at what it says of itself, before anything of it is read.
 * @throws NotAPackage where it is none, of a newer Brote, or not to be trusted
 */
export async function openPackage(file: string): Promise<OpenPackage> {
  const zip = await opened(file);
  try {
    const entries = await entriesOf(zip);
    const about = entries.get('datapackage.json');
    if (!about || about.uncompressedSize > SMALL) throw new NotAPackage(NONE());
    const { format, paths } = aboutOf(await textOf(await streamOf(zip, about)));
    if (format === null) throw new NotAPackage(NONE());
    if (format > FORMAT) throw new NotAPackage(t('data.packageWasMadeByNewer'));
    const missing = paths.find((path) => !entries.has(path));
    if (missing !== undefined)
      throw new NotAPackage(t('data.sliceMissingFromPackageExport', { slice: missing.slice(0, 80) }));
    return {
      table: async (name) => {
        const entry = entries.get(`data/${name}.csv`);
        return entry ? streamOf(zip, entry) : null;
      },
      close: () => zip.close()
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function textOf(stream: Readable): Promise<string> {
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return Buffer.concat(parts).toString('utf8');
}

/** What a package says of itself: its format, null where it says none, and the files it is made of. */
function aboutOf(text: string): { format: number | null; paths: readonly string[] } {
  try {
    const { brote, resources } = JSON.parse(text) as {
      brote?: { format?: unknown };
      resources?: unknown;
    };
    const listed: unknown[] = Array.isArray(resources) ? resources : [];
    return {
      format: Number.isInteger(brote?.format) ? (brote!.format as number) : null,
      paths: listed
        .map((one) => (one as { path?: unknown } | null)?.path)
        .filter((path) => typeof path === 'string')
    };
  } catch {
    return { format: null, paths: [] };
  }
}
