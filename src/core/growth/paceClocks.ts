import type { Crop } from '../crops/crop.ts';
import type { LightFrom } from '../supplies/methods/path.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Clock } from './clock.ts';
import { tableOptimumDays, tableRate } from './marks.ts';

/** A crop that is meant for light runs so fast in the dark once it could have it: it stretches, and does not open. */
const DARK_RATE = 0.25;

/** When a sowing comes to light, as far as its log and its method tell. */
export interface Lighting {
  lightFrom: LightFrom;
  domeDays: number | null;
  /** The age at which its stems stand so high that the dome comes off, days at 21 degC; null where it does not go by that. */
  domeD21: number | null;
  /** Days in the dark from sowing on, where they are counted. */
  darkDays: number | null;
  /** Days that its cover stays on once it has rooted. */
  coveredOnD: number;
  /** When it was pressed, where that comes once it has rooted. */
  pressedAt: Millis | null;
  uncoveredAt: Millis | null;
  /** The grower chose to keep it covered until then; -Infinity where nobody did. */
  coveredUntil: Millis;
  litAt: Millis | null;
  startAt: Millis;
  /** What is due waits so long for somebody to come by, on average, h. */
  waitH: number;
  /** It stood in the dark up to here at least, while it has not come to light. */
  darkUntil: Millis | null;
  /** How likely its household leaves a cue untold, over what is taken of anybody, and when the round then asks without it. */
  untold?: Partial<Record<'rooted' | 'lightReady', { chance: number; askedAt: Millis }>>;
}

/** The clocks of where a sowing stands, in optimum days. */
export interface Clocks {
  /** Of warmth alone, from sowing on. */
  warm: Clock;
  /** Of warmth and light, as though light had been there from sowing on. */
  lit: Clock;
}

/** The clocks that a sowing's own are put together from. */
export interface Sources extends Clocks {
  /** Of the place that it is carried to as it comes to light; null where it stays. */
  then: Clocks | null;
}

/**
 * One pace's way through a sowing: where its clock changes what it runs on. Until its stems are even that is warmth alone,
 * then warmth and light, slowly while it is left in the dark, and from the opening on warmth alone again: what is ripe ages
 * wherever it is carried (docs/model.md, 3).
 */
export interface PaceWay {
  /** Dark to the end: warmth alone all the way. */
  inDark: boolean;
  /** From here on it stands where it is carried to; Infinity where it stays. */
  carriedAt: Millis;
  /** Optimum days by which the clock of warmth here is ahead then of that over there. */
  ahead: number;
  /** Its stems are even. */
  readyTau: number;
  readyAt: Millis;
  /** From here on light counts: never before its stems are even. */
  beginsAt: Millis;
  /** Optimum days that it went on in the dark before. */
  stretched: number;
  litFrom: number;
  /** Its stems stand so high that the dome comes off; Infinity where that does not go by height. */
  highTau: number;
  /** It opens. */
  openTau: number;
  openAt: Millis;
  warmOpen: number;
}

/** By warmth alone, all the way. */
export const WARM: PaceWay = {
  inDark: true,
  carriedAt: Infinity,
  ahead: 0,
  readyTau: 0,
  readyAt: Infinity,
  beginsAt: Infinity,
  stretched: 0,
  litFrom: 0,
  highTau: Infinity,
  openTau: Infinity,
  openAt: Infinity,
  warmOpen: Infinity
};

/** Carried as it comes to light, its warmth is that of here before and of there afterwards. */
class Warmth {
  private readonly atCarry: number;
  readonly ahead: number;
  constructor(
    private readonly here: Clock,
    private readonly there: Clock,
    private readonly carriedAt: Millis
  ) {
    const isCarried = Number.isFinite(carriedAt);
    this.atCarry = isCarried ? here.tau(carriedAt) : Infinity;
    this.ahead = isCarried ? this.atCarry - there.tau(carriedAt) : 0;
  }

  tau(at: Millis): number {
    return at <= this.carriedAt ? this.here.tau(at) : this.there.tau(at) + this.ahead;
  }

  when(tau: number): Millis {
    return tau <= this.atCarry ? this.here.when(tau) : this.there.when(tau - this.ahead);
  }
}

/**
 * The way of a pace, ln against the table, whose germination adds such a share to the time to `rooted`: both switches stand at its
 * own stages.
 */
export function waysOf(
  crop: Crop,
  sources: Sources,
  lighting: Lighting
): (pace: number, late: number) => PaceWay {
  const table = tableOptimumDays(crop);
  const high = lighting.domeD21 === null ? Infinity : tableRate(crop) * lighting.domeD21;
  const inDark = lighting.lightFrom === null && lighting.litAt === null;
  const { warm: here, then } = sources;
  const { warm: there, lit } = then ?? sources;
  return (pace, late) => {
    const k = Math.exp(pace);
    const germinates = table.rooted * late;
    const rootedTau = (table.rooted + germinates) * k;
    const readyTau = (table.lightReady + germinates) * k;
    const openTau = (table.windowOpen + germinates) * k;
    if (inDark) {
      const readyAt = here.when(readyTau);
      return { ...WARM, readyTau, readyAt, openTau, openAt: here.when(openTau), warmOpen: openTau };
    }
    const highTau = (high + germinates) * k;
    const taus = { rooted: rootedTau, lightReady: readyTau, high: highTau };
    const litAt = firstLight(lighting, (reached) => here.when(taus[reached]));
    const carriedAt = then === null ? Infinity : litAt;
    const warm = new Warmth(here, there, carriedAt);
    const readyAt = warm.when(readyTau);
    // Light before its stems are even neither slows nor speeds.
    const beginsAt = Math.max(readyAt, litAt);
    const isLit = Number.isFinite(beginsAt);
    const need = openTau - readyTau;
    const stretched =
      beginsAt === readyAt ? 0 : isLit ? DARK_RATE * (warm.tau(beginsAt) - readyTau) : Infinity;
    const litFrom = isLit ? lit.tau(beginsAt) : 0;
    const openAt =
      stretched >= need ? warm.when(readyTau + need / DARK_RATE) : lit.when(litFrom + need - stretched);
    const warmOpen = Number.isFinite(openAt) ? warm.tau(openAt) : Infinity;
    const { ahead } = warm;
    return {
      inDark,
      carriedAt,
      ahead,
      readyTau,
      readyAt,
      beginsAt,
      stretched,
      litFrom,
      highTau,
      openTau,
      openAt,
      warmOpen
    };
  };
}

/** What the clocks of a sowing show at a moment, optimum days. */
export interface Shown {
  /** Of warmth where it stands, and where it is carried to. */
  here: number;
  there: number;
  /** Of warmth and light, where it comes to light. */
  lit: number;
}

export function shownAt({ warm, lit, then }: Sources, at: Millis): Shown {
  const here = warm.tau(at);
  return then === null
    ? { here, there: here, lit: lit.tau(at) }
    : { here, there: then.warm.tau(at), lit: then.lit.tau(at) };
}

/** Optimum days at a moment, on one way. */
export function tauOn(way: PaceWay, at: Millis, { here, there, lit }: Shown): number {
  const warm = at <= way.carriedAt ? here : there + way.ahead;
  if (way.inDark || at <= way.readyAt) return warm;
  if (at > way.openAt) return way.openTau + warm - way.warmOpen;
  return at <= way.beginsAt
    ? way.readyTau + DARK_RATE * (warm - way.readyTau)
    : way.readyTau + way.stretched + lit - way.litFrom;
}

/** The clock of one pace. */
export interface PaceClock {
  /** Optimum days at a moment. */
  tau(at: Millis): number;
  /** When it shows so many; Infinity for never. */
  when(tau: number): Millis;
}

export function clockOn(way: PaceWay, sources: Sources): PaceClock {
  const { warm: there, lit } = sources.then ?? sources;
  const warm = new Warmth(sources.warm, there, way.carriedAt);
  return {
    tau: (at) => tauOn(way, at, shownAt(sources, at)),
    when: (tau) => {
      const { inDark, readyTau, stretched, litFrom, openTau, openAt, warmOpen } = way;
      if (inDark || tau <= readyTau) return warm.when(tau);
      if (tau > openTau) return Number.isFinite(openAt) ? warm.when(warmOpen + tau - openTau) : Infinity;
      return tau <= readyTau + stretched
        ? warm.when(readyTau + (tau - readyTau) / DARK_RATE)
        : lit.when(litFrom + tau - readyTau - stretched);
    }
  };
}

/**
 * First light, as it was or as its method has it: by the days under the dome where the method counts them, else at the mark
 * that the crop waits for and somebody comes by, never before its cover came off, nor before it was last seen in the dark.
 * Infinity for never.
 * @param reachedAt when a mark is reached, or its stems stand so high: at one pace, or as it is expected over all of them
 */
export function firstLight(
  lighting: Lighting,
  reachedAt: (reached: 'rooted' | 'lightReady' | 'high') => Millis
): Millis {
  const {
    lightFrom,
    domeDays,
    domeD21,
    darkDays,
    coveredOnD,
    pressedAt,
    uncoveredAt,
    coveredUntil,
    litAt,
    startAt,
    waitH,
    darkUntil
  } = lighting;
  const dealtWithAt = (mark: 'rooted' | 'lightReady'): Millis => {
    const at = reachedAt(mark);
    const { chance, askedAt } = lighting.untold?.[mark] ?? { chance: 0, askedAt: at };
    return chance > 0 && askedAt > at ? at + chance * (askedAt - at) : at;
  };
  if (litAt !== null) return litAt;
  if (lightFrom === null) return Infinity;
  if (lightFrom === 'sown') return startAt;
  if (lightFrom === 'counted')
    return Math.max(
      startAt + darkDays! * DAY,
      coveredUntil,
      uncoveredAt ?? -Infinity,
      darkUntil ?? -Infinity
    );
  const uncovers =
    uncoveredAt ?? Math.max((pressedAt ?? dealtWithAt('rooted')) + coveredOnD * DAY, coveredUntil);
  const due =
    lightFrom === 'rooted'
      ? uncovers
      : domeDays !== null
        ? uncovers + domeDays * DAY
        : Math.max(domeD21 === null ? dealtWithAt('lightReady') : reachedAt('high'), uncovers);
  return Math.max(due + waitH * HOUR, coveredUntil, uncoveredAt ?? -Infinity, darkUntil ?? -Infinity);
}
