import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inHousehold } from '../../src/server/db/connection.ts';
import { emptyHousehold } from '../../src/server/data/empty.ts';
import { exportPackage } from '../../src/server/data/exportPackage.ts';
import { importPackage } from '../../src/server/data/importPackage.ts';
import { bringBack, dumpTo } from './dump.ts';
import { say } from './say.ts';

const LIMIT_MS = 10 * 60_000;

/**
 * Copies what ended in the demo and was eaten, with all that happened to it, until there are so many sowings, spread over five
 * years: nobody has greens of hundreds of trays in the pantry.
 */
export async function fillNotebook(householdId: string, sowings: number): Promise<void> {
  const ended = await inHousehold(householdId, async (tx) =>
    (
      await tx<
        { id: string }[]
      >`select id from sowings where ended_at is not null and not in_pantry order by id`
    ).map(({ id }) => id)
  );
  for (let from = 0; from < sowings; from += AT_ONCE)
    await copySome(householdId, ended, from, Math.min(AT_ONCE, sowings - from));
}

/** No statement may take as long as all of them. */
const AT_ONCE = 200;

async function copySome(
  householdId: string,
  ended: readonly string[],
  from: number,
  count: number
): Promise<void> {
  await inHousehold(
    householdId,
    async (tx) => {
      await tx`create temporary table copies on commit drop as
        select (${[...ended]}::uuid[])[1 + n % ${ended.length}] as old, gen_random_uuid() as id, n * interval '17 hours' as back
        from generate_series(${from}::int, ${from + count - 1}::int) n`;
      await tx`insert into sowings (household_id, id, crop_key, container_id, count, medium, method_key, method, place_id, seeds_per_cm2,
          germination_pct, seed_g, area_share, lot_id, soak_start_at, soak_end_at, sow_at, created_at, created_by, ended_at)
        select s.household_id, c.id, s.crop_key, s.container_id, s.count, s.medium, s.method_key, s.method, s.place_id, s.seeds_per_cm2,
          s.germination_pct, s.seed_g, s.area_share, s.lot_id, s.soak_start_at - c.back, s.soak_end_at - c.back, s.sow_at - c.back,
          s.created_at - c.back, s.created_by, s.ended_at - c.back from copies c join sowings s on s.id = c.old`;
      await tx`create temporary table renamed on commit drop as
        select e.id as old, c.id as sowing_id, gen_random_uuid() as id, c.back from copies c join events e on e.sowing_id = c.old`;
      await tx`create index on renamed (sowing_id, old)`;
      // What is taken of a cut names it: by its new id.
      await tx`insert into events (household_id, id, sowing_id, member_id, type, at, task_key, body)
        select e.household_id, r.id, r.sowing_id, e.member_id, e.type, e.at - r.back, e.task_key,
          case when e.body ? 'from' then jsonb_set(e.body, '{from}', to_jsonb((select f.id::text from renamed f
            where f.sowing_id = r.sowing_id and f.old = (e.body->>'from')::uuid))) else e.body end
        from renamed r join events e on e.id = r.old order by e.at`;
      await tx`analyze sowings`;
      await tx`analyze events`;
    },
    LIMIT_MS
  );
}

/** Runs work while watching how much memory the process takes at most, in MB over what it took before. */
async function watched(work: () => Promise<unknown>): Promise<{ seconds: number; mb: number }> {
  globalThis.gc?.();
  const before = process.memoryUsage.rss();
  let most = before;
  const timer = setInterval(() => (most = Math.max(most, process.memoryUsage.rss())), 20);
  const began = performance.now();
  try {
    await work();
  } finally {
    clearInterval(timer);
  }
  return { seconds: (performance.now() - began) / 1000, mb: (most - before) / 1024 / 1024 };
}

/** How fast a household is taken out and brought back, and what memory that takes as it grows. */
export async function packageFigures(householdId: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'brote-bench-'));
  const file = join(folder, 'household.zip');
  try {
    const events = await inHousehold(householdId, async (tx) => {
      const [row] = await tx<{ count: number }[]>`select count(*)::int as count from events`;
      return row!.count;
    });
    const out = await watched(() => inHousehold(householdId, (tx) => exportPackage(tx, file), LIMIT_MS));
    await inHousehold(householdId, emptyHousehold, LIMIT_MS);
    const back = await watched(() =>
      inHousehold(householdId, (tx) => importPackage(tx, householdId, file), LIMIT_MS)
    );
    const rate = (seconds: number) => Math.round(events / seconds).toLocaleString('en');
    say(
      `Package of ${events.toLocaleString('en')} events, ${(statSync(file).size / 1024 / 1024).toFixed(1)} MB: taken out ${rate(out.seconds)} events a second, ${out.mb.toFixed(0)} MB over before at most; brought back and worked out anew ${rate(back.seconds)} a second, ${back.mb.toFixed(0)} MB (at least 5,000 each)`
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** How long a backup of the demo, and bringing it back, takes. */
export async function backupFigures(bin: string, adminUrl: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'brote-bench-'));
  const file = join(folder, 'brote.dump');
  try {
    const began = performance.now();
    dumpTo(bin, adminUrl, file);
    const between = performance.now();
    const restored = await bringBack(bin, adminUrl, file);
    if (restored.status !== 0) throw new Error(restored.stderr);
    const [there, back] = [between - began, performance.now() - between].map((ms) => (ms / 1000).toFixed(1));
    say(`The demo backed up in ${there} s, brought back in ${back} s (under 20 s together)`);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
