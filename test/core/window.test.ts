import { expect } from 'chai';
import fc from 'fast-check';
import { Clock } from '../../src/core/growth/clock.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { DAY, zoneOf } from '../../src/core/time/zone.ts';
import { forecast, type ForecastInput } from '../../src/core/growth/forecast.ts';
import { beliefFor, learn, NEW_HOUSEHOLD } from '../../src/core/growth/learn.ts';
import { NOTHING_HEARD } from '../../src/core/growth/looks.ts';
import { MARKS, type Mark } from '../../src/core/growth/marks.ts';
import { phi, phiInverse } from '../../src/core/stats/normal.ts';
import { SPREAD } from '../../src/core/growth/spread.ts';
import { messagesOf, type SowingEvidence } from '../support/evidence.ts';
import { steadyPlace } from '../support/rhythm.ts';

const SOWN = Date.parse('2026-11-02T08:00Z');
const input = (more: Partial<ForecastInput> = {}): ForecastInput => ({
  crop: cropOf('radish'),
  zone: zoneOf('Europe/Madrid'),
  latitudeDeg: 43.4,
  startAt: SOWN,
  unsoaked: false,
  stays: [{ from: SOWN, place: steadyPlace(21) }],
  lightFrom: 'lightReady',
  litAt: null,
  belief: NEW_HOUSEHOLD,
  ...more
});
/** What was said of marks: by day, with the answer. */
const looks = (...said: readonly (readonly [Mark, number, boolean])[]): Partial<ForecastInput> => ({
  heard: {
    ...NOTHING_HEARD,
    looks: said.map(([mark, day, reached], index) => ({
      mark,
      at: SOWN + day * DAY,
      reached,
      eventId: String(index)
    }))
  }
});
const days = (at: number) => (at - SOWN) / DAY;
const dim = { ...steadyPlace(21), light: { kind: 'sill', aspect: 'away', back: false } as const };

describe('the normal distribution', () => {
  it('holds known values and inverts itself', () => {
    expect(phi(0)).to.be.closeTo(0.5, 1e-15);
    expect(phi(1.959963984540054)).to.be.closeTo(0.975, 1e-14);
    expect(phi(-8)).to.be.closeTo(6.22096057427e-16, 1e-23);
    fc.assert(
      fc.property(fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }), (p) => {
        expect(phi(phiInverse(p))).to.be.closeTo(p, 1e-13);
      })
    );
  });
});

describe('the crop’s clock', () => {
  const clocks = fc
    .array(fc.tuple(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.integer({ min: 1, max: 5 * DAY })), {
      minLength: 1,
      maxLength: 8
    })
    .map((parts) => {
      let from = SOWN;
      return new Clock(
        parts.map(([rate, long]) => {
          const stretch = { from, rate };
          from += long;
          return stretch;
        })
      );
    });

  it('never runs backwards', () => {
    fc.assert(
      fc.property(
        clocks,
        fc.integer({ min: 0, max: 40 * DAY }),
        fc.integer({ min: 0, max: 10 * DAY }),
        (clock, start, more) => {
          expect(clock.tau(SOWN + start + more)).to.be.at.least(clock.tau(SOWN + start));
        }
      )
    );
  });

  it('tells when it shows what it shows', () => {
    fc.assert(
      fc.property(clocks, fc.integer({ min: 1000, max: 40 * DAY }), (clock, since) => {
        expect(clock.when(clock.tau(SOWN + since))).to.be.closeTo(SOWN + since, 2000);
      })
    );
  });

  it('stands still where nothing grows, and says never', () => {
    expect(new Clock([{ from: SOWN, rate: 0 }]).when(1)).to.equal(Infinity);
    const { marks } = forecast(
      input({ crop: cropOf('basil'), stays: [{ from: SOWN, place: steadyPlace(8) }] })
    );
    expect(marks.windowOpen.p50).to.equal(Infinity);
  });
});

describe('the forecast', () => {
  it('keeps marks and quantiles in order for every crop', () => {
    for (const crop of CROPS) {
      const { marks } = forecast(input({ crop }));
      for (const mark of MARKS) {
        expect(marks[mark].p10).to.be.below(marks[mark].p50);
        expect(marks[mark].p50).to.be.below(marks[mark].p90);
      }
      expect(
        marks.rooted.p50 <= marks.lightReady.p50 && marks.lightReady.p50 < marks.windowOpen.p50,
        crop.key
      ).to.equal(true);
      expect(
        marks.windowOpen.p50 < marks.windowBest.p50 && marks.windowBest.p50 < marks.windowClose.p50,
        crop.key
      ).to.equal(true);
    }
  });

  it('is brought forward, with the light, by a lid that lifts a day early', () => {
    const plain = forecast(input());
    const early = forecast(input(looks(['rooted', 1.1, false], ['rooted', 1.3, true])));
    expect(days(early.marks.lightReady.p50)).to.be.below(days(plain.marks.lightReady.p50) - 0.2);
    expect(days(early.marks.windowOpen.p50)).to.be.below(days(plain.marks.windowOpen.p50) - 0.4);
  });

  it('narrows with every look at an early stage', () => {
    const width = (more: Partial<ForecastInput>) => {
      const { p10, p90 } = forecast(input(more)).marks.windowOpen;
      return p90 - p10;
    };
    const rooted = [
      ['rooted', 1.9, false],
      ['rooted', 2.1, true]
    ] as const;
    const ready = [
      ['lightReady', 3.1, false],
      ['lightReady', 3.3, true]
    ] as const;
    expect(width(looks(...rooted))).to.be.below(width({}) * 0.8);
    expect(width(looks(...rooted, ...ready))).to.be.below(width(looks(...rooted)));
  });

  it('moves later, never earlier, with each "not yet" of the opening', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 14, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (first, more) => {
          const before = forecast(input(looks(['windowOpen', first, false])));
          const after = forecast(
            input(looks(['windowOpen', first, false], ['windowOpen', first + more, false]))
          );
          for (const later of MARKS.slice(2))
            expect(after.marks[later].p50, later).to.be.at.least(before.marks[later].p50 - 60_000);
        }
      )
    );
  });

  it('is moved later by "not yet" of an early cue, and less by those that surprise: calendars answer, too', () => {
    const plain = forecast(input());
    fc.assert(
      fc.property(
        fc.constantFrom('rooted' as const, 'lightReady' as const),
        fc.array(fc.double({ min: 0.1, max: 14, noNaN: true }), { minLength: 1, maxLength: 5 }),
        (mark, at) => {
          const told = [...at].sort((a, b) => a - b).map((day) => [mark, day, false] as const);
          const after = forecast(input(looks(...told)));
          for (const later of MARKS.slice(MARKS.indexOf(mark)))
            expect(after.marks[later].p50, later).to.be.at.least(plain.marks[later].p50 - 60_000);
        }
      )
    );
    const opens = (...at: number[]) =>
      days(forecast(input(looks(...at.map((day) => ['rooted', day, false] as const)))).marks.windowOpen.p50);
    expect(opens(2.5, 3, 3.5, 4)).to.be.within(opens() + 0.1, opens() + 0.5);
    expect(opens(4, 5, 6, 7)).to.be.below(opens(2.5, 3));
  });

  it('counts "keep it covered" for nothing of the crop: what is left covered comes to light later', () => {
    const left = forecast(input({ coveredUntil: SOWN + 4 * DAY }));
    const plain = forecast(input());
    for (const mark of ['rooted', 'lightReady'] as const)
      expect(left.marks[mark].p50).to.be.closeTo(plain.marks[mark].p50, 60_000);
    expect(left.litAt).to.be.at.least(SOWN + 4 * DAY);
    expect(left.message()).to.equal(null);
  });

  it('delays what follows a late germination by as many optimum days, and no more', () => {
    const late = forecast(input(looks(['rooted', 2.4, false], ['rooted', 2.6, true])));
    const plain = forecast(input());
    const by = (mark: Mark) => days(late.marks[mark].p50) - days(plain.marks[mark].p50);
    // A slow pace would delay the close by as many times more as it is later.
    const share = by('rooted') / days(plain.marks.rooted.p50);
    expect(by('windowClose')).to.be.within(by('rooted'), days(plain.marks.windowClose.p50) * share * 0.75);
  });

  it('is moved next to nothing by one odd look, whichever way', () => {
    const plain = days(forecast(input()).marks.windowOpen.p50);
    for (const odd of [
      ['rooted', 0.25, true],
      ['rooted', 5, false],
      ['lightReady', 0.5, true]
    ] as const)
      expect(days(forecast(input(looks(odd))).marks.windowOpen.p50), odd.join()).to.be.closeTo(plain, 0.15);
  });

  it('holds a cue for reached by its look, where that is to be believed, between the last "not yet" and it', () => {
    const { marks, chance } = forecast(input(looks(['windowOpen', 5.5, false], ['windowOpen', 6, true])));
    expect(marks.windowOpen.seen).to.equal(true);
    expect(days(marks.windowOpen.p50)).to.be.within(5.5, 6);
    expect(chance('windowOpen', SOWN + 5 * DAY)).to.be.below(0.05);
    expect(chance('windowOpen', SOWN + 6 * DAY)).to.be.above(0.85);
    expect(forecast(input(looks(['rooted', 0.25, true]))).marks.rooted.seen).to.equal(false);
  });

  it('says how likely a look is by all the rest', () => {
    const look = { mark: 'rooted', at: SOWN + 0.25 * DAY, reached: true, eventId: '0' } as const;
    expect(forecast(input(looks(['rooted', 0.25, true]))).likelihoodOf(look)).to.be.below(0.005);
    expect(
      forecast(input(looks(['rooted', 2, true]))).likelihoodOf({ ...look, at: SOWN + 2 * DAY })
    ).to.be.within(0.4, 0.6);
  });

  it('takes silence for a weak "not yet", and of somebody who never answers for little', () => {
    const silent = (...silentDays: number[]) =>
      forecast(
        input({
          heard: { ...NOTHING_HEARD, silent: { windowOpen: silentDays.map((day) => SOWN + day * DAY) } }
        })
      ).marks.windowOpen;
    const said = forecast(input(looks(['windowOpen', 7, false]))).marks.windowOpen;
    expect(days(silent(7).p50)).to.be.within(6.55, days(said.p50) - 0.3);
    // Before a cue is offered nobody could have said it.
    expect(silent(2, 3, 4).p50).to.be.closeTo(silent().p50, 60_000);
    // A week of silence is somebody who does not answer: it never moves a window by days.
    expect(days(silent(6, 7, 8, 9, 10, 11, 12).p50)).to.be.below(9.5);
  });

  it('opens no earlier for late light, and stretches meanwhile', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (lit, later) => {
          const at = (day: number) => forecast(input({ litAt: SOWN + day * DAY })).marks.windowOpen.p50;
          expect(at(lit + later)).to.be.at.least(at(lit) - 60_000);
        }
      )
    );
    const [ready, late] = [3, 6].map(
      (day) => forecast(input({ litAt: SOWN + day * DAY })).marks.windowOpen.p50
    );
    expect(days(late!) - days(ready!)).to.be.within(1.5, 2.5);
  });

  it('is as slow for a tray that was last seen in the dark as for one that came to light only then', () => {
    const seenDark = forecast(input({ heard: { ...NOTHING_HEARD, darkUntil: SOWN + 5 * DAY } }));
    const lit = forecast(input({ litAt: SOWN + 5 * DAY }));
    expect(seenDark.marks.windowOpen.p50).to.be.closeTo(lit.marks.windowOpen.p50, 60_000);
  });

  it('slows on a dim sill from first light on, not before', () => {
    const [lamp, sill] = [forecast(input()), forecast(input({ stays: [{ from: SOWN, place: dim }] }))];
    expect(sill.marks.lightReady.p50).to.be.closeTo(lamp.marks.lightReady.p50, 60_000);
    expect(days(sill.marks.windowOpen.p50)).to.be.above(days(lamp.marks.windowOpen.p50) + 3);
  });

  it('follows a tray that is moved from the cold into the warm', () => {
    const cold = { from: SOWN, place: steadyPlace(12) };
    const stay = forecast(input({ stays: [cold] }));
    const moved = forecast(input({ stays: [cold, { from: SOWN + 2 * DAY, place: steadyPlace(24) }] }));
    expect(moved.marks.windowOpen.p50).to.be.below(stay.marks.windowOpen.p50);
  });

  it('starts late for seed that wanted a soak and had none', () => {
    const crop = cropOf('pea');
    const late =
      forecast(input({ crop, unsoaked: true })).marks.rooted.p50 - forecast(input({ crop })).marks.rooted.p50;
    expect(late / DAY).to.be.within(0.5, 0.9);
  });

  it('keeps maize shoots dark to the end', () => {
    const crop = cropOf('maize-shoot');
    const { marks } = forecast(input({ crop, lightFrom: null, stays: [{ from: SOWN, place: dim }] }));
    expect(days(marks.windowOpen.p50)).to.be.closeTo(8.54, 0.01);
  });
});

describe('learning', () => {
  /** The same posterior by brute force: all unknowns at once, by solving the normal equations. */
  function dense(sowings: SowingEvidence[], target: string): { mean: number; variance: number } {
    const crops = [...new Set([...sowings.map(({ cropKey }) => cropKey), target])];
    const size = 1 + crops.length + sowings.length;
    const precision = Array.from({ length: size }, () => new Array<number>(size).fill(0));
    const right = new Array<number>(size).fill(0);
    precision[0]![0]! += 1 / SPREAD.household ** 2;
    crops.forEach((_, index) => (precision[1 + index]![1 + index]! += 1 / SPREAD.crop ** 2));
    sowings.forEach((sowing, index) => {
      const own = 1 + crops.length + index;
      precision[own]![own]! += 1 / sowing.durationCv ** 2;
      const parts = [0, 1 + crops.indexOf(sowing.cropKey), own];
      for (const mark of sowing.marks)
        for (const a of parts) {
          right[a]! += mark.mean / mark.variance;
          for (const b of parts) precision[a]![b]! += 1 / mark.variance;
        }
    });
    const pick = new Array<number>(size).fill(0);
    pick[0] = 1;
    pick[1 + crops.indexOf(target)] = 1;
    const dot = (a: number[], b: number[]) => a.reduce((sum, value, index) => sum + value * b[index]!, 0);
    return { mean: dot(pick, solve(precision, right)), variance: dot(pick, solve(precision, pick)) };
  }

  function solve(matrix: number[][], right: number[]): number[] {
    const rows = matrix.map((row, index) => [...row, right[index]!]);
    rows.forEach((row, pivot) => {
      for (let other = 0; other < rows.length; other += 1) {
        if (other === pivot) continue;
        const factor = rows[other]![pivot]! / row[pivot]!;
        for (let column = pivot; column <= rows.length; column += 1)
          rows[other]![column]! -= factor * row[column]!;
      }
    });
    return rows.map((row, index) => row[rows.length]! / row[index]!);
  }

  const evidence = fc.record({
    cropKey: fc.constantFrom('radish', 'pea', 'kale'),
    durationCv: fc.double({ min: 0.05, max: 0.2, noNaN: true }),
    marks: fc.array(
      fc.record({
        mean: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        variance: fc.double({ min: 0.001, max: 0.05, noNaN: true })
      }),
      { minLength: 1, maxLength: 3 }
    )
  });

  it('is the exact posterior, for crops grown before and not', () => {
    fc.assert(
      fc.property(
        fc.array(evidence, { maxLength: 6 }),
        fc.constantFrom('radish', 'pea', 'kale', 'basil'),
        (sowings, target) => {
          const belief = beliefFor(learn(messagesOf(sowings)), target);
          const truth = dense(sowings, target);
          expect(belief.mean).to.be.closeTo(truth.mean, 1e-9);
          expect(belief.variance).to.be.closeTo(truth.variance, 1e-9);
        }
      )
    );
  });

  it('leaves a household that has seen nothing where it was', () => {
    expect(beliefFor(learn([]), 'radish')).to.deep.equal(NEW_HOUSEHOLD);
    expect(
      beliefFor(learn(messagesOf([{ cropKey: 'radish', durationCv: 0.1, marks: [] }])), 'radish')
    ).to.deep.equal(NEW_HOUSEHOLD);
  });
});
