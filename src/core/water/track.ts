import { standsAt } from '../growth/forecast.ts';
import type { Watered, WaterFact } from './watered.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { truncated } from '../stats/truncated.ts';
import { airAt, usualAir } from '../places/air/airAt.ts';
import { FULL_SHARE, lossGPerDay, poolG, storeOf } from './bucket.ts';
import { reservoirMlOf } from '../supplies/containers/container.ts';
import { coverAt } from './cover.ts';
import { plantsG } from './plants.ts';

/** How sure amounts of water are, as shares of what they are a part of (starting figures). */
const SURE = {
  /** Of capacity, when it was sown on damp medium. */
  atSowing: 0.05,
  /** Of what was poured. */
  poured: 0.05,
  /** Of capacity, once it was full and has drained. */
  drained: 0.04,
  /** Of capacity, by the scale. */
  scale: 0.015,
  /** Of what the plants gained meanwhile, which the scale cannot tell from water. */
  growth: 0.25,
  /** Of what was lost in a step: air is never quite what it is taken for. */
  lost: 0.1
} as const;

const STEP = DAY / 8;
/** What is done within these hours is one round's work. */
const SAME_ROUND = 4 * HOUR;

/** Water over what the medium holds that was given at once. */
export interface Excess {
  at: Millis;
  g: number;
}

/** The water of one sowing and how thirsty it is, as believed at a moment. */
interface Belief {
  at: Millis;
  /** Water, g: mean and variance. */
  g: number;
  gg: number;
  /** ln of its factor on loss: mean, variance, and its covariance with the water. */
  thirst: number;
  tt: number;
  gt: number;
}

/**
 * The bucket of one sowing through all that was poured, felt, lifted and weighed (docs/model.md, 6): an
 * extended Kalman filter over the water and ln of the factor on its loss, so that each correction moves both
 * by as much as it can say.
 */
export class WaterTrack {
  readonly mediumG: number;
  /** What its reservoir holds. */
  readonly reservoirG: number;
  /** What may stand in the tray under it, and from when on. */
  readonly poolG: number;
  private readonly poolFrom: Millis;
  /** What went over the rim or stood at the bottom. */
  readonly excess: Excess[] = [];
  /** What was asked before: a round asks for the same few moments again and again. */
  private readonly asked = new Map<Millis, { g: number; sdG: number }>();
  /** Facts so far, each with what was believed just after it. */
  private readonly known: Belief[] = [];

  constructor(
    private readonly sowing: Watered,
    began: Gaussian
  ) {
    const { areaCm2, mediumDepthCm, setup, state, startAt } = sowing;
    const { mediumG, reservoirG } = storeOf(areaCm2, mediumDepthCm, setup.medium, reservoirMlOf(setup));
    this.mediumG = mediumG;
    this.reservoirG = reservoirG;
    const place = sowing.carriedTo ?? sowing.stays.at(-1)!.place;
    // Some trays lose more than expected: one standard deviation of the household's factor.
    const thirst = Math.exp(began.mean + Math.sqrt(began.variance));
    const air = { ...usualAir(place), movingAir: place.movingAir };
    // A mat that drains after each watering has no pool.
    this.poolG =
      sowing.path.poursADay > 0
        ? 0
        : poolG(
            areaCm2,
            { medium: setup.medium, reservoirMl: reservoirMlOf(setup) },
            (thirst * lossGPerDay(areaCm2, 'lastThird', air) * sowing.gapH) / 24
          );
    this.poolFrom = poolFrom(sowing);
    const sownFull = mediumG + reservoirG;
    let now: Belief = {
      at: startAt,
      g: state.sownAt === null ? sownFull * FULL_SHARE : 0,
      gg: (SURE.atSowing * sownFull) ** 2,
      thirst: began.mean,
      tt: began.variance,
      gt: 0
    };
    this.known.push(now);
    let pouredAt = -Infinity;
    let base: { g: number; variance: number; plants: number } | null = null;
    for (const fact of state.water) {
      const full = this.fullG(fact.at);
      if (full === 0) break;
      now = this.dryTo(now, fact.at);
      if ('addedG' in fact) {
        now = this.pour(now, fact, pouredAt);
        if (!fact.onLeaves) pouredAt = fact.at;
      } else if ('between' in fact || 'feels' in fact) {
        const [low, high] = 'between' in fact ? fact.between.map((share) => share * full) : this.felt(fact);
        now = learn(now, truncated({ mean: now.g, variance: now.gg }, low!, high!));
      } else {
        const plants = plantsG(sowing, fact.at);
        if (fact.full) now = learn(now, known(FULL_SHARE * full, SURE.drained * full));
        else if (base) {
          const grown = plants - base.plants;
          const variance = (SURE.scale * full) ** 2 + (SURE.growth * Math.max(0, grown)) ** 2 + base.variance;
          now = learn(now, seenAs(now, { mean: fact.grossG - base.g - grown, variance }));
        }
        if (fact.full || !base) base = { g: fact.grossG - now.g, variance: now.gg, plants };
      }
      now = { ...now, g: Math.min(full, Math.max(0, now.g)) };
      this.known.push(now);
    }
  }

  /** What holds its water below the medium at a moment, g: its reservoir, or the pool that roots have reached. */
  belowG(at: Millis): number {
    return this.reservoirG + (at >= this.poolFrom ? this.poolG : 0);
  }

  /** All that holds its water at a moment, g. */
  fullG(at: Millis): number {
    return this.mediumG + this.belowG(at);
  }

  /** What is believed of the factor on this sowing's loss, ln. */
  get thirst(): Gaussian {
    const last = this.known.at(-1)!;
    return { mean: last.thirst, variance: last.tt };
  }

  /** Water at a moment with its standard deviation, g; ahead, with nothing given until then. */
  at(at: Millis): { g: number; sdG: number } {
    let level = this.asked.get(at);
    if (!level) this.asked.set(at, (level = this.reckoned(at)));
    return level;
  }

  private reckoned(at: Millis): { g: number; sdG: number } {
    let index = this.known.length - 1;
    while (index > 0 && this.known[index]!.at > at) index -= 1;
    const { g, gg } = this.dryTo(this.known[index]!, at);
    return { g, sdG: Math.sqrt(gg) };
  }

  /** Water that is expected to go between two moments, were there always enough, g. */
  lossG(from: Millis, until: Millis): number {
    const factor = Math.exp(this.thirst.mean);
    let sum = 0;
    for (let at = from; at < until; at += STEP) sum += this.stepG(at, Math.min(until, at + STEP)) * factor;
    return sum;
  }

  /** What a stretch of at most three hours takes by the figures, g. */
  private stepG(at: Millis, next: Millis): number {
    const air = airAt(standsAt(this.sowing, at), at);
    const { areaCm2 } = this.sowing;
    // What is cut loses as open medium does.
    const cut = this.cutShareAt(at);
    const perDay =
      lossGPerDay(areaCm2 * (1 - cut), coverAt(this.sowing, at), air) +
      lossGPerDay(areaCm2 * cut, 'germinating', air);
    return (perDay * (next - at)) / DAY;
  }

  /** What the feel of its medium says of all its water, g: as right as it can be over a reservoir, and wet over a pool. */
  private felt({ at, feels: [low, high] }: WaterFact & { feels: readonly [number, number] }): number[] {
    const damp = low > 0 && this.reservoirG > 0;
    return [low * this.mediumG, damp || high === 1 ? this.fullG(at) : high * this.mediumG];
  }

  /** @param lastAt when anything was last given */
  private pour(now: Belief, fact: WaterFact & { addedG: number; onLeaves?: true }, lastAt: Millis): Belief {
    const full = this.fullG(fact.at);
    // What is left of a pool is poured off before there is a new one; what is added soon after goes with that.
    const pooled =
      !fact.onLeaves && this.reservoirG === 0 && this.belowG(fact.at) > 0 && fact.at - lastAt > SAME_ROUND;
    const g = (pooled ? Math.min(now.g, this.mediumG) : now.g) + fact.addedG;
    if (g <= full) return { ...now, g, gg: now.gg + (SURE.poured * fact.addedG) ** 2 };
    // A little over is what drains off any tray; from a twentieth on it is worth saying.
    if (g > full * 1.05 && now.at !== this.sowing.startAt) this.excess.push({ at: fact.at, g: g - full });
    return { ...now, g: full, gg: Math.min(now.gg, (SURE.drained * full) ** 2), gt: 0 };
  }

  private dryTo(from: Belief, until: Millis): Belief {
    let { at, g, gg, gt } = from;
    const { thirst, tt } = from;
    const factor = Math.exp(thirst);
    while (at < until) {
      const next = Math.min(until, at + STEP);
      const loss = this.stepG(at, next) * factor;
      g = Math.max(0, g - loss);
      gg = Math.max(1e-6, gg - 2 * loss * gt + loss * loss * tt) + (SURE.lost * loss) ** 2;
      gt -= loss * tt;
      at = next;
    }
    return { at: until > from.at ? until : from.at, g, gg, gt, thirst, tt };
  }

  /** How much of it is cut at a moment, of what grows then. */
  private cutShareAt(at: Millis): number {
    const { cuts, regrowsSince } = this.sowing.state;
    let share = 0;
    for (const cut of cuts) if (cut.at <= at && cut.at > (regrowsSince ?? -Infinity)) share += cut.share;
    return Math.min(1, share);
  }
}

/** A pool is of use once roots have reached it: from first light on, and in the open once it has rooted. */
const poolFrom = ({ state, path, forecast }: Watered): Millis =>
  path.cover === 'none' || path.lightFrom === 'sown'
    ? forecast.marks.rooted.p50
    : (state.litAt ?? forecast.litAt);

const known = (mean: number, sd: number): Gaussian => ({ mean, variance: sd ** 2 });

/** Water after it was seen with a noise of its own. */
function seenAs(now: Belief, { mean, variance }: Gaussian): Gaussian {
  const gain = now.gg / (now.gg + variance);
  return { mean: now.g + gain * (mean - now.g), variance: (1 - gain) * now.gg };
}

/** Takes over what is now believed of the water, and what that says of the thirst that led there. */
function learn(now: Belief, { mean, variance }: Gaussian): Belief {
  const slope = now.gg > 0 ? now.gt / now.gg : 0;
  return {
    ...now,
    g: mean,
    gg: variance,
    thirst: now.thirst + slope * (mean - now.g),
    tt: Math.max(1e-4, now.tt - slope * slope * (now.gg - variance)),
    gt: slope * variance
  };
}
