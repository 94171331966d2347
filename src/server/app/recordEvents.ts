import { t } from '../../messages/t.ts';
import { isDeepStrictEqual } from 'node:util';
import { ValidationError } from 'yup';
import { checkWeighIn } from '../../core/growth/yield.ts';
import { wrongTrayWeight } from '../../core/shelf/weight.ts';
import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import { readLog, withEvent } from '../../core/sowing/record.ts';
import { wrongCut } from '../../core/harvest/check.ts';
import { wrongTaking } from '../../core/pantry/check.ts';
import { CLOCK_SLACK, recordedAt } from '../../core/time/setBack.ts';
import { DAY, type Millis } from '../../core/time/zone.ts';
import type { Units } from '../../core/units/format.ts';
import type { ApiProblem, Recorded, RecordedBatch } from '../../contract/api.ts';
import { check } from '../../contract/schemas/check.ts';
import { checkBody, eventSchema } from '../../contract/schemas/event.ts';
import { problemWords } from '../../words/problems.ts';
import { heavyWords } from '../../words/places.ts';
import type { Tx } from '../db/connection.ts';
import { nextTimerAt } from '../../core/reminders/timers.ts';
import { judgeBy } from '../reminders/judging.ts';
import { loadHousehold } from '../households/loadHousehold.ts';
import { householdNow } from '../households/household.ts';
import type { Session } from '../sessions/sessions.ts';
import { insertEvents, knownEvents, type KnownEvent } from '../sowings/events.ts';
import { listLessons } from '../sowings/learned.ts';
import { holdSowings, type FoundSowing } from '../sowings/sowings.ts';
import { Breath } from '../requests/breath.ts';
import { derive } from './derive.ts';
import { tooHeavyMove } from './move.ts';

/** What is older than this is written as a note. */
const OLDEST = 30 * DAY;

interface Touch {
  sowingId: string;
  event: SowingEvent;
  sure: boolean;
}

/**
 * Records what was touched, in one go: each event is taken or refused by itself, and whatever was sent before, or
 * ticked by somebody else, changes nothing. The answer carries what changed.
 * @param sent events as they came, none of them read yet
 */
export async function recordEvents(
  tx: Tx,
  { household, memberId }: Pick<Session, 'household' | 'memberId'>,
  sent: readonly unknown[]
): Promise<RecordedBatch> {
  const now = householdNow(household);
  const breath = new Breath();
  const read: ReturnType<typeof readTouch>[] = [];
  for (const one of sent) {
    read.push(readTouch(one, memberId, now));
    await breath.taken();
  }
  const touches = read.filter((one): one is Touch => 'event' in one);
  const ids = [...new Set(touches.map(({ sowingId }) => sowingId))];
  const [found, known, loaded] = await Promise.all([
    ids.length > 0 ? holdSowings(tx, ids) : [],
    touches.length > 0
      ? knownEvents(
          tx,
          touches.map(({ event }) => event.id)
        )
      : [],
    loadHousehold(tx)
  ]);
  const facts = factsOf(loaded);
  const records = new Map(found.map((record) => [record.setup.id, record]));
  const latest = new Map(found.map((record) => [record.setup.id, latestOf(record)]));
  const changed = new Set<string>();
  const taken: Touch[] = [];
  const results: Recorded[] = [];
  for (const one of read) {
    if (!('event' in one)) {
      results.push(one);
      continue;
    }
    const { sowingId } = one;
    const record = records.get(sowingId);
    const { at, corrected } = recordedAt(one.event.at, now, latest.get(sowingId) ?? now);
    const event = { ...one.event, at };
    const before = taken.find((other) => other.event.id === event.id);
    const same = before
      ? { id: event.id, sowingId: before.sowingId, body: before.event.body }
      : known.find(({ id }) => id === event.id);
    await breath.taken();
    const problem = same
      ? conflict(one, same)
      : await problemOf(tx, { ...one, event }, record, { facts, units: household.units, now });
    if (problem) results.push({ id: event.id, ok: false, ...problem });
    else results.push({ id: event.id, ok: true, ...(corrected && !same ? { correctedTo: event.at } : {}) });
    if (problem || same) continue;
    records.set(sowingId, { ...record!, ...withEvent(record!, event) });
    latest.set(sowingId, Math.max(latest.get(sowingId)!, at));
    changed.add(sowingId);
    taken.push({ ...one, event });
  }
  const after = [...changed].map((id) => records.get(id)!);
  await insertEvents(tx, household.id, taken);
  await derive(tx, facts, after);
  await judgeTimers(tx, facts, after, now);
  // What was learned is read once it is written.
  const lessons =
    taken.length > 0
      ? await listLessons(tx)
      : { learned: loaded.learned, thirst: loaded.thirst, yields: loaded.yields };
  const patched = [...records.values()].map(({ setup, log }) => ({ setup, log }));
  return { results, patch: { now, records: patched, ...lessons } };
}

/** A soak or a contact that was begun ends at its own minute, however lately its household was judged. */
async function judgeTimers(
  tx: Tx,
  facts: HouseholdFacts,
  records: readonly FoundSowing[],
  now: Millis
): Promise<void> {
  const projected = records.map((record) => project(facts, record.setup, readLog(record)));
  const at = nextTimerAt(projected, now);
  // By the machine's clock, which the demo's runs ahead of.
  if (at !== null) await judgeBy(tx, at - now + Date.now());
}

/** The latest time that a sowing is known to have been there at. */
const latestOf = (record: FoundSowing): Millis =>
  Math.max(record.begunAt, ...readLog(record).map(({ at }) => at));

/** One event as it is sent, or what is wrong with it. */
function readTouch(sent: unknown, by: string, now: Millis): Touch | Extract<Recorded, { ok: false }> {
  const id = String((sent as { id?: unknown } | null)?.id ?? '').slice(0, 60);
  const refused = (message: string) => ({ id, ok: false as const, code: 'wrong' as const, message });
  const checked = check(eventSchema, sent);
  if (!checked.ok) return refused(Object.values(checked.errors)[0] ?? t('errors.cannotBeRead'));
  let body: EventBody;
  try {
    body = checkBody((sent as { body: EventBody }).body);
  } catch (error) {
    if (error instanceof ValidationError) return refused(error.message);
    throw error;
  }
  const { sowingId, taskKey, sure, at } = checked.value;
  if (at < now - OLDEST) return refused(t('errors.wasOverMonthAgoWrite'));
  const event = {
    id: checked.value.id,
    at,
    by,
    taskKey: taskKey ?? null,
    body
  };
  return { sowingId, event, sure };
}

const conflict = ({ sowingId, event }: Touch, stored: KnownEvent): ApiProblem | null =>
  stored.sowingId === sowingId && isDeepStrictEqual(plain(stored.body), plain(event.body))
    ? null
    : {
        code: 'conflict',
        message: t('errors.somethingElseWasRecordedUnder')
      };

/** As it is kept: what is not there is left out. */
const plain = (body: EventBody): unknown => JSON.parse(JSON.stringify(body));

/** What speaks against an event that is new; null for nothing. */
async function problemOf(
  tx: Tx,
  { event, sure }: Touch,
  record: FoundSowing | undefined,
  { facts, units, now }: { facts: HouseholdFacts; units: Units; now: Millis }
): Promise<ApiProblem | null> {
  const { body, at } = event;
  if (!record) return { code: 'missing', message: t('errors.trayNotYourHousehold') };
  if (at < record.begunAt - CLOCK_SLACK) return wrong(t('errors.wasBeforeSowingBeganCheck'));
  switch (body.type) {
    case 'moved': {
      const to = facts.places.get(body.placeId);
      if (!to) return { code: 'missing', message: t('api.placeNotYourHousehold') };
      const heavy = await tooHeavyMove(tx, facts, record, to, now);
      return heavy ? { code: 'too-heavy', message: heavyWords(to, heavy, units) } : null;
    }
    case 'undone':
      return readLog(record).some(({ id }) => id === body.eventId)
        ? null
        : { code: 'missing', message: t('errors.whatWasBeTakenBack') };
    case 'cut': {
      const sowing = project(facts, record.setup, readLog(record));
      const found = wrongCut(sowing, body);
      if (found) return wrong(problemWords(found));
      const weighed = checkWeighIn(sowing.crop, sowing.areaCm2, body);
      if (weighed.kind === 'wrong') return wrong(problemWords(weighed.problem));
      if (weighed.kind === 'implausible' && !sure) return { code: 'implausible', message: IMPLAUSIBLE() };
      return null;
    }
    case 'packed':
    case 'taken':
    case 'thrown': {
      const found = wrongTaking(project(facts, record.setup, readLog(record)), body, facts.rhythm.zone);
      return found && wrong(problemWords(found));
    }
    case 'weighed': {
      const found = wrongTrayWeight(project(facts, record.setup, readLog(record)), body.grossG);
      return found && wrong(problemWords(found));
    }
    case 'put-off':
      return body.until < now - DAY ? wrong(t('ahead.dayHasPassedChooseOne')) : null;
    default:
      return null;
  }
}

/** Said where nobody was there to be asked: a page that was open asks with the figures. */
const IMPLAUSIBLE = () => t('errors.farMoreThanSuchTray');

const wrong = (message: string): ApiProblem => ({ code: 'wrong', message });
