import { wasDry } from '../sowing/project.ts';
import { isGrass, traitsOf } from '../crops/traits.ts';
import { lateCost } from '../crops/late.ts';
import { DAY } from '../time/zone.ts';
import { scorches } from '../places/light.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import { WEAK_GERMINATION_PCT } from '../supplies/seed/amount.ts';
import type { LookFacts } from './facts.ts';
import type { Symptom } from '../symptoms/symptom.ts';

/** A fact of the tray that speaks for a cause, with its figure. */
export type Evidence =
  | { kind: 'water'; share: number }
  | { kind: 'dark'; days: number }
  | { kind: 'lit'; days: number }
  | { kind: 'dli'; dli: number }
  | { kind: 'warmth'; tempC: number }
  | { kind: 'dry-air'; kpa: number }
  | { kind: 'crowding'; times: number }
  | { kind: 'germination'; pct: number }
  | { kind: 'open'; days: number }
  | { kind: 'closes'; days: number }
  | { kind: 'stage'; rooted: boolean }
  | { kind: 'mould-hours'; level: 'raised' | 'high' }
  | { kind: 'lamp'; ppfd: number; distanceCm: number | null }
  | { kind: 'medium'; medium: MediumKind; fed: boolean }
  | { kind: 'overwatered' }
  | { kind: 'unpressed' }
  | { kind: 'unmisted' }
  | { kind: 'moving-air' }
  | { kind: 'clings' }
  | { kind: 'stays-dark' }
  | { kind: 'unlit' }
  | { kind: 'sun' }
  | { kind: 'unsoaked' }
  | { kind: 'cut-by'; cue: HarvestCue }
  | { kind: 'grass' }
  | { kind: 'pressed' }
  | { kind: 'still-air'; tempC: number; humidityPct: number }
  | { kind: 'wet-seed'; gel: boolean }
  /** What was seen is what this looks like, and the tray's log says no more. */
  | { kind: 'looks-so'; sight: 'mould' | 'fallen-rot' };

type HarvestCue = LookFacts['projected']['crop']['harvestCue'];

/** How well a cause fits a tray. */
export interface Weighed {
  /** How well the facts of the tray fit this cause, over 0 to 1. */
  weight: number;
  because: Evidence[];
}

/** Media that hold no food. */
const isInert = (medium: MediumKind): boolean => medium !== 'seed-mix';

/** What the tray rules out. */
const NO_CAUSE = 0.02;

const ramp = (value: number, none: number, all: number): number =>
  Math.min(1, Math.max(NO_CAUSE, (value - none) / (all - none)));

const rooting = (f: LookFacts): boolean => f.now < f.projected.forecast.marks.lightReady.p50;
const fed = (f: LookFacts): boolean => f.projected.method.feed !== 'none';
const stage = (f: LookFacts): Evidence => ({ kind: 'stage', rooted: !rooting(f) });
const water = (f: LookFacts): Evidence => ({ kind: 'water', share: f.waterShare });
/** Long warm and damp, where it was. */
const mouldHours = (f: LookFacts): Evidence[] =>
  f.risk.byHours === 'low' ? [] : [{ kind: 'mould-hours', level: f.risk.byHours }];
const warmth = (f: LookFacts): Evidence => ({ kind: 'warmth', tempC: f.tempC });

/** Air in which mould grows over seed within days (starting figures). */
const isSultry = (f: LookFacts): boolean =>
  f.tempC >= 23 && f.humidityPct >= 80 && !f.projected.place.movingAir;
/** Past its window, a grass is old. */
const isOldGrass = (f: LookFacts): boolean =>
  isGrass(f.projected.crop) && f.now > f.projected.forecast.marks.windowClose.p50;

/** Its cover has been off for a day or more. */
const isUncovered = ({ now, projected: { state, path } }: LookFacts): boolean =>
  path.cover !== 'none' && (state.uncoveredAt ?? state.litAt ?? Infinity) < now - DAY;
/** Five trays in six would have rooted by now. */
const isLateToRoot = ({ now, projected: { forecast } }: LookFacts): boolean =>
  forecast.chance('rooted', now) > 5 / 6;
/** Leaves stand over the medium. */
const hasLeaves = (f: LookFacts): boolean => f.ripeness > 0.6;

const isKeptDark = (f: LookFacts): boolean => f.projected.path.lightFrom === null;
const crowding = (f: LookFacts): Evidence[] =>
  f.crowding > 1.2 ? [{ kind: 'crowding', times: f.crowding }] : [];
const wasPressed = ({ projected: { path, state } }: LookFacts): boolean =>
  path.pressGCm2 > 0 && (!path.pressesLate || state.pressedAt !== null);

/** Every cause that a look can come to, with how well a tray's facts fit it. */
export const CAUSES = {
  'root-hairs': (f) => ({ weight: rooting(f) ? 0.9 : 0.6, because: [stage(f)] }),
  mould: (f) => {
    const byHours = { low: 0.45, raised: 0.7, high: 0.95 }[f.risk.byHours];
    return isSultry(f)
      ? {
          weight: Math.max(byHours, 0.8),
          because: [{ kind: 'still-air', tempC: f.tempC, humidityPct: f.humidityPct }, ...mouldHours(f)]
        }
      : {
          weight: byHours,
          because: mouldHours(f).length > 0 ? mouldHours(f) : [{ kind: 'looks-so', sight: 'mould' }]
        };
  },
  'hairs-after-all': (f) => ({
    // Before it has rooted there are hairs on every seed, and hardly mould yet.
    weight:
      isSultry(f) || f.risk.byHours !== 'low' || !rooting(f)
        ? 0.03
        : f.now < f.projected.forecast.marks.rooted.p50
          ? 0.6
          : 0.4,
    because: [stage(f)]
  }),
  // Stems hang well below where a tray is watered again.
  dry: (f) => ({ weight: ramp(f.waterShare, 0.4, 0.15), because: [water(f)] }),
  draught: (f) => ({
    weight: f.projected.place.movingAir ? ramp(f.vpdKpa, 0.8, 2) * 0.7 : 0.05,
    because: [{ kind: 'moving-air' }, { kind: 'dry-air', kpa: f.vpdKpa }]
  }),
  'long-dark': (f) => ({
    weight: isKeptDark(f) ? 0.02 : ramp(f.daysDark, 1.5, 4),
    because: [{ kind: 'dark', days: f.daysDark }]
  }),
  'damping-off': (f) => ({
    weight: 0.3 + 0.65 * Math.max(ramp(f.waterShare, 0.5, 0.95), f.risk.byHours === 'high' ? 0.9 : 0.2),
    because: [
      ...(f.waterShare > 0.6 ? [water(f)] : []),
      ...(f.overwatered ? [{ kind: 'overwatered' } as const] : []),
      ...mouldHours(f),
      ...crowding(f),
      { kind: 'looks-so', sight: 'fallen-rot' }
    ]
  }),
  dim: (f) => ({
    weight: f.light.kind === 'lamp' ? NO_CAUSE : f.daysInLight > 0 ? ramp(f.dli, 8, 2) : 0.1,
    because: [{ kind: 'dli', dli: f.dli }]
  }),
  // Under a lamp it is the lamp that is to be changed.
  'faint-lamp': (f) => ({
    weight: f.light.kind === 'lamp' && f.daysInLight > 0 ? ramp(f.dli, 8, 2) : NO_CAUSE,
    because: [{ kind: 'dli', dli: f.dli }]
  }),
  // Stems that were pressed straighten within two days of light.
  'bent-by-weight': (f) => ({
    weight: wasPressed(f) && f.daysInLight < 2 ? 0.9 * ramp(f.daysDark, 4, 2) : NO_CAUSE,
    because: [{ kind: 'pressed' }]
  }),
  'too-warm': (f) => ({
    weight: 0.9 * ramp(f.tempC, f.projected.crop.optimumC, f.projected.crop.keepBelowC),
    because: [warmth(f)]
  }),
  crowded: (f) => ({ weight: ramp(f.crowding, 1, 1.6), because: [{ kind: 'crowding', times: f.crowding }] }),
  cold: (f) => ({
    weight: ramp(f.tempC, f.projected.crop.baseC + 14, f.projected.crop.baseC + 6),
    because: [warmth(f)]
  }),
  'old-seed': (f) => {
    const pct = f.projected.setup.germinationPct ?? f.projected.crop.germinationPct;
    return {
      weight: ramp(pct, f.projected.crop.germinationPct, WEAK_GERMINATION_PCT),
      because: [{ kind: 'germination', pct }]
    };
  },
  'just-lit': (f) => ({
    weight: f.daysInLight > 0 && f.daysInLight < 2 ? 0.95 : 0.02,
    because: [{ kind: 'lit', days: f.daysInLight }]
  }),
  unfed: (f) => ({
    // A grass past its window is old, and not hungry.
    weight:
      isInert(f.projected.setup.medium) && !fed(f) && !isOldGrass(f) ? ramp(f.ripeness, 0.7, 1.3) : NO_CAUSE,
    because: [{ kind: 'medium', medium: f.projected.setup.medium, fed: fed(f) }]
  }),
  'lamp-close': (f) => ({
    weight: f.light.kind === 'lamp' ? (scorches(f.light) ? 0.97 : ramp(f.light.ppfd, 250, 600)) : 0.02,
    because:
      f.light.kind === 'lamp'
        ? [{ kind: 'lamp', ppfd: f.light.ppfd, distanceCm: f.light.distanceCm ?? null }]
        : []
  }),
  'dry-air': (f) => ({ weight: ramp(f.vpdKpa, 1, 2.2), because: [{ kind: 'dry-air', kpa: f.vpdKpa }] }),
  'strong-feed': (f) => ({
    weight: { none: 0.02, half: 0.2, reservoir: 0.6, 'reservoir-half': 0.2 }[f.projected.method.feed],
    because: [{ kind: 'medium', medium: f.projected.setup.medium, fed: fed(f) }]
  }),
  waterlogged: (f) => ({
    weight: f.overwatered ? 0.9 : ramp(f.waterShare, 0.85, 1),
    because: f.overwatered ? [{ kind: 'overwatered' }] : [water(f)]
  }),
  unpressed: (f) => ({
    weight: wasPressed(f) ? 0.01 : f.projected.crop.pressMinGCm2 > 0 ? 0.8 : 0.15,
    because: wasPressed(f) ? [] : [{ kind: 'unpressed' }]
  }),
  clinging: (f) => ({
    weight: traitsOf(f.projected.crop).clings ? 0.75 : 0.1,
    because: traitsOf(f.projected.crop).clings ? [{ kind: 'clings' }] : []
  }),
  'dry-hulls': (f) => ({
    weight: f.mistedWhileRooting ? 0.3 : 0.35 + 0.5 * ramp(f.vpdKpa, 0.8, 1.8),
    because: [
      ...(f.mistedWhileRooting ? [] : [{ kind: 'unmisted' } as const]),
      { kind: 'dry-air', kpa: f.vpdKpa }
    ]
  }),
  clumped: (f) => ({
    weight: f.projected.state.soakedAt !== null || f.projected.crop.gelSeed ? 0.55 : 0.2,
    because: [{ kind: 'wet-seed', gel: f.projected.crop.gelSeed }]
  }),
  'dry-edge': (f) => ({ weight: ramp(f.waterShare, 0.4, 0.2), because: [water(f)] }),
  unsoaked: (f) => {
    const { needsSoak, setup, state } = f.projected;
    const dry = needsSoak && wasDry(setup, state);
    return { weight: dry ? 0.85 : 0.01, because: dry ? [{ kind: 'unsoaked' }] : [] };
  },
  // Seed that is too warm sleeps.
  dormant: (f) => ({
    weight: 0.9 * ramp(f.tempC, f.projected.crop.keepBelowC - 2, f.projected.crop.keepBelowC + 1),
    because: [warmth(f)]
  }),
  unlit: (f) => ({
    weight: f.daysInLight === 0 && !isKeptDark(f) ? 0.9 : 0.01,
    because: [{ kind: 'unlit' }]
  }),
  'meant-pale': (f) => ({ weight: isKeptDark(f) ? 0.97 : 0.01, because: [{ kind: 'stays-dark' }] }),
  'sudden-sun': (f) => {
    const sun = f.light.kind === 'sill' && f.light.aspect !== 'away' && f.daysInLight > 0;
    return {
      weight: sun ? 0.9 * ramp(f.daysInLight, 4, 2) : 0.01,
      because: sun ? [{ kind: 'sun' }, { kind: 'lit', days: f.daysInLight }] : []
    };
  },
  'on-time': (f) => ({
    weight: !isUncovered(f) && !isLateToRoot(f) ? 0.9 : 0.2,
    because: [stage(f)]
  }),
  slow: (f) => ({
    weight: !isUncovered(f) && isLateToRoot(f) ? 0.9 : 0.1,
    because: [warmth(f)]
  }),
  // Seed leaves turn bitter as the first true leaf comes; what is cut by its height or tips has leaves all along.
  turning: (f) => {
    const { crop } = f.projected;
    return {
      weight:
        crop.harvestCue === 'cotyledon' && lateCost(crop) === 'bitter' && hasLeaves(f) ? 0.95 : NO_CAUSE,
      because: [{ kind: 'cut-by', cue: crop.harvestCue }]
    };
  },
  'leaf-belongs': (f) => {
    const cue = f.projected.crop.harvestCue;
    return {
      weight:
        (cue === 'height' || cue === 'tips') && !isGrass(f.projected.crop) && hasLeaves(f) ? 0.95 : NO_CAUSE,
      because: [{ kind: 'cut-by', cue }]
    };
  },
  // A grass is cut as its second blade comes, whenever that is.
  'second-blade': (f) => ({
    weight: isGrass(f.projected.crop) && hasLeaves(f) ? 0.97 : NO_CAUSE,
    because: [{ kind: 'grass' }, { kind: 'open', days: f.openFor }]
  }),
  // Tips of an old grass turn tan, and its lower leaves yellow.
  'old-grass': (f) => ({
    weight: isOldGrass(f) ? 0.98 : NO_CAUSE,
    because: [{ kind: 'grass' }, { kind: 'open', days: f.openFor }]
  }),
  ripe: (f) => {
    const isCue = f.projected.crop.harvestCue === 'true-leaf' && hasLeaves(f);
    return {
      weight: f.openFor >= 3 ? 0.4 : isCue ? 0.9 : 0.9 * ramp(f.openFor, -2, 0),
      because: [isCue ? { kind: 'cut-by', cue: 'true-leaf' } : { kind: 'open', days: f.openFor }]
    };
  },
  // From its best day on it ages towards its close.
  overripe: (f) => {
    const { windowBest: best, windowClose: close } = f.projected.forecast.marks;
    return {
      weight: ramp(f.now, best.p50, close.p50),
      because: [{ kind: 'closes', days: (close.p50 - f.now) / DAY }]
    };
  },
  unripe: (f) => ({ weight: 0.85 * ramp(f.openFor, 0, -1.5), because: [{ kind: 'open', days: f.openFor }] })
} satisfies Record<string, (facts: LookFacts) => Weighed>;

export type Cause = keyof typeof CAUSES;

/** Which causes a sight can have. */
export const CAUSES_OF: Record<Symptom, readonly Cause[]> = {
  tails: ['on-time', 'slow'],
  hairs: ['root-hairs', 'mould'],
  mould: ['mould', 'hairs-after-all'],
  'fallen-dry': ['dry', 'long-dark', 'draught'],
  'fallen-rot': ['damping-off', 'long-dark'],
  bent: ['bent-by-weight', 'long-dark', 'draught'],
  stretched: ['long-dark', 'dim', 'faint-lamp', 'too-warm', 'crowded', 'meant-pale'],
  weak: ['cold', 'dim', 'faint-lamp', 'old-seed', 'waterlogged', 'dry', 'too-warm'],
  pale: ['just-lit', 'unlit', 'dim', 'faint-lamp', 'cold', 'unfed', 'lamp-close', 'meant-pale'],
  bleached: ['lamp-close', 'sudden-sun'],
  scorched: ['lamp-close', 'sudden-sun', 'dry-air', 'too-warm', 'strong-feed', 'old-grass'],
  hungry: ['unfed', 'waterlogged', 'cold', 'lamp-close', 'old-grass'],
  hulls: ['unpressed', 'dry-hulls', 'clinging'],
  patchy: ['dry-edge', 'clumped', 'old-seed', 'unsoaked', 'dormant', 'cold'],
  'true-leaf': ['ripe', 'overripe', 'turning', 'leaf-belongs', 'second-blade'],
  'tastes-ready': ['ripe', 'unripe'],
  bitter: ['overripe', 'dry', 'too-warm', 'unripe'],
  fibrous: ['overripe', 'long-dark']
};
