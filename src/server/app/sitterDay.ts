import { t } from '../../messages/t.ts';
import { v5 as idFrom } from 'uuid';
import { sits, sittersRounds } from '../../core/away/plan.ts';
import { bodyOfWalk } from '../../core/reminders/rounds.ts';
import { AHEAD_D, goThroughInSteps } from '../../core/steps/ahead.ts';
import { recordsOfStep, walk, type Stop } from '../../core/steps/walk.ts';
import { roundAt, ROUND_LEAD_H } from '../../core/time/rhythm.ts';
import { DAY, HOUR } from '../../core/time/zone.ts';
import { stepCaution } from '../../words/cautions.ts';
import { containersWords } from '../../words/containers.ts';
import { reminderWords } from '../../words/reminders.ts';
import { cardWords } from '../../words/steps/steps.ts';
import { sentences } from '../../words/steps/amounts.ts';
import { clockTime, dayAndTime, dayWords, shortDate } from '../../words/time.ts';
import type { Tx } from '../db/connection.ts';
import { findAccount, householdNow } from '../households/household.ts';
import { findSitter } from '../people/sitters.ts';
import { shownStop, type ShownStop } from './shownStop.ts';
import { standingNow, type HouseholdStanding } from './householdStanding.ts';
import { eventsBy } from '../sowings/events.ts';
import { Breath } from '../requests/breath.ts';
import { recordEvents } from './recordEvents.ts';

/** What a sitter sees of one container. */
export interface SitterStop extends ShownStop {
  where: string;
  steps: { key: string; title: string; why: string; caution: string | null }[];
  /** What they did in this round, to be taken back. */
  done: { words: string; eventIds: string[] }[];
}

/** A sitter's page: what is to be done now and in the days to come, and nothing else of the household. */
export interface SitterDay {
  name: string;
  /** As it is said: today, and until when. */
  round: string;
  until: string;
  /** Before their first day: nothing is ticked yet. */
  early: string | null;
  stops: SitterStop[];
  ahead: { when: string; lines: string[] }[];
}

/** What a sitter is to do now and in the days to come. */
export async function sitterDay(tx: Tx, sitterId: string): Promise<SitterDay> {
  const sitter = await findSitter(tx, sitterId);
  if (!sitter) throw new Error('A sitter whose address was opened is not there.');
  const standing = await standingNow(tx);
  const { household, facts, projected, reminding, now } = standing;
  const round = roundAt(facts.rhythm, now);
  const early = now < sitter.fromAt;
  const stops = (early ? [] : walk(projected, round, now).stops)
    .map((stop) => sitterStop(stop, standing, sitterId, round.at - ROUND_LEAD_H * HOUR))
    .filter(({ steps, done }) => steps.length > 0 || done.length > 0);
  // Until their first day the household walks its rounds itself.
  const from = Math.max(round.nextAt, sitter.fromAt);
  // So far ahead nothing of today stands any more.
  const near = from - now < AHEAD_D * DAY ? sitter.untilAt : from;
  const breath = new Breath();
  const { stories } = await breath.through(
    goThroughInSteps(facts, reminding.stories ?? [], round.nextAt, from - 1)
  );
  const rounds = await breath.through(sittersRounds(facts, stories, from, Math.min(near, from + 21 * DAY)));
  const ahead = rounds.map(({ at, walk: next }) => {
    const body = bodyOfWalk(next);
    return {
      when: `${shortDate(at, household)}, ${clockTime(at, household)}`,
      lines: body ? reminderWords(body, at, household, household.media).lines : []
    };
  });
  return {
    name: sitter.name,
    round: t('errors.shortdateRoundClocktime', {
      shortDate: shortDate(now, household),
      clockTime: clockTime(round.at, household)
    }),
    until: shortDate(sitter.untilAt, household),
    early: early ? dayAndTime(sitter.fromAt, now, household) : null,
    stops,
    ahead
  };
}

function sitterStop(stop: Stop, standing: HouseholdStanding, sitterId: string, since: number): SitterStop {
  const { household, reminding, now } = standing;
  const sowings = stop.parts.map(({ projected }) => projected);
  const { setup, place } = sowings[0]!;
  const { shown, on } = shownStop(stop, standing);
  const undone = new Set(
    (reminding.stories ?? []).flatMap(({ events }) =>
      events.flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : []))
    )
  );
  const mine = (reminding.stories ?? [])
    .filter(({ setup: { id } }) => sowings.some((sowing) => sowing.setup.id === id))
    .flatMap(({ events }) => events)
    .filter(
      ({ id, by, at, body }) => by === sitterId && at >= since && body.type !== 'undone' && !undone.has(id)
    );
  const moments = [...new Set(mine.map(({ at }) => at))];
  return {
    ...shown,
    where: `${containersWords(setup)}, ${place.name}`,
    steps: stop.steps
      .filter((step) => sits(step, now))
      .map((step) => {
        const { title, why, how } = cardWords(step, on);
        return { key: step.key, title, why: sentences(why, how), caution: stepCaution(step.body) };
      }),
    done: moments.map((at) => ({
      words: t('errors.doneDayClocktime', {
        day: dayWords(at, now, household),
        clockTime: clockTime(at, household)
      }),
      eventIds: mine.filter((one) => one.at === at).map(({ id }) => id)
    }))
  };
}

/**
 * Records what a sitter ticked: the same as a member's tick records, under the sitter's name. Ticked twice from one page it is
 * done once.
 * @param nonce of the page that it was ticked on, a UUID
 * @returns false where it is not asked for any more, or their days have not begun
 */
export async function sitterTick(
  tx: Tx,
  sitterId: string,
  { stopKey, stepKey, nonce }: { stopKey: string; stepKey: string; nonce: string }
): Promise<boolean> {
  const sitter = await findSitter(tx, sitterId);
  const standing = await standingNow(tx);
  const { household, facts, projected, now } = standing;
  if (!sitter || now < sitter.fromAt) return false;
  const stop = walk(projected, roundAt(facts.rhythm, now), now).stops.find(({ key }) => key === stopKey);
  const step = stop?.steps.find((one) => one.key === stepKey);
  if (!step || !sits(step, now)) return false;
  await recordEvents(
    tx,
    { household, memberId: sitterId },
    recordsOfStep(step).map((one) => ({
      ...one,
      id: idFrom(`${one.sowingId}:${one.taskKey}`, nonce),
      at: now,
      sure: false
    }))
  );
  return true;
}

/** Takes back what a sitter ticked; nobody else's. */
export async function sitterUndo(
  tx: Tx,
  sitterId: string,
  { eventIds, nonce }: { eventIds: readonly string[]; nonce: string }
): Promise<void> {
  const own = await eventsBy(tx, sitterId, eventIds);
  if (own.length === 0) return;
  const household = await findAccount(tx);
  const now = householdNow(household);
  const sitter = await findSitter(tx, sitterId);
  if (!sitter || now < sitter.fromAt) return;
  await recordEvents(
    tx,
    { household, memberId: sitterId },
    own.map(({ sowingId, eventId }) => ({
      id: idFrom(`undo:${eventId}`, nonce),
      sowingId,
      at: now,
      taskKey: null,
      sure: false,
      body: { type: 'undone', eventId }
    }))
  );
}
