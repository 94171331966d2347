import { isSoaked } from '../crops/crop.ts';
import { pressingOf } from '../methods/pressing.ts';
import { mediumVolumeMl } from '../medium/medium.ts';
import { jarFor } from '../soak/jar.ts';
import { drainHours } from '../soak/schedule.ts';
import type { Sight } from '../looks/sight.ts';
import type { Followed } from '../sowing/follow.ts';
import { ROUND_LEAD_H, type Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { careTasks, feedShare } from './care.ts';
import { notesOf } from './notes.ts';
import { dryShare, FULL_SHARE, mistMl, TOP_SHARE } from '../water/bucket.ts';
import { weakPeroxideMl } from '../prepare/disinfect.ts';
import { sowingWaterG, waterAt } from '../water/level.ts';
import { lackingG, mightHang, withheld } from './withhold.ts';
import { task } from './makeTask.ts';
import type { Ask, CueLook, Task, TaskBody } from './task.ts';

/** A cue is looked for once it has this chance of having been reached by the next round. */
const LOOK_CHANCE = 0.1;
/** What a medium takes before water stands in it, over its capacity, and how often that may be misjudged. */
const RUN_OVER = 1.05;
const ONE_IN_TWENTY = 1.645;

/** What a sowing asks for in this round: tasks with their amounts, and the look that would tell most. */
export function askOf(followed: Followed, round: Round, now: Millis): Ask {
  if (followed.state.stage === 'ended') return { tasks: [], look: null, feel: false, notes: [] };
  const tasks = [
    ...stageTasks(followed, round, now),
    ...waterTasks(followed, round, now),
    ...careTasks(followed, round, now)
  ].filter(({ key }) => !followed.state.ticked.has(key));
  const bare = followed.state.sownAt !== null && followed.state.stage !== 'press';
  return {
    tasks,
    look: lookOf(followed, round, now),
    feel: bare || (followed.state.sownAt !== null && followed.path.cover === 'none'),
    notes: notesOf(followed, round, now)
  };
}

/** The step that takes the sowing to its next stage, once its time has come. */
function stageTasks(followed: Followed, round: Round, now: Millis): Task[] {
  const { state, soak, crop, setup, path, forecast, areaCm2 } = followed;
  const horizon = Math.max(now, round.nextAt - HOUR);
  const seen = (mark: string) => state.seen.some((entry) => entry.mark === mark && entry.reachedAt !== null);
  switch (state.stage) {
    case 'prepare': {
      if (soak.soakStart !== null && isSoaked(crop)) {
        if (soak.soakStart > horizon) return [];
        const { waterMl, jarMl } = jarFor(crop, setup.seedG);
        return [
          task(
            'soak',
            { kind: 'soak', seedG: setup.seedG, waterMl, jarMl, until: soak.soakEnd! },
            soak.soakStart,
            round
          )
        ];
      }
      return soak.sowAt <= horizon ? [sowTask(followed, round)] : [];
    }
    case 'soak': {
      const since = state.soakedAt!;
      if (soak.soakEnd! > horizon) return [];
      const body: TaskBody = {
        kind: 'drain',
        since,
        maxAt: since + crop.soakMaxH * HOUR,
        drainH: drainHours(crop)
      };
      return [task('drain', body, soak.soakEnd!, round)];
    }
    case 'drain': {
      const ready = state.drainedAt! + drainHours(crop) * HOUR;
      return ready <= horizon ? [sowTask(followed, round)] : [];
    }
    case 'press': {
      if (path.lightFrom === 'sown')
        return stepIf(seen('rooted') || now >= forecast.marks.rooted.p90, 'light', followed, round);
      if (path.cover === 'none') return [];
      const due = seen('rooted') || now >= forecast.marks.rooted.p90;
      return stepIf(due, 'uncover', followed, round);
    }
    case 'blackout':
      if (path.lightFrom === null) return cutTask(followed, round, now);
      return stepIf(isDomeOver(followed, now), 'light', followed, round);
    case 'light':
      return cutTask(followed, round, now);
    case 'ended':
      return [];
  }
  function sowTask(of: Followed, at: Round): Task {
    const mediumMl = mediumVolumeMl(areaCm2, of.mediumDepthCm);
    const body: TaskBody = {
      kind: 'sow',
      seedG: setup.seedG,
      mediumMl,
      waterMl: sowingWaterG(of),
      reservoir: setup.medium === 'mesh',
      pressing: pressingOf(of.crop, path, areaCm2, setup.count)
    };
    return task('sow', body, of.soak.sowAt, at);
  }
}

function stepIf(due: boolean, kind: 'uncover' | 'light', followed: Followed, round: Round): Task[] {
  if (!due) return [];
  const { path, place, forecast } = followed;
  const mark = kind === 'light' && path.blackout ? forecast.marks.lightReady : forecast.marks.rooted;
  const body: TaskBody =
    kind === 'uncover'
      ? { kind, to: path.blackout || path.lightFrom === null ? 'blackout' : 'light' }
      : { kind, lamp: place.light.kind === 'lamp' };
  return [task(kind, body, mark.p90, round)];
}

const SEEN_FOR_D = 3;

/** Whether one of these was seen within the last three days. */
const sawLately = (state: Followed['state'], sights: readonly Sight[], now: Millis): boolean =>
  state.sights.some(({ sight, at }) => sights.includes(sight) && at > now - SEEN_FOR_D * DAY);

/** Whether its time under the dome is up: by the days the method counts, or by the look of its stems. */
function isDomeOver({ path, state, forecast }: Followed, now: Millis): boolean {
  if (path.lightFrom === 'rooted') return true;
  // Long thin stems, mould or rot in the dark: light and air are what helps.
  if (sawLately(state, ['stretched', 'mould', 'fallen-rot'], now)) return true;
  if (path.domeDays !== null) return now >= state.uncoveredAt! + path.domeDays * DAY;
  const seen = state.seen.some(({ mark, reachedAt }) => mark === 'lightReady' && reachedAt !== null);
  return seen || now >= forecast.marks.lightReady.p90;
}

function cutTask(followed: Followed, round: Round, now: Millis): Task[] {
  const { forecast, crop, areaCm2, state } = followed;
  const open = forecast.marks.windowOpen;
  if (now < open.p50) return [];
  const expectedG = (crop.yieldMidGM2 * areaCm2 * (1 - state.cutShare)) / 10_000;
  // A part cut today is enough for today; the rest asks again tomorrow.
  if (state.cuts.some(({ at }) => at > round.at - 12 * HOUR)) return [];
  return [
    task(
      'cut',
      {
        kind: 'cut',
        expectedG,
        closesAt: forecast.marks.windowClose.p50,
        tool: followed.method.cutting,
        taking: followed.method.taking
      },
      open.p50,
      round
    )
  ];
}

function waterTasks(followed: Followed, round: Round, now: Millis): Task[] {
  const { state, path, crop, areaCm2 } = followed;
  if (state.sownAt === null || state.sownAt >= round.at - HOUR) return [];
  const covered = state.litAt === null && path.lightFrom !== 'sown';
  if (covered && state.stage === 'press') {
    const evening = round.key.endsWith('.0') === false;
    // Where mould was seen, its cover is opened to air and not to more water.
    const wanted =
      !sawLately(state, ['mould'], now) && (path.mists === 'twice' || (path.mists === 'daily' && !evening));
    if (wanted)
      return [task(`mist:${round.key}`, { kind: 'mist', waterMl: mistMl(areaCm2) }, round.at, round)];
  }
  const midway = waterAt(followed, Math.max(now, (round.at + round.nextAt) / 2));
  if (midway.capacityG === 0) return [];
  if (midway.reservoirShare !== null) return topTask(followed, round, now);
  if ((midway.share >= dryShare(crop) && !mightHang(followed, round, now)) || withheld(followed, round))
    return [];
  const level = waterAt(followed, now);
  const waterMl = pourMl(followed, round, now);
  if (waterMl < level.capacityG * 0.05) return [];
  // Watered in this round already and found dry again: a task of its own, the same for whoever sees it.
  const given = state.water.filter(
    (fact) => 'addedG' in fact && fact.at > round.at - ROUND_LEAD_H * HOUR
  ).length;
  return [
    task(
      `water:${round.key}${given > 0 ? `.${given}` : ''}`,
      {
        kind: 'water',
        waterMl,
        share: level.share,
        how: howWatered(followed),
        feed: feedShare(followed),
        peroxideMl: followed.method.peroxide === 'weak' ? weakPeroxideMl(waterMl) : 0
      },
      round.at,
      round
    )
  ];
}

/**
 * How much to pour: up to nine tenths. Where how much is left is so unsure that it might run over, less, but
 * never so little that it might hang: too much is the commonest way to lose one.
 */
function pourMl(followed: Followed, round: Round, now: Millis): number {
  const { capacityG, g, sdG } = waterAt(followed, now);
  const wanted = capacityG * FULL_SHARE - g;
  const safe = capacityG * RUN_OVER - (g + ONE_IN_TWENTY * sdG);
  return Math.min(wanted, Math.max(safe, lackingG(followed, round, now)));
}

/** A reservoir is filled before it runs out; the medium over it stays damp of itself. */
function topTask(followed: Followed, round: Round, now: Millis): Task[] {
  const then = waterAt(followed, Math.max(now, round.nextAt));
  if (then.reservoirShare! >= TOP_SHARE) return [];
  if (withheld(followed, round)) return [];
  const level = waterAt(followed, now);
  const waterMl = pourMl(followed, round, now);
  if (waterMl < level.capacityG * 0.05) return [];
  return [
    task(
      `top:${round.key}`,
      { kind: 'top', waterMl, share: level.reservoirShare!, feed: feedShare(followed) },
      round.at,
      round
    )
  ];
}

/** Where water goes: by the method, whose first watering in light may be from above. */
function howWatered({ method, state }: Followed): 'below' | 'above' | 'mist' {
  if (method.lightWater !== 'first-above') return method.lightWater;
  const lit = state.litAt ?? Infinity;
  return state.water.some((fact) => 'addedG' in fact && fact.at >= lit) ? 'below' : 'above';
}

/** The next cue that has not been seen, where it may have been reached; the one of the present stage. */
function lookOf(followed: Followed, round: Round, now: Millis): CueLook | null {
  const { state, path, forecast } = followed;
  if (state.sownAt === null) return null;
  const cues = (['rooted', 'lightReady', 'windowOpen'] as const).filter(
    (cue) => cue !== 'lightReady' || path.blackout
  );
  const next = cues.find(
    (cue) => state.seen.every((entry) => entry.mark !== cue || entry.reachedAt === null) && !passed(cue)
  );
  if (!next || (next === 'windowOpen' && state.stage === 'press')) return null;
  const chance = forecast.chance(next, Math.max(now, round.at));
  return Math.max(chance, forecast.chance(next, round.nextAt)) >= LOOK_CHANCE ? { cue: next, chance } : null;

  function passed(cue: string): boolean {
    if (cue === 'rooted') return state.uncoveredAt !== null || state.litAt !== null;
    return cue === 'lightReady' && state.litAt !== null;
  }
}
