import { expect } from 'chai';
import { extraterrestrialRadiation, lightResponse } from '../../src/core/places/light.ts';
import { temperatureResponse } from '../../src/core/crops/temperature.ts';
import { areaCm2 } from '../../src/core/supplies/containers/container.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { hypochlorite, peroxide } from '../../src/core/supplies/seed/disinfect.ts';
import { seedAmount } from '../../src/core/supplies/seed/amount.ts';
import { DAY, zoneOf } from '../../src/core/time/zone.ts';
import { lossGPerDay } from '../../src/core/water/bucket.ts';
import { vpdKpa } from '../../src/core/water/vpd.ts';
import { forecast, type ForecastInput } from '../../src/core/growth/forecast.ts';
import { NEW_HOUSEHOLD } from '../../src/core/growth/learn.ts';
import type { Heard } from '../../src/core/growth/looks.ts';
import { MARKS, type Mark } from '../../src/core/growth/marks.ts';
import { wholeYieldG } from '../../src/core/harvest/expected.ts';
import { planSowing, type PlannedSowing } from '../../src/core/sowing/planSowing.ts';
import { choiceOf, contextAt } from '../support/choosing.ts';
import { steadyPlace } from '../support/rhythm.ts';

const SOWN = Date.parse('2026-03-02T08:00Z');

/** A radish at a steady 21 degC, of which so much was heard: looks as mark, day and answer; silences as mark and day. */
const heard = (
  looks: readonly (readonly [Mark, number, boolean])[],
  silent: readonly (readonly [Mark, number])[] = []
): Heard => ({
  looks: looks.map(([mark, day, reached], index) => ({
    mark,
    at: SOWN + day * DAY,
    reached,
    eventId: String(index)
  })),
  silent: Object.fromEntries(
    MARKS.map((mark) => [mark, silent.flatMap(([of, day]) => (of === mark ? [SOWN + day * DAY] : []))])
  ),
  darkUntil: null
});
const of = (crop: string, place = steadyPlace(21), more: Partial<ForecastInput> = {}) =>
  forecast({
    crop: cropOf(crop),
    zone: zoneOf('UTC'),
    latitudeDeg: 43.4,
    startAt: SOWN,
    unsoaked: false,
    stays: [{ from: SOWN, place }],
    lightFrom: 'lightReady',
    litAt: null,
    belief: NEW_HOUSEHOLD,
    ...more
  });
function opening(
  crop: string,
  place = steadyPlace(21),
  more: Partial<ForecastInput> = {},
  mark: Mark = 'windowOpen'
): number[] {
  const { p10, p50, p90 } = of(crop, place, more).marks[mark];
  return [p10, p50, p90].map((time) => (time - SOWN) / DAY);
}

function close(values: number[], expected: number[], tolerance: number): void {
  expect(values).to.have.length(expected.length);
  values.forEach((value, index) => expect(value).to.be.closeTo(expected[index]!, tolerance));
}

/** Within 1 % of values that were worked out apart from the code. */
function within(values: number[], expected: number[]): void {
  expect(values).to.have.length(expected.length);
  values.forEach((value, index) => expect(value / expected[index]!).to.be.closeTo(1, 0.01));
}

describe('reference values', () => {
  it('temperature response of radish and basil', () => {
    const f = (crop: string, ...temps: number[]) =>
      temps.map((temp) => temperatureResponse(cropOf(crop), temp));
    close(f('radish', 8, 16, 21, 27, 34), [0.0749, 0.5329, 0.8522, 0.9925, 0.3965], 0.00006);
    close(f('basil', 8, 12, 21, 30), [0, 0.021, 0.6897, 0.9665], 0.00006);
  });

  it('window of a new household at steady warmth', () => {
    within(opening('radish'), [5.1, 6.52, 8.36]);
    within(opening('radish', steadyPlace(17)), [7.21, 9.23, 11.84]);
    within(opening('cilantro', steadyPlace(26.5)), [10.67, 14.21, 18.96]);
  });

  it('window at 16 h of 23 degC and 8 h of 16 degC', () => {
    within([opening('radish', steadyPlace(23, 16))[1]!], [6.874]);
  });

  it('window after looks: what was seen, what was not yet, and a slip of the thumb', () => {
    const after = (looks: Parameters<typeof heard>[0], mark?: Mark) =>
      opening('radish', steadyPlace(21), { heard: heard(looks) }, mark);
    /** "Not yet" on each of these days, then seen on the last. */
    const seen = (mark: Mark, notYet: readonly number[], on: number) =>
      [...notYet.map((day) => [mark, day, false] as const), [mark, on, true] as const] as const;
    within(after([['rooted', 4, false]]), [5.12, 6.58, 8.69]);
    within(after([2.5, 3, 3.5, 4].map((day) => ['rooted', day, false] as const)), [5.16, 6.69, 9.61]);
    within(after(seen('rooted', [2, 2.5], 3)), [5.88, 7.47, 8.88]);
    within(after(seen('rooted', [2, 2.5, 3, 3.5], 4)), [5.27, 7.09, 9.87]);
    within(
      after([...seen('rooted', [2, 2.5, 3, 3.5], 4), ...seen('lightReady', [4, 4.5], 5)]),
      [6.07, 8.63, 10.03]
    );
    within(after(seen('rooted', [1.5], 2)), [5.16, 6.13, 7.41]);
    within(
      after([...seen('rooted', [2, 2.5], 2.8), ...seen('lightReady', [3.5, 4], 4.4)]),
      [6.74, 7.83, 8.9]
    );
    within(after([['rooted', 0.25, true]]), [5.1, 6.52, 8.36]);
    within(after([['windowOpen', 7, false]]), [7.07, 7.76, 9.31]);
    within(
      after(
        [8, 8.5, 9].map((day) => ['windowOpen', day, false] as const),
        'windowClose'
      ),
      [13.13, 14.88, 17.42]
    );
  });

  it('what a radish says of its household: a look, silences before one, a first look long after', () => {
    const says = (...what: Parameters<typeof heard>) =>
      of('radish', steadyPlace(21), { heard: heard(...what) }).message();
    const seen = says([
      ['windowOpen', 6.5, false],
      ['windowOpen', 7, true]
    ])!;
    close([seen.mean, seen.variance], [0.0343, 0.0263], 0.0002);
    const silent = says(
      [['windowOpen', 7, true]],
      [5.5, 6, 6.5].map((day) => ['windowOpen', day] as const)
    )!;
    close([silent.mean, silent.variance], [-0.0616, 0.0429], 0.0006);
    expect(says([['windowOpen', 15, true]])).to.equal(null);
    const byCalendar = [2, 2.5, 3, 3.5].map((day) => ['rooted', day, false] as const);
    expect(says([...byCalendar, ['rooted', 4, true]])).to.equal(null);
  });

  it('vapour pressure deficit', () => {
    close([vpdKpa(21, 50), vpdKpa(18, 70), vpdKpa(26, 35)], [1.2435, 0.6192, 2.1849], 0.00006);
  });

  it('extraterrestrial radiation and the response to light', () => {
    const ra = [
      extraterrestrialRadiation(43.4, 21),
      extraterrestrialRadiation(43.4, 172),
      extraterrestrialRadiation(-33.5, 172)
    ];
    close(ra, [13.685, 41.919, 16.438], 0.0006);
    close([1, 2, 4, 6].map(lightResponse), [0.25, 0.4287, 0.6886, 0.8463], 0.00006);
  });

  it('water lost by a canopy of 25 x 25 cm, and of 54 x 28 cm', () => {
    const air = { tempC: 21, humidityPct: 50, movingAir: false };
    expect(lossGPerDay(625, 'canopy', air)).to.be.closeTo(163.2, 0.06);
    expect(lossGPerDay(54 * 28, 'canopy', air)).to.be.closeTo(394.8, 0.06);
  });

  it('seed for a tray and for a pot', () => {
    const radish = cropOf('radish');
    expect(seedAmount(radish, 25 * 18, radish.seedsPerCm2.usual, 94).seedG).to.be.closeTo(11.81, 0.006);
    const pea = cropOf('pea');
    const pot = areaCm2({ shape: 'round', lengthCm: 16, widthCm: 16, cells: 1 });
    expect(seedAmount(pea, pot, pea.seedsPerCm2.usual, 80).seedG).to.be.closeTo(45.5, 0.06);
  });

  it('disinfecting solutions', () => {
    const bleach = hypochlorite(340, 2000, 5.25);
    expect(bleach.solutionMl).to.equal(1700);
    expect(bleach.productMl).to.be.closeTo(64.8, 0.06);
    expect(peroxide(340, 3, 12).productMl).to.be.closeTo(425, 0.01);
  });
});

describe('what experienced growers get', () => {
  const NOW = Date.parse('2026-03-20T16:00Z');
  const tray = { name: 'T', shape: 'rectangle', lengthCm: 30, widthCm: 20, depthCm: 5, cells: 1 } as const;
  const days = ({ plan }: PlannedSowing) => (plan.forecast.marks.windowOpen.p50 - plan.soak.sowAt) / DAY;

  it('chia, flax and sunflower shoots in about a week on a warm, half-bright sill', () => {
    const sill = { ...steadyPlace(26, 20), light: { kind: 'sill', aspect: 'side', back: false } } as const;
    for (const key of ['chia', 'flax', 'sunflower']) {
      const [sowing] = planSowing(choiceOf([cropOf(key)], { place: sill }), contextAt(NOW));
      expect(days(sowing!), key).to.be.within(6.3, 7.7);
    }
  });

  it('radish beside red cabbage from day 7', () => {
    const halves = planSowing(
      choiceOf([cropOf('radish'), cropOf('cabbage-red')], { kind: 'halves' }),
      contextAt(NOW)
    );
    for (const half of halves) expect(days(half)).to.be.within(6.3, 7.3);
  });

  it('425 g of peas from 600 cm2 sown dense, and 1.15 g of maize shoots to a g of seed', () => {
    const gives = (key: string, density: 'usual' | 'dense') => {
      const [sowing] = planSowing(choiceOf([cropOf(key)], { density, container: tray }), contextAt(NOW));
      return { ...wholeYieldG(sowing!.projected), seedG: sowing!.plan.seed.seedG };
    };
    expect(gives('pea', 'dense').high).to.be.at.least(425);
    const maize = gives('maize-shoot', 'usual');
    expect(maize.usual / maize.seedG).to.be.closeTo(1.15, 0.03);
  });

  it('sown as dense as they sow, with more mould and less to a seed', () => {
    const densest = { pea: 1.9, 'cabbage-red': 8.5, arugula: 10, basil: 16 };
    for (const [key, density] of Object.entries(densest)) {
      const crop = cropOf(key);
      expect(crop.seedsPerCm2.dense, key).to.equal(density);
      const at = (which: 'usual' | 'dense') => {
        const [sowing] = planSowing(choiceOf([crop], { density: which, container: tray }), contextAt(NOW));
        return { g: wholeYieldG(sowing!.projected).usual, seedG: sowing!.plan.seed.seedG };
      };
      const [usual, dense] = [at('usual'), at('dense')];
      expect(dense.g, key).to.be.above(usual.g);
      expect(dense.g / dense.seedG, key).to.be.below(usual.g / usual.seedG);
    }
  });
});
