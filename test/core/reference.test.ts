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
import { beliefFor, learn, NEW_HOUSEHOLD } from '../../src/core/growth/learn.ts';
import { SPREAD } from '../../src/core/growth/spread.ts';
import { messagesOf } from '../support/evidence.ts';
import { steadyPlace } from '../support/rhythm.ts';

const SOWN = Date.parse('2026-03-02T08:00Z');

function opening(crop: string, place = steadyPlace(21), more: Partial<ForecastInput> = {}): number[] {
  const { marks } = forecast({
    crop: cropOf(crop),
    zone: zoneOf('UTC'),
    latitudeDeg: 43.4,
    sownAt: SOWN,
    unsoaked: false,
    stays: [{ from: SOWN, place }],
    lightFrom: 'lightReady',
    litAt: null,
    seen: [],
    belief: NEW_HOUSEHOLD,
    ...more
  });
  const { p10, p50, p90 } = marks.windowOpen;
  return [p10, p50, p90].map((time) => (time - SOWN) / DAY);
}

function close(values: number[], expected: number[], tolerance: number): void {
  expect(values).to.have.length(expected.length);
  values.forEach((value, index) => expect(value).to.be.closeTo(expected[index]!, tolerance));
}

describe('reference values', () => {
  it('temperature response of radish and basil', () => {
    const f = (crop: string, ...temps: number[]) =>
      temps.map((temp) => temperatureResponse(cropOf(crop), temp));
    close(f('radish', 8, 16, 21, 27, 34), [0.0749, 0.5329, 0.8522, 0.9925, 0.3965], 0.00006);
    close(f('basil', 8, 12, 21, 30), [0, 0.021, 0.6897, 0.9665], 0.00006);
  });

  it('window of a new household at steady warmth', () => {
    close(opening('radish'), [5.195, 6.5, 8.133], 0.0006);
    close(opening('radish', steadyPlace(17)), [7.353, 9.201, 11.513], 0.0006);
    close(opening('cilantro', steadyPlace(26.5)), [10.974, 14.153, 18.252], 0.0006);
  });

  it('window at 16 h of 23 degC and 8 h of 16 degC', () => {
    expect(opening('radish', steadyPlace(23, 16))[1]).to.be.closeTo(6.874, 0.0006);
  });

  it('window given that it was not open at day 7', () => {
    const seen = [{ mark: 'windowOpen' as const, notYetAt: SOWN + 7 * DAY, reachedAt: null }];
    close(opening('radish', steadyPlace(21), { seen }), [7.116, 7.692, 8.953], 0.0006);
  });

  it('what one radish 10 % late teaches about the next', () => {
    const late = { mean: Math.log(1.1), variance: SPREAD.stage ** 2 };
    const belief = beliefFor(
      learn(messagesOf([{ cropKey: 'radish', durationCv: 0.09, marks: [late] }])),
      'radish'
    );
    expect(opening('radish', steadyPlace(21), { belief })[1]).to.be.closeTo(6.918, 0.0006);
    const sd = Math.sqrt(belief.variance + 0.09 ** 2 + SPREAD.stage ** 2);
    expect(sd).to.be.closeTo(0.13239, 0.000006);
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

  it('water lost by a canopy of 25 x 25 cm', () => {
    const air = { tempC: 21, humidityPct: 50, movingAir: false };
    expect(lossGPerDay(625, 'canopy', air)).to.be.closeTo(248.7, 0.06);
  });

  it('seed for a tray and for a pot', () => {
    const radish = cropOf('radish');
    expect(seedAmount(radish, 25 * 18, radish.seedsPerCm2.usual, 94).seedG).to.be.closeTo(9.92, 0.006);
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
