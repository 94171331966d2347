import { traitsOf } from '../crops/traits.ts';
import { isTooDark } from '../shelf/board.ts';
import { beginsAt } from '../sowing/soak.ts';
import { scorches } from '../places/light.ts';
import { mouldRisk } from '../diagnosis/mould.ts';
import type { Projected } from '../sowing/project.ts';
import type { Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { dryShare } from '../water/bucket.ts';
import { mayBeLost, TOUCH_SHARE } from '../water/dry.ts';
import { trackOf, waterAt } from '../water/level.ts';
import { stageAt, standsSince } from '../sowing/stage.ts';
import type { Note } from './ask.ts';
import { unshadesAt } from './compile.ts';
import { hardlyLasts, withheld } from './withhold.ts';

/** Less sure than this of its water, a tray is to be felt before it is watered. */
const UNSURE_SHARE = 0.08;

/** It matters how damp it is once it comes this near to being watered. */
const NEAR_DRY = 0.25;

/** A look that is less likely than this by all the rest is said to be odd: a slip of the thumb, or a tray worth a second look. */
const UNLIKELY = 1 / 200;

/** What is worth knowing of a tray in this round, most pressing first. */
export function notesOf(sowing: Projected, round: Round, now: Millis): Note[] {
  const { state, place, crop, soak } = sowing;
  const notes: Note[] = [];
  if (state.stage === 'prepare') {
    const at = beginsAt(soak);
    if (at <= round.before[0]) notes.push({ kind: 'not-begun', at });
  }
  if (state.sownAt === null) return notes;
  const level = waterAt(sowing, now);
  if (mayBeLost(sowing, now)) notes.push({ kind: 'may-be-lost' });
  else if (level.capacityG > 0 && level.share < TOUCH_SHARE && now > state.sownAt)
    notes.push({ kind: 'touch-it', share: level.share });
  const lit = stageAt(sowing, now) === 'light';
  const between = state.contradictions.findLast(({ notYetAt }) => notYetAt > now - 3 * DAY);
  if (between && isOpen(sowing, between.cue)) notes.push({ kind: 'contradiction', between });
  const odd = sowing.state.looks.findLast(({ at }) => at > now - DAY && at <= now);
  if (odd && sowing.forecast.likelihoodOf(odd) < UNLIKELY)
    notes.push({ kind: 'unlikely', look: odd, early: odd.reached });
  if (stillStands(sowing, now)) notes.push({ kind: 'pour-off' });
  const excess = trackOf(sowing).excess.findLast(({ at }) => at > now - DAY && at <= now);
  if (excess) notes.push({ kind: 'too-much', ...excess });
  const soonDry = waterAt(sowing, round.nextAt).share < dryShare(crop) + NEAR_DRY;
  if (lit && soonDry && !level.isPool && level.sdG > level.capacityG * UNSURE_SHARE)
    notes.push({ kind: 'unsure' });
  if (lit && hardlyLasts(sowing, round)) notes.push({ kind: 'thirsty' });
  const risk = mouldRisk(sowing, now);
  if (risk.level === 'high') notes.push({ kind: 'mould-risk', risk });
  if (lit && place.light.kind === 'lamp' && scorches(place.light)) notes.push({ kind: 'scorch' });
  if (lit && isTooDark([sowing], place)) notes.push({ kind: 'in-the-dark' });
  if (lit && place.movingAir && now - standsSince(sowing) < traitsOf(crop).stillAirD * DAY)
    notes.push({ kind: 'still-air' });
  const shaded = state.unshadedAt === null ? unshadesAt(sowing) : null;
  if (shaded !== null && shaded > now && sowing.forecast.litAt <= now)
    notes.push({ kind: 'shaded', until: shaded });
  if (lit && withheld(sowing, round)) {
    const { share } = waterAt(sowing, round.nextAt);
    if (share < dryShare(crop)) notes.push({ kind: 'dry-hours', share });
  }
  return notes;
}

/** How long the note to pour it off stays. */
const STANDS_MS = 12 * HOUR;

/** Whether the last thing recorded about its water is that some still stands. */
function stillStands({ state }: Projected, now: Millis): boolean {
  const last = state.water.at(-1);
  return last !== undefined && 'feels' in last && last.feels[0] === 1 && now - last.at < STANDS_MS;
}

/** A look that was made again has settled it. */
const isOpen = ({ state }: Projected, cue: string): boolean =>
  state.seen.some(({ mark, reachedAt }) => mark === cue && reachedAt === null);
