import { mouldRisk } from '../diagnosis/mould.ts';
import type { EventType } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { sawLately } from '../sowing/reduce.ts';
import { stageAt, standsSince } from '../sowing/stage.ts';
import { ROUND_LEAD_H, type Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import {
  DRAINED,
  dryShare,
  FULL_SHARE,
  MIST_LEAST_ML_CM2,
  mistMl,
  mistNowMl,
  poolPartG,
  TOP_SHARE
} from '../water/bucket.ts';
import { trackOf, waterAt, type WaterLevel } from '../water/level.ts';
import { feedOf, peroxideIn } from './doses.ts';
import { unshadesAt } from './compile.ts';
import { dueCare, dueOnce, type DueStep } from './due.ts';
import type { How, WhyWater } from './step.ts';
import { isNearCut, lackingG, mightHang, withheld } from './withhold.ts';

/** Turned or aired once a day; a few hours early counts. */
const ONCE_A_DAY_H = 16;
/** In the last days before the window, still air between stems is let out (starting figure). */
const AIR_DAYS = 2;
/** What a medium takes before water stands in it, over its capacity, and how often that may be misjudged. */
const RUN_OVER = 1.05;
const ONE_IN_TWENTY = 1.645;
/** Less than this share of what it holds is not worth pouring. */
const WORTH_SHARE = 0.05;

/** Care that a sowing asks for in a round: nothing that it does not need. */
export function careSteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { state } = sowing;
  if (state.sownAt === null || state.sownAt >= round.at - HOUR) return [];
  const water = waterStep(sowing, round, now);
  // Watered finely from above, it need not be misted.
  const mist =
    water?.body.kind === 'water' && water.body.how === 'mist' ? null : mistStep(sowing, round, now);
  return [mist, water, ...spraySteps(sowing, round, now), ...lightSteps(sowing, round, now)].filter(
    (step) => step !== null
  );
}

/** Sprays of a household's own on what stands in light; none on mould, and none on what may soon be eaten. */
function spraySteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { state, method, areaCm2 } = sowing;
  if (stageAt(sowing, now) !== 'light' || isNearCut(sowing, round) || sawLately(state, ['mould'], now))
    return [];
  return method.sprays.flatMap(({ name, timesADay }): DueStep[] => {
    const last = state.sprayed.get(name) ?? null;
    const isOver = last !== null && last > round.at - (timesADay === 1 ? ONCE_A_DAY_H : ROUND_LEAD_H) * HOUR;
    if ((timesADay === 1 && !isMorning(round)) || isOver) return [];
    const body = { kind: 'spray', name, waterMl: mistMl(areaCm2), timesADay } as const;
    return [dueCare(`spray:${name}:${round.key}`, body, round.at, round)];
  });
}

const isMorning = (round: Round): boolean => round.key.endsWith('.0');

/** When water was last given, in any way; the sowing where never. */
const lastGivenAt = ({ state }: Projected): Millis =>
  state.water.reduce(
    (last, fact) => ('addedG' in fact && !fact.onLeaves ? Math.max(last, fact.at) : last),
    state.sownAt!
  );

function mistStep(sowing: Projected, round: Round, now: Millis): DueStep | null {
  const { state, path, areaCm2, crop, method } = sowing;
  if (stageAt(sowing, now) !== 'press' || path.mists === 'never') return null;
  if (path.mists === 'daily' && !isMorning(round)) return null;
  // Where mould was seen, its cover is opened to air and not to more water.
  if (path.cover !== 'none' && sawLately(state, ['mould'], now)) return null;
  const given = lastGivenAt(sowing);
  // Watered finely from above in this round, it was misted.
  if (given > round.at - ROUND_LEAD_H * HOUR) return null;
  const { g, sdG, capacityG } = waterAt(sowing, now);
  const waterMl = mistNowMl(areaCm2, {
    containers: sowing.setup.count,
    covered: path.cover !== 'none',
    // Nor where it may well be fuller than believed: under a cover next to nothing goes, for days.
    g: g + sdG,
    holdsG: capacityG,
    lostG: trackOf(sowing).lossG(given, Math.max(given, now))
  });
  const every = path.mists === 'daily' ? DAY : (round.at - round.before[1]) / 2;
  const body = {
    kind: 'mist',
    waterMl,
    fine: crop.gelSeed,
    peroxideMl: peroxideIn(method, waterMl),
    first: null
  } as const;
  return dueCare(`mist:${round.key}`, body, Math.min(round.at, given + every - ROUND_LEAD_H * HOUR), round);
}

function waterStep(sowing: Projected, round: Round, now: Millis): DueStep | null {
  const level = waterAt(sowing, now);
  const through = isPouredThrough(sowing, now);
  const wanting = isPourDue(sowing, round, now) || isWanting(sowing, level, round, now);
  if (level.capacityG === 0 || !wanting || withheld(sowing, round)) return null;
  if (isSettled(sowing, round)) return null;
  const { waterMl, staysMl } = pourOf(sowing, level, round, now);
  if (waterMl < worthMl(sowing, level)) return null;
  // Watered in this round already and found dry again: a step of its own, the same for whoever sees it.
  const given = sowing.state.water.filter(
    (fact) => 'addedG' in fact && fact.at > round.at - ROUND_LEAD_H * HOUR
  ).length;
  const reservoir = isReservoir(level);
  return dueCare(
    `${reservoir ? 'top' : 'water'}:${round.key}${given > 0 ? `.${given}` : ''}`,
    {
      kind: 'water',
      waterMl,
      staysMl,
      share: shareOf(level),
      ifStoodMl: ifStoodMl(sowing, level, round, now),
      why: whyWatered(sowing, round, now),
      how: through ? 'through' : level.isPool ? 'below' : reservoir ? 'reservoir' : howWatered(sowing, now),
      timesADay: through ? sowing.path.poursADay : 0,
      feed: now >= standsSince(sowing) ? feedOf(sowing, waterMl) : null,
      peroxideMl: peroxideIn(sowing.method, waterMl)
    },
    wasAskedBefore(sowing, round) ? round.before[1] : round.at,
    round
  );
}

/** So much of what it holds is poured through a mat, to wet it all over (starting figure). */
const POURED_SHARE = 1;
/** And so much is then taken to be in it. */
const DRAINED_SHARE = (DRAINED[0] + DRAINED[1]) / 2;

/** Whether it is a mat that is lifted, poured through and drained. */
const isPouredThrough = (sowing: Projected, now: Millis): boolean =>
  sowing.path.poursADay > 0 && stageAt(sowing, now) !== 'press';

/** How much to pour now, and how much of it stays where it drains. */
const pourOf = (
  sowing: Projected,
  level: WaterLevel,
  round: Round,
  now: Millis
): { waterMl: number; staysMl: number | null } =>
  isPouredThrough(sowing, now)
    ? {
        waterMl: level.capacityG * POURED_SHARE,
        staysMl: Math.max(0, level.capacityG * DRAINED_SHARE - level.g)
      }
    : { waterMl: pourMl(sowing, round, now), staysMl: null };

/** Whether the method pours through it in this round, however damp it is: at each round, or in the morning. */
const isPourDue = (sowing: Projected, round: Round, now: Millis): boolean =>
  isPouredThrough(sowing, now) && (sowing.path.poursADay === 2 || isMorning(round));

const POURS: ReadonlySet<EventType> = new Set(['watered', 'fed']);
const FINDS: ReadonlySet<EventType> = new Set(['felt', 'lifted', 'weighed', 'saw']);

/** Once watered, a tray is not watered again in the same round, unless somebody has checked its moisture since. */
function isSettled({ state }: Projected, round: Round): boolean {
  const last = state.log.findLast(
    ({ event, undone }) => !undone && (POURS.has(event.body.type) || FINDS.has(event.body.type))
  );
  return (
    last !== undefined && POURS.has(last.event.body.type) && last.event.at > round.at - ROUND_LEAD_H * HOUR
  );
}

const isReservoir = ({ reservoirShare, isPool }: WaterLevel): boolean => reservoirShare !== null && !isPool;

/** How full it is said to be: its reservoir, or what feeds its stems. */
const shareOf = (level: WaterLevel): number => (isReservoir(level) ? level.reservoirShare! : level.share);

/** Less than this is not worth pouring, mL. */
const worthMl = ({ areaCm2 }: Projected, { capacityG }: WaterLevel): number =>
  Math.max(capacityG * WORTH_SHARE, MIST_LEAST_ML_CM2 * areaCm2);

/**
 * Whether it is to be watered in this round. A pool and a reservoir are looked at as they are by the next round, a medium
 * midway to it; what is to get a pool in this round is a medium still.
 */
function isWanting(sowing: Projected, level: WaterLevel, round: Round, now: Millis): boolean {
  const next = Math.max(now, round.nextAt);
  if (isReservoir(level)) return waterAt(sowing, next).reservoirShare! < TOP_SHARE;
  // Shoots that stay in the dark are watered once as they are uncovered, and drink little from then on.
  if (isJustUncovered(sowing)) return true;
  // Seed that roots has no stems that could hang.
  if (stageAt(sowing, now) !== 'press' && mightHang(sowing, round, now)) return true;
  const then = level.isPool ? next : Math.max(now, (round.at + round.nextAt) / 2);
  return waterAt(sowing, then).g < dryShare(sowing.crop) * level.baseG;
}

/** Whether shoots that stay in the dark have had no water since their cover came off. */
const isJustUncovered = (sowing: Projected): boolean =>
  sowing.path.lightFrom === null &&
  sowing.state.uncoveredAt !== null &&
  lastGivenAt(sowing) < sowing.state.uncoveredAt;

/** Why it is watered in this round, as it truly is. */
function whyWatered(sowing: Projected, round: Round, now: Millis): WhyWater {
  const least = dryShare(sowing.crop);
  const here = waterAt(sowing, now);
  const then = waterAt(sowing, Math.max(now, round.nextAt));
  const low = ({ g, reservoirShare }: WaterLevel) =>
    isReservoir(here) ? reservoirShare! < TOP_SHARE : g < least * here.baseG;
  if (isJustUncovered(sowing) && !low(here)) return 'uncovered';
  return low(here) ? 'low' : low(then) ? 'soon' : isPourDue(sowing, round, now) ? 'as-chosen' : 'unsure';
}

/**
 * What a sowing is given where the other half of its container is watered: as much as it lacks of being full.
 * @param step of the other half, whose key it shares
 * @returns null where it is full enough
 */
export function alongsideWater(sowing: Projected, step: DueStep, round: Round, now: Millis): DueStep | null {
  const level = waterAt(sowing, now);
  const { waterMl, staysMl } = pourOf(sowing, level, round, now);
  if (step.body.kind !== 'water' || waterMl < worthMl(sowing, level)) return null;
  return {
    ...step,
    body: {
      ...step.body,
      waterMl,
      staysMl,
      share: shareOf(level),
      ifStoodMl: ifStoodMl(sowing, level, round, now),
      feed: step.body.feed && feedOf(sowing, waterMl),
      peroxideMl: peroxideIn(sowing.method, waterMl)
    }
  };
}

/** Whether two rounds ago it was to be watered already, with nothing given since. */
function wasAskedBefore(sowing: Projected, { before: [last, first] }: Round): boolean {
  if (sowing.state.sownAt! >= first - HOUR || lastGivenAt(sowing) >= first - ROUND_LEAD_H * HOUR)
    return false;
  const level = waterAt(sowing, last);
  if (isReservoir(level)) return level.reservoirShare! < TOP_SHARE;
  return waterAt(sowing, level.isPool ? last : (first + last) / 2).share < dryShare(sowing.crop);
}

/** A tray that was felt dry while its seed roots is watered up to here: seed that lies wet rots. */
const ROOTING_SHARE = 0.75;

/**
 * How much to pour: up to nine tenths. Where how much is left is so unsure that it might run over, less, but
 * never so little that it might hang: too much is the commonest way to lose one.
 */
function pourMl(sowing: Projected, round: Round, now: Millis): number {
  const level = waterAt(sowing, now);
  const { capacityG, g, sdG, isPool } = level;
  const track = trackOf(sowing);
  const upTo = isPool
    ? Math.min(capacityG, poolUpToG(sowing, round, now))
    : capacityG * (stageAt(sowing, now) === 'press' && !isReservoir(level) ? ROOTING_SHARE : FULL_SHARE);
  // What is left of a pool is poured off first, unless it is this round's.
  const stale = isPool && lastGivenAt(sowing) < round.at - ROUND_LEAD_H * HOUR;
  const wanted = upTo - (stale ? Math.min(g, track.mediumG) : g);
  const safe = capacityG * RUN_OVER - (g + ONE_IN_TWENTY * sdG);
  return Math.min(wanted, Math.max(safe, lackingG(sowing, round, now)));
}

/** How much medium and pool together are filled up to, g: no deeper than what goes until the next round, for what stands longer drowns. */
function poolUpToG(sowing: Projected, round: Round, now: Millis): number {
  const track = trackOf(sowing);
  // Whatever the next gap is, the longest one may come of it where a round is missed.
  const until = Math.max(round.nextAt, now + sowing.gapH * HOUR);
  return track.mediumG * FULL_SHARE + poolPartG(sowing.crop, track.mediumG, track.lossG(now, until));
}

/** What over a pool is enough where some of the last one still stood: then its medium is full. Null where none may stand. */
const ifStoodMl = (sowing: Projected, { isPool }: WaterLevel, round: Round, now: Millis): number | null =>
  isPool ? Math.max(0, poolUpToG(sowing, round, now) - trackOf(sowing).mediumG) : null;

/** Where water goes: finely from above while it sprouts, then by the method, whose first may be from above. */
function howWatered(sowing: Projected, now: Millis): How {
  const { method, state } = sowing;
  // Over a mere film there is nothing that could be watered from below.
  const dark = stageAt(sowing, now) === 'blackout' && sowing.setup.medium === 'none';
  if (stageAt(sowing, now) === 'press' || dark) return 'mist';
  if (method.lightWater !== 'first-above') return method.lightWater;
  const since = standsSince(sowing);
  return state.water.some((fact) => 'addedG' in fact && !fact.onLeaves && fact.at >= since)
    ? 'below'
    : 'above';
}

/** What a tray in light asks for besides water. */
function lightSteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { state, forecast } = sowing;
  const unshades = unshadesAt(sowing);
  if (unshades !== null && state.unshadedAt === null && unshades <= now && forecast.litAt <= now)
    return [dueOnce('unshade', { kind: 'unshade' }, unshades, round), ...dailySteps(sowing, round, now)];
  return dailySteps(sowing, round, now);
}

/** What a tray in light asks for day by day. */
function dailySteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { state, place, forecast } = sowing;
  const since = standsSince(sowing);
  if (stageAt(sowing, now) !== 'light' || round.at - since < 12 * HOUR) return [];
  const day = round.key.split('.')[0]!;
  const steps: DueStep[] = [];
  const open = forecast.marks.windowOpen.p50;
  const missedTwice = (last: Millis) => Math.min(round.at, last + DAY + ONCE_A_DAY_H * HOUR);
  // Only a window has light from one side; a tray about to be cut may lean.
  if (place.light.kind === 'sill' && open > now && isMorning(round) && !lately(state.turnedAt, round))
    steps.push(dueCare(`turn:${day}`, { kind: 'turn' }, missedTwice(state.turnedAt ?? since), round));
  const lastDays = open - now < AIR_DAYS * DAY && state.cuts.length === 0;
  const risk = lastDays && !place.movingAir ? mouldRisk(sowing, now) : null;
  // One round a day is as good as two: there is then no evening to wait for.
  const oneRound = round.nextAt - round.at > 18 * HOUR;
  if (risk && risk.level !== 'low' && (oneRound || !isMorning(round)) && !lately(state.airedAt, round)) {
    const began = open - AIR_DAYS * DAY;
    steps.push(
      dueCare(
        `air:${day}`,
        { kind: 'air', drivers: risk.drivers },
        missedTwice(Math.max(state.airedAt ?? since, began)),
        round
      )
    );
  }
  return steps;
}

const lately = (at: Millis | null, round: Round): boolean =>
  at !== null && at > round.at - ONCE_A_DAY_H * HOUR;
