import { randomUUID } from 'node:crypto';
import postgres from 'postgres';
import { inHousehold } from '../../src/server/db/connection.ts';
import { judgeHousehold } from '../../src/server/app/judgeHousehold.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { addHousehold } from '../../src/server/households/household.ts';
import { addPlace } from '../../src/server/households/places.ts';
import { inParallel } from '../../src/server/jobs/worker.ts';
import { claimHouseholds } from '../../src/server/reminders/judging.ts';
import { addSowing } from '../../src/server/sowings/sowings.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { radishTray, event } from '../../test/support/household.ts';
import { steadyPlace } from '../../test/support/rhythm.ts';
import { settings } from '../../test/support/settings.ts';
import { median } from './benchCore.ts';
import type { Database } from './database.ts';
import { say } from './say.ts';

const HOUSEHOLDS = 100_000;
/** Whose round is this minute, in a morning in which rounds lie an hour or two apart. */
const DUE = 1000;

/**
 * Copies one household with six trays under new ids, in the database itself: what is measured is the finding, not the
 * filling.
 */
async function fill(sql: postgres.Sql, model: string): Promise<void> {
  await sql`select set_config('brote.door', 'open', false)`;
  await sql.unsafe(`
    create temporary table made as select gen_random_uuid() as home, n from generate_series(1, ${HOUSEHOLDS - 1}) n;
    insert into households (household_id, name, name_key, zone, units, passphrase_hash, latitude_deg, wake_min, sleep_min, rounds_min, method_key)
      select m.home, 'Home ' || m.n, 'home ' || m.n, h.zone, h.units, h.passphrase_hash, h.latitude_deg, h.wake_min, h.sleep_min, h.rounds_min, h.method_key
      from households h, made m where h.household_id = '${model}';
    insert into places select r.* from places p, made m, lateral jsonb_populate_record(p, jsonb_build_object('household_id', m.home)) r where p.household_id = '${model}';
    insert into containers select r.* from containers c, made m, lateral jsonb_populate_record(c, jsonb_build_object('household_id', m.home)) r where c.household_id = '${model}';
    insert into sowings select r.* from sowings s, made m, lateral jsonb_populate_record(s, jsonb_build_object('household_id', m.home)) r where s.household_id = '${model}';
    insert into events (household_id, id, sowing_id, member_id, type, at, task_key, body, recorded_at)
      select m.home, e.id, e.sowing_id, e.member_id, e.type, e.at, e.task_key, e.body, e.recorded_at from events e, made m where e.household_id = '${model}';
    insert into judging (household_id, judge_at, judged_at, judged_until, touched_at)
      select home, now() + interval '1 hour' + n * interval '1 second', now(), now(), now() from made;`);
  await sql.unsafe('vacuum analyze');
}

/** A household whose six trays ask for something at its round, which is in this minute. */
async function modelHousehold(): Promise<string> {
  const id = randomUUID();
  const placeId = randomUUID();
  const now = Date.now();
  const minutes = new Date(now).getUTCHours() * 60 + new Date(now).getUTCMinutes();
  const begun = now - 96 * HOUR;
  await inHousehold(id, async (tx) => {
    await addHousehold(tx, {
      ...settings('Home 0'),
      zone: 'UTC',
      wakeMin: 0,
      sleepMin: 1439,
      roundsMin: [minutes],
      id,
      passphraseHash: 'none'
    });
    await addPlace(tx, id, { ...steadyPlace(21), id: placeId });
    for (let tray = 0; tray < 6; tray += 1) {
      const sowing = randomUUID();
      const crop = ['radish', 'kale', 'arugula', 'mustard', 'broccoli', 'cress-garden'][tray]!;
      await addSowing(tx, id, radishTray({ id: sowing, cropKey: crop, placeId, sowAt: begun }), {
        memberId: null,
        at: begun,
        containerId: randomUUID()
      });
      const happened = [
        event(0, { type: 'sown', waterG: 300 }, { at: begun }),
        event(0, { type: 'lit' }, { at: begun + 60 * HOUR }),
        event(0, { type: 'watered', waterG: 80 }, { at: begun + 72 * HOUR }),
        event(0, { type: 'felt', moisture: 'dry' }, { at: begun + 90 * HOUR })
      ];
      await addEvents(
        tx,
        id,
        sowing,
        happened.map((one) => ({ ...one, id: randomUUID() }))
      );
    }
  });
  return id;
}

/** What a morning's digests cost where a hundred thousand households are in the database, against the least there is. */
export async function reminderFigures(database: Database, shared: () => Promise<number[]>): Promise<void> {
  const sql = postgres(database.ownerUrl, { max: 1, onnotice: () => {} });
  const model = await modelHousehold();
  const filling = performance.now();
  await fill(sql, model);
  say(`${HOUSEHOLDS} households of 6 trays, filled in ${Math.round((performance.now() - filling) / 1000)} s`);
  const makeDue = () =>
    sql`update judging set judge_at = now(), judged_until = now() - interval '1 hour'
      where household_id in (select household_id from judging order by household_id limit ${DUE})`;

  // The least there is: one row found, locked and put off, a transaction each.
  await makeDue();
  const bare: number[] = [];
  for (let n = 0; n < DUE; n += 1) {
    const start = performance.now();
    await sql.begin(async (tx) => {
      const [row] = await tx`select household_id from judging where judge_at <= now()
        order by judge_at limit 1 for update skip locked`;
      await tx`update judging set judge_at = now() + interval '1 day' where household_id = ${row!.household_id}`;
    });
    bare.push(performance.now() - start);
  }

  await sql`delete from reminders`;
  await makeDue();
  await sql.unsafe('vacuum analyze judging');
  const reads = async () =>
    (
      await sql<{ scanned: string; fetched: string }[]>`
        select seq_tup_read as scanned, idx_tup_fetch as fetched from pg_stat_user_tables where relname = 'judging'`
    )[0]!;
  const [plan] =
    await sql`explain (analyze, format json) select household_id from judging where judge_at <= now()
    order by judge_at limit 16 for update skip locked`;
  await sql`select pg_stat_force_next_flush()`;
  const before = await reads();
  const start = performance.now();
  const finding: number[] = [];
  let judged = 0;
  let told = 0;
  for (;;) {
    const asked = performance.now();
    const ids = await claimHouseholds(16);
    if (ids.length === 0) break;
    finding.push((performance.now() - asked) / ids.length);
    await inParallel(ids, async (id) => {
      const many = await judgeHousehold(id);
      told += many;
      judged += 1;
    });
  }
  const each = (performance.now() - start) / Math.max(1, judged);
  await sql`select pg_stat_force_next_flush()`;
  const after = await reads();
  const index = JSON.stringify(plan).includes('Index Scan');
  say(`${DUE} of them due: found ${judged}, told ${told}; by an index: ${index ? 'yes' : 'no'}`);
  say(
    `rows of judging read a household: ${((Number(after.fetched) - Number(before.fetched)) / judged).toFixed(1)} by index, ${((Number(after.scanned) - Number(before.scanned)) / judged).toFixed(1)} by scan`
  );
  const least = median(bare);
  say(
    `bare loop ${least.toFixed(2)} ms a household; finding and taking one ${median(finding).toFixed(3)} ms, ${(median(finding) / least).toFixed(2)} times`
  );
  say(
    `the whole digest (read six trays, forecast, water, written down) ${each.toFixed(2)} ms, ${(each / least).toFixed(1)} times the bare loop (asked for: at most 4)`
  );

  await sql`delete from reminders`;
  await makeDue();
  const counts = await shared();
  const [twice] = await sql<{ many: string }[]>`
    select count(*) as many from (select 1 from reminders group by household_id, key having count(*) > 1) d`;
  const [all] = await sql<{ many: string }[]>`select count(*) as many from reminders where kind = 'round'`;
  say(
    `two processes shared ${counts.join(' and ')} of them: ${all!.many} rounds told, ${twice!.many} of them twice`
  );
  await sql.end();
}
