import { HOUR, type Millis, type Zone } from './zone.ts';

/**
 * When somebody of the household is up, and when its rounds are. Minutes are clock time past 00:00 of the day they got up
 * on; from 1440 on, of the night after.
 */
export interface Rhythm {
  zone: Zone;
  /** Before 1440. */
  wakeMin: number;
  /** Later than `wakeMin`, by less than a day. */
  sleepMin: number;
  /** Ascending; at least one, within waking hours. */
  roundsMin: readonly number[];
}

const DAY_MIN = 1440;

/** A clock time as minutes of the waking day that it belongs to: before somebody got up, it is of the night after. */
export const ofWakingDay = (minutes: number, wakeMin: number): number =>
  minutes < wakeMin ? minutes + DAY_MIN : minutes;

/** Whether somebody is up at that moment; the first and last minute count. */
export function isWaking(rhythm: Rhythm, at: Millis): boolean {
  const minutes = rhythm.zone.minutes(at);
  return (minutes >= rhythm.wakeMin && minutes <= rhythm.sleepMin) || minutes + DAY_MIN <= rhythm.sleepMin;
}

/** That moment where somebody is up, otherwise the next time somebody gets up. */
export function nextWaking(rhythm: Rhythm, at: Millis): Millis {
  if (isWaking(rhythm, at)) return at;
  const today = rhythm.zone.date(at);
  const rise = rhythm.zone.at(today, rhythm.wakeMin);
  return rise >= at ? rise : rhythm.zone.at(today.add({ days: 1 }), rhythm.wakeMin);
}

/** The moment within [from, until] at which somebody is up and which is nearest to `wish`; null for none. */
export function wakingNear(rhythm: Rhythm, wish: Millis, from: Millis, until: Millis): Millis | null {
  if (from > until) return null;
  const held = Math.min(Math.max(wish, from), until);
  if (isWaking(rhythm, held)) return held;
  const day = rhythm.zone.date(held);
  const edges = [-1, 0, 1].flatMap((days) => {
    const date = day.add({ days });
    return [rhythm.zone.at(date, rhythm.wakeMin), rhythm.zone.at(date, rhythm.sleepMin)];
  });
  const fit = edges.filter((edge) => edge >= from && edge <= until);
  if (fit.length === 0) return null;
  return fit.reduce((best, edge) => (Math.abs(edge - held) < Math.abs(best - held) ? edge : best));
}

/** The rounds from `from` (included) to `until` (included), in order. */
export const roundsBetween = (rhythm: Rhythm, from: Millis, until: Millis): Millis[] =>
  datedBetween(rhythm, from, until).map(({ at }) => at);

/** A round with the waking day it is of, and which of that day's it is. */
interface Dated {
  at: Millis;
  day: string;
  ordinal: number;
}

function datedBetween({ zone, roundsMin }: Rhythm, from: Millis, until: Millis): Dated[] {
  const rounds: Dated[] = [];
  const last = zone.date(until).toString();
  // A round past midnight is of the day before.
  const first = zone.date(from).subtract({ days: roundsMin.at(-1)! < DAY_MIN ? 0 : 1 });
  for (let date = first; date.toString() <= last; date = date.add({ days: 1 }))
    roundsMin.forEach((minutes, ordinal) => {
      const at = zone.at(date, minutes);
      if (at >= from && at <= until) rounds.push({ at, day: date.toString(), ordinal });
    });
  return rounds;
}

/** The longest time between two rounds on a day like any other, hours. */
export const longestGapH = ({ roundsMin }: Pick<Rhythm, 'roundsMin'>): number =>
  Math.max(
    ...roundsMin.map((minutes, index) => ((roundsMin[index + 1] ?? roundsMin[0]! + 1440) - minutes) / 60)
  );

/** How long what is due waits for the next round, on average, h: half the longest gap. */
export const meanWaitH = (rhythm: Pick<Rhythm, 'roundsMin'>): number => longestGapH(rhythm) / 2;

/** One round of the household: its day, which of the day's rounds it is, and the stretch it stands for. */
export interface Round {
  /** Names the round across devices, such as `2026-11-23.1`. */
  key: string;
  at: Millis;
  /** When the round after it is due. */
  nextAt: Millis;
  /** When the next round but one is due. */
  afterNextAt: Millis;
  /** The rounds before it, the last first. */
  before: readonly [Millis, Millis];
}

/** How long before its hour a round may be walked already. */
export const ROUND_LEAD_H = 2;

/** The round that is being walked at a moment: the last one due, or the next within two hours. */
export function roundAt(rhythm: Rhythm, now: Millis): Round {
  const around = datedBetween(rhythm, now - 4 * 24 * HOUR, now + 4 * 24 * HOUR);
  let index = 2;
  while (index + 1 < around.length && around[index + 1]!.at - ROUND_LEAD_H * HOUR <= now) index += 1;
  const { at, day, ordinal } = around[index]!;
  return {
    key: `${day}.${ordinal}`,
    at,
    nextAt: around[index + 1]!.at,
    afterNextAt: around[index + 2]!.at,
    before: [around[index - 1]!.at, around[index - 2]!.at]
  };
}
