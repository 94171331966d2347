import { scorches } from '../clock/light.ts';
import { mouldRisk } from '../looks/mould.ts';
import type { Followed } from '../sowing/follow.ts';
import type { Round } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { dryShare } from '../water/bucket.ts';
import { trackOf, waterAt } from '../water/level.ts';
import type { Note } from './task.ts';
import { hardlyLasts, withheld } from './withhold.ts';

/** Less sure than this of its water, a tray is to be felt before it is watered. */
const UNSURE_SHARE = 0.08;

/** It matters how damp it is once it comes this near to being watered. */
const NEAR_DRY = 0.25;

/** What is worth knowing of a tray in this round, most pressing first. */
export function notesOf(followed: Followed, round: Round, now: Millis): Note[] {
  const { state, place, crop } = followed;
  if (state.sownAt === null) return [];
  const notes: Note[] = [];
  const between = state.contradictions.findLast(({ notYetAt }) => notYetAt > now - 3 * DAY);
  if (between && isOpen(followed, between.cue)) notes.push({ kind: 'contradiction', between });
  const excess = trackOf(followed).excess.findLast(({ at }) => at > now - DAY && at <= now);
  if (excess) notes.push({ kind: 'too-much', ...excess });
  const level = waterAt(followed, now);
  const soonDry = waterAt(followed, round.nextAt).share < dryShare(crop) + NEAR_DRY;
  if (state.stage === 'light' && soonDry && level.sdG > level.capacityG * UNSURE_SHARE)
    notes.push({ kind: 'unsure' });
  if (state.stage === 'light' && hardlyLasts(followed, round)) notes.push({ kind: 'thirsty' });
  const risk = mouldRisk(followed, now);
  if (risk.level === 'high') notes.push({ kind: 'mould-risk', risk });
  if (state.stage === 'light' && place.light.kind === 'lamp' && scorches(place.light))
    notes.push({ kind: 'scorch' });
  if (state.stage === 'light' && withheld(followed, round)) {
    const { share } = waterAt(followed, round.nextAt);
    if (share < dryShare(crop)) notes.push({ kind: 'dry-hours', share });
  }
  return notes;
}

/** A look that was made again has settled it. */
const isOpen = ({ state }: Followed, cue: string): boolean =>
  state.seen.some(({ mark, reachedAt }) => mark === cue && reachedAt === null);
