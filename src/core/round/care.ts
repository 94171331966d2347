import { mouldRisk } from '../looks/mould.ts';
import type { Followed } from '../sowing/follow.ts';
import type { Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { task } from './makeTask.ts';
import type { Task } from './task.ts';

/** Turned or aired once a day; a few hours early counts. */
const ONCE_A_DAY_H = 16;
/** In the last days before the window, still air between stems is let out (starting figure). */
const AIR_DAYS = 2;

/** Share of full strength that water is fed with now: nothing before first light. */
export function feedShare({ state, method }: Followed): number {
  if (state.litAt === null || method.feed === 'none') return 0;
  return method.feed === 'half' ? 0.5 : 1;
}

/** What a tray in light asks for besides water; nothing that it does not need. */
export function careTasks(followed: Followed, round: Round, now: Millis): Task[] {
  const { state, place, forecast } = followed;
  if (state.stage !== 'light' || round.at - state.litAt! < 12 * HOUR) return [];
  const day = round.key.split('.')[0]!;
  const tasks: Task[] = [];
  // Only a window has light from one side; a tray about to be cut may lean.
  const leans = place.light.kind === 'sill' && forecast.marks.windowOpen.p50 > now;
  if (leans && isMorning(round) && !lately(state.turnedAt, round))
    tasks.push(task(`turn:${day}`, { kind: 'turn' }, round.at, round));
  const lastDays = forecast.marks.windowOpen.p50 - now < AIR_DAYS * DAY && state.cuts.length === 0;
  const risk = lastDays && !place.movingAir ? mouldRisk(followed, now) : null;
  if (risk && risk.level !== 'low' && !isMorning(round) && !lately(state.airedAt, round))
    tasks.push(task(`air:${day}`, { kind: 'air', drivers: risk.drivers }, round.at, round));
  return tasks;
}

const isMorning = (round: Round): boolean => round.key.endsWith('.0');
const lately = (at: Millis | null, round: Round): boolean =>
  at !== null && at > round.at - ONCE_A_DAY_H * HOUR;
