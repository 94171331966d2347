import { randomUUID } from 'node:crypto';
import { ZipFile } from 'yazl';
import { buffer } from 'node:stream/consumers';
import { ask } from './ask.ts';
import { own, type Camp } from './camp.ts';
import { memoryMb } from './phases.ts';

/** What a place with many readings costs, beside what it cost with a few. */
export interface ManyReadings {
  readings: number;
  importMs: number;
  /** By how much the web server's memory grew at most meanwhile, MB. */
  importMb: number;
  /** The middle of some answers, ms: with few readings, and with all. */
  pages: { path: string; fewMs: number; manyMs: number }[];
  errors: string[];
}

const FEW = 10_000;
const ASKED = 15;
/** As a sensor that sends every minute. */
const EVERY_MS = 60_000;

/** A package of nothing but readings of a place up to a moment, in the order of every package. */
async function packageOf(placeId: string, until: number, count: number): Promise<Buffer> {
  const device = randomUUID();
  const lines = ['place_id,at,source,temp_c,humidity_pct'];
  for (let n = count - 1; n >= 0; n -= 1) {
    const at = new Date(until - n * EVERY_MS).toISOString();
    lines.push(`${placeId},${at},${device},${18 + (n % 50) / 10},${50 + (n % 20)}`);
  }
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(JSON.stringify({ brote: { format: 1 } })), 'datapackage.json');
  zip.addBuffer(Buffer.from(`${lines.join('\n')}\n`), 'data/readings.csv');
  zip.end();
  return buffer(zip.outputStream);
}

/**
 * Brings a household very many readings of one place, and asks for what goes by them.
 * @param pid of the web server
 */
export async function manyReadings(
  base: URL,
  camp: Camp,
  pid: () => number,
  count: number
): Promise<ManyReadings> {
  const found: ManyReadings = { readings: count, importMs: 0, importMb: 0, pages: [], errors: [] };
  const bring = async (body: Buffer) => {
    const came = await ask(base, {
      method: 'POST',
      path: '/api/data/import',
      headers: own(base, camp.cookie, { 'content-type': 'application/zip' }),
      body
    });
    if (came.status !== 200) found.errors.push(`import: ${came.status} ${came.text.slice(0, 200)}`);
    return came.ms;
  };
  const middleOf = async (path: string): Promise<number> => {
    const times: number[] = [];
    for (let n = 0; n < ASKED; n += 1) {
      const came = await ask(base, { method: 'GET', path, headers: own(base, camp.cookie) });
      if (came.status !== 200) found.errors.push(`${path}: ${came.status}`);
      times.push(came.ms);
    }
    return times.sort((a, b) => a - b)[Math.floor(ASKED / 2)]!;
  };
  const paths = [`/shelf/${camp.ids.place}`, '/shelf', '/round', `/tray/${camp.ids.sowing}`];
  const now = Date.now();
  await bring(await packageOf(camp.ids.place, now, Math.min(FEW, count)));
  const few = [];
  for (const path of paths) few.push(await middleOf(path));
  const body = await packageOf(camp.ids.place, now - FEW * EVERY_MS, count);
  const before = memoryMb(pid());
  const watch = setInterval(() => (found.importMb = Math.max(found.importMb, memoryMb(pid()) - before)), 50);
  found.importMs = await bring(body);
  clearInterval(watch);
  for (const [n, path] of paths.entries())
    found.pages.push({
      path: path.replace(/[\w-]{36}/, '[id]'),
      fewMs: few[n]!,
      manyMs: await middleOf(path)
    });
  return found;
}
