import { traitsOf } from '../crops/traits.ts';
import type { Crop } from '../crops/crop.ts';
import { lateCost, type LateCost } from '../crops/late.ts';
import type { EventBody } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { sawLately } from '../sowing/reduce.ts';
import type { Symptom } from '../symptoms/symptom.ts';
import type { Millis } from '../time/zone.ts';
import { expectedAtG } from './expected.ts';

/** What tells that a crop is ready, as it is looked for. */
export type ReadyCue =
  'seed-leaves' | 'true-leaf' | 'third-leaf' | 'height' | 'second-leaf' | 'tips' | 'dome-lifting';

/** What is found: too early, ready, or past its best. */
export const FINDINGS = ['not-yet', 'ready', 'past'] as const;
export type Finding = (typeof FINDINGS)[number];

/** The cue of a crop: grasses are cut before their second leaf splits, maize shoots when they lift their dome. */
export function readyCue(crop: Crop): ReadyCue {
  const { harvestCue, family } = crop;
  if (traitsOf(crop).staysDark) return 'dome-lifting';
  if (family === 'Poaceae') return 'second-leaf';
  return harvestCue === 'cotyledon' ? 'seed-leaves' : harvestCue;
}

/** Heights that can be told of a crop that is cut by its height or its tips, cm: those from the fourth on are tall enough. */
export const heightsOf = ({ harvestCue, heightMinCm }: Crop): number[] =>
  harvestCue === 'height' || harvestCue === 'tips'
    ? [0.4, 0.6, 0.8, 1, 1.2].map((share) => Math.round(share * heightMinCm))
    : [];

/** Cut at a moment, and what that gives, g. */
export interface CutAt {
  at: Millis;
  g: number;
}

/** What cutting now and cutting later come to. */
export interface ReadyOutlook {
  cue: ReadyCue;
  late: LateCost;
  /** Chance that its window has opened. */
  chance: number;
  /** 0 where nothing can be promised: too early, or too late. */
  nowG: number;
  best: CutAt;
  opensAt: Millis;
  closesAt: Millis;
  /** Past its window: nothing is promised any more. */
  past: boolean;
  /** Somebody found it past its best of late. */
  turned: boolean;
}

/** What a standing sowing comes to, cut now or later. */
export function readyOutlook(sowing: Projected, now: Millis): ReadyOutlook {
  const { windowOpen: open, windowBest: best, windowClose: close } = sowing.forecast.marks;
  const bestAt = Math.max(now, best.p50);
  return {
    cue: readyCue(sowing.crop),
    late: lateCost(sowing.crop),
    chance: sowing.forecast.chance('windowOpen', now),
    nowG: expectedAtG(sowing, now).usual,
    best: { at: bestAt, g: expectedAtG(sowing, bestAt).usual },
    opensAt: open.p50,
    closesAt: close.p50,
    past: now > close.p50,
    turned: sawLately(sowing.state, TURNED, now)
  };
}

const TURNED: readonly Symptom[] = ['bitter', 'fibrous'];

const LATE_SIGHT: Record<LateCost, Symptom | null> = { bitter: 'bitter', tough: 'fibrous', sharp: null };

/** What a finding records: a look at the opening, and where it is past its best, what it turned to. */
export function findingRecords(crop: Crop, finding: Finding): EventBody[] {
  const looked: EventBody = { type: 'looked', cue: 'windowOpen', reached: finding !== 'not-yet' };
  const sight = finding === 'past' ? LATE_SIGHT[lateCost(crop)] : null;
  return sight ? [looked, { type: 'saw', sight }] : [looked];
}
