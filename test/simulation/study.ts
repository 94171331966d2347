import type { Crop } from '../../src/core/crops/crop.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { warmthRates } from '../../src/core/places/air/rates.ts';
import { tableOptimumDays } from '../../src/core/growth/marks.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { thirstOf } from '../../src/core/water/message.ts';
import type { MarkForecast } from '../../src/core/growth/forecastMark.ts';
import { messageOf, reliableOf } from '../../src/core/growth/learned.ts';
import { cuesTold } from '../../src/core/sowing/cues.ts';
import { chanceFrom, type Chance } from '../../src/server/demo/chance.ts';
import { radishTray } from '../support/household.ts';
import { hiddenHousehold, START, type HiddenHousehold } from './household.ts';
import { growTray, type GrownTray } from './tray.ts';

/** Crops that people begin with, sown dry. */
const QUICK_CROPS = ['radish', 'mizuna', 'mustard', 'turnip'].map(cropOf);
/** Trays of a crop before the one that is asked about. */
export const TRAYS_BEFORE = 3;
/** Trays in all; those after the first three are what is asked about. */
const TRAYS = 5;
const APART_D = 4;

/** What a study of simulated households found. */
export interface Findings {
  households: number;
  /** Median error of the opening as forecast at sowing, days: the first tray, and after three. */
  firstTrayD: number;
  afterThreeD: number;
  /** The same for the table's day count, whatever the warmth. */
  fixedTableD: number;
  /** Share of openings that fell into the 80 % range. */
  coverage: { atSowing: number; atLight: number; dayBefore: number };
  /** Water over all trays, litres. */
  givenL: number;
  lostL: number;
  /** Share of trays that ran dry or stood in water. */
  dried: number;
  drowned: number;
}

/**
 * Grows five trays of one crop in each of so many households that Brote knows nothing of, and compares what
 * it said with what came.
 */
export function study(households: number, seed: number): Findings {
  const chance = chanceFrom(seed);
  const firsts: GrownTray[] = [];
  const lasts: GrownTray[] = [];
  const all: GrownTray[] = [];
  for (let n = 0; n < households; n += 1) {
    const household = hiddenHousehold(chance);
    const trays = growInTurn(household, weekCrop(household), chance);
    firsts.push(trays[0]!);
    lasts.push(...trays.slice(TRAYS_BEFORE));
    all.push(...trays);
  }
  const sum = (of: (tray: GrownTray) => number) => all.reduce((total, tray) => total + of(tray), 0);
  const share = (of: (tray: GrownTray) => boolean) => all.filter(of).length / all.length;
  return {
    households,
    firstTrayD: median(firsts.map(errorD)),
    afterThreeD: median(lasts.map(errorD)),
    fixedTableD: median(lasts.map((tray) => tableErrorD(tray, cropOf(tray.setup.cropKey)))),
    coverage: {
      atSowing: covered(all, ({ said }) => said.atSowing),
      atLight: covered(all, ({ said }) => said.atLight),
      dayBefore: covered(all, ({ said }) => said.dayBefore)
    },
    givenL: sum(({ givenG }) => givenG) / 1000,
    lostL: sum(({ lostG }) => lostG) / 1000,
    dried: share(({ dried }) => dried),
    drowned: share(({ drowned }) => drowned)
  };
}

/** The crop that the figures say takes nearest to seven days in this household's warmth. */
export function weekCrop({ truth }: HiddenHousehold): Crop {
  const [place] = truth.places.values();
  const days = (crop: Crop) =>
    tableOptimumDays(crop).windowOpen / warmthRates(crop, { ...place!, air: null })(0);
  return QUICK_CROPS.reduce((best, crop) =>
    Math.abs(days(crop) - 7) < Math.abs(days(best) - 7) ? crop : best
  );
}

/** One tray after the other, each forecast with what those before it taught. */
export function growInTurn(household: HiddenHousehold, crop: Crop, chance: Chance): GrownTray[] {
  const [placeId] = household.truth.places.keys();
  const paces: NonNullable<HouseholdFacts['learned']>['underWay'][number][] = [];
  const thirsts: NonNullable<HouseholdFacts['thirst']>['underWay'][number][] = [];
  const trays: GrownTray[] = [];
  let sowAt = START + chance.uniform() * DAY;
  for (let n = 0; n < TRAYS; n += 1) {
    const setup: SowingSetup = radishTray({
      id: chance.id(),
      cropKey: crop.key,
      placeId: placeId!,
      seedsPerCm2: crop.seedsPerCm2.usual,
      sowAt
    });
    const tray = growTray(
      household,
      { learned: { ended: [], underWay: paces }, thirst: { ended: null, underWay: thirsts } },
      setup,
      chance
    );
    trays.push(tray);
    const projected = project(household.known(tray.endedAt), setup, tray.events, { asIfNew: true });
    const [pace, thirst] = [messageOf(projected), thirstOf(projected)];
    paces.push({
      sowingId: setup.id,
      cropKey: crop.key,
      message: pace,
      reliable: reliableOf(projected),
      cues: cuesTold(projected.state, projected.path)
    });
    if (thirst) thirsts.push({ sowingId: setup.id, message: thirst });
    sowAt = tray.endedAt + APART_D * DAY;
  }
  return trays;
}

const errorD = ({ openedAt, said }: GrownTray): number => Math.abs(openedAt - said.atSowing.p50) / DAY;

const tableErrorD = ({ openedAt, setup }: GrownTray, crop: Crop): number =>
  Math.abs((openedAt - setup.sowAt) / DAY - crop.windowOpenD21);

function covered(trays: readonly GrownTray[], said: (tray: GrownTray) => MarkForecast | null): number {
  const asked = trays.flatMap((tray) => {
    const range = said(tray);
    return range ? [tray.openedAt >= range.p10 && tray.openedAt <= range.p90] : [];
  });
  return asked.filter(Boolean).length / asked.length;
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
