import type { AheadProblem, Start } from '../../src/core/ahead/problem.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';

const DAYS = 18;

/** How a crop of a small household goes. */
interface Way {
  leadD: number;
  opensOverD: number;
  keepsD: number;
  yieldG: number;
}

/**
 * A small household of a seed: two or three crops, one or two places, days off, and in most of them too few containers, too little
 * board or shares of a week that bind. Small enough that a solver finds the best plan to the end.
 */
export function smallCase(seed: number): AheadProblem {
  const chance = chanceFrom(seed);
  const int = (least: number, most: number): number =>
    least + Math.floor(chance.uniform() * (most - least + 1));
  const isSo = (share: number): boolean => chance.uniform() < share;
  const crops = Array.from({ length: int(2, 3) }, (): Way => ({
    leadD: int(3, 7),
    opensOverD: int(1, 3),
    keepsD: int(3, 8),
    yieldG: int(40, 140)
  }));
  const places = int(1, 2);
  const usualG = int(10, 30);
  const [weekendG, offs] = [isSo(0.5) ? 1.5 : 1, isSo(0.75) ? int(1, 4) : 0];
  const off = new Set(Array.from({ length: offs }, () => int(0, 6)));
  const firstDay = int(0, 6);
  const weekday = (day: number): number => (firstDay + day) % 7;
  const containers = isSo(0.7) ? int(1, 3) : 6;
  const boards = Array.from({ length: places }, () => (isSo(0.6) ? int(1, 2) : 6));
  const binds = isSo(0.6);
  const starts: Start[] = [];
  crops.forEach((way, crop) => {
    for (let place = 0; place < places; place += 1)
      for (let day = 0; day < DAYS - way.leadD; day += 1)
        // At the second place it takes longer and gives less.
        if (!off.has(weekday(day))) starts.push(startOf(way, crop, place, day));
  });
  return {
    days: DAYS,
    appetiteG: Array.from({ length: DAYS }, (_, day) => (weekday(day) > 4 ? weekendG : 1) * usualG),
    crops: crops.map((_, key) => ({
      key: String(key),
      leastShare: binds && key === 0 && isSo(0.5) ? 0.2 : 0,
      mostShare: binds ? 0.4 + 0.1 * int(0, 3) : 1,
      liked: isSo(0.3) ? 1 : 0
    })),
    standing: [],
    starts,
    resources: [
      {
        kind: 'container',
        id: 'c',
        name: 'Tray',
        total: containers,
        free: new Float64Array(DAYS).fill(containers)
      },
      ...boards.map((board, place) => ({
        kind: 'board' as const,
        id: `p${place}`,
        name: `Place ${place}`,
        total: board,
        free: new Float64Array(DAYS).fill(board)
      }))
    ],
    worked: Array.from({ length: DAYS }, () => false)
  };
}

function startOf(
  { leadD, opensOverD, keepsD, yieldG }: Way,
  crop: number,
  place: number,
  day: number
): Start {
  const opensOn = day + leadD + place;
  const gives = yieldG * (1 - 0.2 * place);
  const ramp = (from: number): Float64Array =>
    Float64Array.from(
      { length: DAYS },
      (_, at) => gives * Math.min(1, Math.max(0, (at - from + 1) / opensOverD))
    );
  const [opened, gone] = [ramp(opensOn), ramp(opensOn + keepsD)];
  const stay = { from: day, until: opensOn + 2 };
  return {
    crop,
    placeId: `p${place}`,
    lightPlaceId: null,
    containerId: 'c',
    day,
    workDays: [day],
    yieldG: gives,
    opened,
    gone,
    uses: [
      { resource: 0, ...stay, amount: 1 },
      { resource: 1 + place, ...stay, amount: 1 }
    ],
    costG: 0.5,
    sowingId: null,
    most: 2
  };
}
