import { WEEK } from './horizon.ts';

/** What a household wishes of its weeks besides enough to eat; null for no wish. */
export interface Variety {
  /** Crops that it wants to eat in every week, at least. */
  leastCrops: number | null;
  /** On so many sowing days one after the other the same crop may be begun. */
  mostInRow: number | null;
}

export const NO_WISH: Variety = { leastCrops: null, mostInRow: null };
export const hasWish = ({ leastCrops, mostInRow }: Variety): boolean =>
  leastCrops !== null || mostInRow !== null;

/** Bounds of the two wishes. */
export const VARIETY_BOUNDS = { leastCrops: [2, 6], mostInRow: [1, 6] } as const;

/**
 * A crop counts for a week where it is this share of what is wanted in it: less is a garnish. A plan aims at somewhat more, so that
 * a tray that gives a little less still counts (starting figures).
 */
const COUNTS_SHARE = 0.07;
export const AIMED_SHARE = 0.1;

/**
 * What a week's greens lack of so many crops, g: of each of the most eaten, what it lacks of the share that is aimed at.
 * @param ofWeek eaten of each crop in the week, g
 * @param wantedG all that is wanted in the week, g
 */
export function lacksOfVarietyG(ofWeek: Float64Array, wantedG: number, leastCrops: number): number {
  const enoughG = AIMED_SHARE * wantedG;
  let enough = 0;
  // Those under their share, the most first: as many as the wish has room for.
  const under: number[] = [];
  for (const g of ofWeek) {
    if (g >= enoughG) enough += 1;
    else under.push(g);
  }
  const wanting = leastCrops - enough;
  if (wanting <= 0) return 0;
  under.sort((a, b) => b - a);
  let lacksG = 0;
  for (let nth = 0; nth < wanting; nth += 1) lacksG += enoughG - (under[nth] ?? 0);
  return lacksG;
}

/** How many crops count in each week of some days; null for a week in which nothing is wanted. */
export function cropsByWeek(
  days: readonly { appetiteG: number; byCrop: readonly number[] }[]
): (number | null)[] {
  return Array.from({ length: Math.ceil(days.length / WEEK) }, (_, week) => {
    const of = days.slice(week * WEEK, (week + 1) * WEEK);
    const wantedG = of.reduce((sum, { appetiteG }) => sum + appetiteG, 0);
    if (wantedG <= 0) return null;
    const crops = of[0]!.byCrop.map((_g, crop) => of.reduce((sum, { byCrop }) => sum + byCrop[crop]!, 0));
    return crops.filter((g) => g >= COUNTS_SHARE * wantedG - 1e-6).length;
  });
}

/** What is begun on which day, to count how often a crop is begun on more sowing days in a row than is wished. */
export class Runs {
  private readonly begun: Int16Array;
  private readonly onDay: Int16Array;

  constructor(
    private readonly crops: number,
    private readonly days: number,
    private readonly mostInRow: number
  ) {
    this.begun = new Int16Array(crops * days);
    this.onDay = new Int16Array(days);
  }

  put(crop: number, day: number, times: number): void {
    this.begun[crop * this.days + day]! += times;
    this.onDay[day]! += times;
  }

  /** So often a crop is begun once more in a row than is wished. */
  over(): number {
    let over = 0;
    for (let crop = 0; crop < this.crops; crop += 1) {
      let run = 0;
      const first = crop * this.days;
      for (let day = 0; day < this.days; day += 1) {
        if (this.onDay[day] === 0) continue;
        run = this.begun[first + day]! > 0 ? run + 1 : 0;
        if (run > this.mostInRow) over += 1;
      }
    }
    return over;
  }

  /** How much oftener with one more of a crop on a day, or one less. */
  overBy(crop: number, day: number, times: number): number {
    const begun = this.begun[crop * this.days + day]!;
    // Nothing changes where the crop is begun on that day anyway.
    if (begun > 0 && begun + times > 0) return 0;
    const before = this.over();
    this.put(crop, day, times);
    const after = this.over();
    this.put(crop, day, -times);
    return after - before;
  }
}
