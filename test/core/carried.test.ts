import { expect } from 'chai';
import fc from 'fast-check';
import { buildProblem, type AheadInput } from '../../src/core/ahead/build.ts';
import { greedy } from '../../src/core/ahead/greedy.ts';
import { reworked } from '../../src/core/ahead/reworked.ts';
import { leftOf } from '../../src/core/ahead/problem.ts';
import { proposalOf } from '../../src/core/ahead/proposal.ts';
import { standOf, standsOf } from '../../src/core/ahead/room.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { temperatureResponse } from '../../src/core/crops/temperature.ts';
import { meanLate, OF_SEED } from '../../src/core/growth/germination.ts';
import { MARKS, tableOptimumDays } from '../../src/core/growth/marks.ts';
import { wholeYieldG } from '../../src/core/harvest/expected.ts';
import { leavesForLight } from '../../src/core/sowing/carried.ts';
import type { PlannedSowing } from '../../src/core/sowing/planSowing.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import { standingOf } from '../../src/core/sowing/standing.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { meanWaitH } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { aheadInput, container, eater, growable, shelf as board } from '../support/ahead.ts';
import { choiceOf, planned } from '../support/choosing.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const cupboard = { ...shelf, id: 'cupboard', name: 'Cupboard', light: { kind: 'dark' } } as const;
const cool = { ...cupboard, id: 'cool', dayC: 17, nightC: 17 };
const sill = {
  ...shelf,
  id: 'sill',
  name: 'Sill',
  light: { kind: 'sill', aspect: 'away', back: true }
} as const;
const house: HouseholdFacts = {
  ...home,
  places: new Map([shelf, cupboard, cool, sill].map((place) => [place.id, place]))
};
const PATHS = CROPS.flatMap((crop) =>
  READY_METHODS.map((method) => ({ crop, method, path: pathOf(crop, method, 'coir') }))
);

describe('what sprouts in a cupboard and is carried to light', () => {
  it('goes as it would have gone in light, where both are as warm: any crop, any method', () => {
    const carried = PATHS.filter(({ path }) => leavesForLight(cupboard, path));
    expect(carried.length).to.be.above(60);
    for (const { crop, method } of carried) {
      const of = { cropKey: crop.key, method };
      const there = project(house, radishTray({ ...of, placeId: cupboard.id, lightPlaceId: shelf.id }), []);
      const here = project(house, radishTray(of), []);
      for (const mark of MARKS)
        for (const quantile of ['p10', 'p50', 'p90'] as const)
          expect(there.forecast.marks[mark][quantile], `${crop.key} ${mark}`).to.be.closeTo(
            here.forecast.marks[mark][quantile],
            1000
          );
      expect(wholeYieldG(there).usual).to.be.closeTo(wholeYieldG(here).usual, 1e-6);
    }
  });

  it('keeps time by the warmth of either place, as an hourly count by another hand does', () => {
    for (const key of ['radish', 'broccoli', 'sunflower', 'pea'])
      for (const method of READY_METHODS) {
        const crop = cropOf(key);
        const sowing = project(
          house,
          radishTray({ cropKey: key, method, placeId: cool.id, lightPlaceId: shelf.id }),
          []
        );
        if (sowing.path.pressedD > 0) continue;
        const book = tableOptimumDays(crop);
        // The middle of what germination adds.
        const added = book.rooted * meanLate(OF_SEED, OF_SEED.weights, 0)!;
        const table = {
          rooted: book.rooted + added,
          lightReady: book.lightReady + added,
          windowOpen: book.windowOpen + added
        };
        const at = { cool: temperatureResponse(crop, 17), shelf: temperatureResponse(crop, 21) };
        const wait = meanWaitH(house.rhythm);
        const counted = sowing.path.domeDays !== null;
        let [tau, since, isLit] = [0, 0, false];
        for (let hour = 0; hour < 24 * 40; hour += 0.25) {
          const shown = sowing.forecast.clock.tau(SOWN + hour * HOUR);
          expect(shown, `${key}, ${method.key}, hour ${hour}`).to.be.closeTo(tau, 0.03);
          const due = sowing.path.lightFrom === 'rooted' || counted ? table.rooted : table.lightReady;
          if (tau >= due) since += 0.25;
          isLit ||= tau >= due && since > wait + (counted ? (sowing.path.domeDays ?? 0) * 24 : 0);
          const stretches = !isLit && tau >= table.lightReady && tau < table.windowOpen;
          tau += ((isLit ? at.shelf : at.cool) * (stretches ? 0.25 : 1) * 0.25) / 24;
        }
      }
  });

  it('is expected as it was once it has been carried there, and another way once it goes elsewhere', () => {
    const setup = radishTray({ placeId: cool.id, lightPlaceId: shelf.id });
    const early = [sown(), event(100, { type: 'looked', cue: 'lightReady', reached: true })];
    const before = project(house, setup, early);
    const hours = (before.forecast.litAt - SOWN) / HOUR;
    const carried = (placeId: string) =>
      project(house, setup, [
        ...early,
        event(hours, { type: 'moved', placeId }),
        event(hours, { type: 'lit' })
      ]);
    const after = carried(shelf.id);
    expect(before.carriedTo?.id).to.equal(shelf.id);
    expect(after.carriedTo).to.equal(null);
    const opens = (one: typeof before) => one.forecast.marks.windowOpen.p50;
    expect(opens(after)).to.be.closeTo(opens(before), 0.12 * DAY);
    expect(opens(carried(sill.id))).to.be.above(opens(before) + DAY);
  });

  it('goes where it stood in light before, else where that was planned, else where it grows fastest', () => {
    const to = (more: Parameters<typeof radishTray>[0], events = [sown()]) =>
      project(house, radishTray(more), events).carriedTo?.id ?? null;
    expect(to({ placeId: cupboard.id })).to.equal(shelf.id);
    expect(to({ placeId: cupboard.id, lightPlaceId: sill.id })).to.equal(sill.id);
    expect(to({ placeId: cupboard.id, lightPlaceId: cool.id }), 'planned to where it is dark').to.equal(
      shelf.id
    );
    expect(to({ placeId: cupboard.id, lightPlaceId: 'gone' })).to.equal(shelf.id);
    const back = event(1, { type: 'moved', placeId: cupboard.id });
    expect(to({ placeId: sill.id }, [sown(), back])).to.equal(sill.id);
    expect(to({ placeId: shelf.id, lightPlaceId: sill.id })).to.equal(null);
    expect(to({ placeId: cupboard.id }, [sown(), event(90, { type: 'lit' })]), 'lit where it is').to.equal(
      null
    );
    expect(to({ placeId: cupboard.id, cropKey: 'maize-shoot' }), 'stays dark').to.equal(null);
    expect(to({ placeId: cupboard.id, cropKey: 'lettuce' }), 'sprouts in light').to.equal(null);
    const dark: HouseholdFacts = { ...house, places: new Map([[cupboard.id, cupboard]]) };
    expect(project(dark, radishTray({ placeId: cupboard.id }), [sown()]).carriedTo).to.equal(null);
  });

  it('is planned as it is kept, and as it then goes; what stays in light too', () => {
    for (const { crop, method } of PATHS)
      for (const place of [cool, sill]) {
        const [{ setup, projected, plan }] = planned(
          choiceOf([crop], { method, place, lightPlace: sill }),
          SOWN
        ) as [PlannedSowing];
        const kept = project(house, setup, []);
        expect(kept.carriedTo?.id ?? null, crop.key).to.equal(projected.carriedTo?.id ?? null);
        const { windowOpen } = plan.forecast.marks;
        if (Number.isFinite(windowOpen.p50))
          expect(kept.forecast.marks.windowOpen.p50, `${crop.key}, ${method.key}`).to.be.closeTo(
            windowOpen.p50,
            1000
          );
      }
  });
});

describe('boards for what is carried', () => {
  const standing = (events = [sown()], lightPlaceId: string | null = shelf.id) =>
    standingOf([project(house, radishTray({ placeId: cupboard.id, lightPlaceId }), events)])[0]!;

  it('are taken one after the other, its container all along', () => {
    const [dark, lit] = standsOf(standing());
    const whole = standOf(standing());
    expect([dark!.placeId, lit!.placeId]).to.deep.equal([cupboard.id, shelf.id]);
    expect([dark!.from, lit!.until]).to.deep.equal([whole.from, whole.until]);
    expect(dark!.until).to.equal(lit!.from);
    expect(lit!.from).to.equal(standing().sowings[0]!.forecast.litAt);
    const there = standsOf(standing([sown(), event(80, { type: 'moved', placeId: shelf.id })]));
    expect(there.map(({ placeId }) => placeId)).to.deep.equal([shelf.id]);
  });

  /** A household whose light is short: one narrow board for five trays. */
  const crowded = (more: Partial<AheadInput> = {}): AheadInput =>
    aheadInput({
      eaters: [eater(70)],
      places: [{ ...board, widthCm: 54, depthCm: 20 }],
      containers: [container('Tray', [25, 18], 5)],
      growables: ['radish', 'broccoli', 'sunflower'].map((key) => growable(key)),
      ...more
    });
  const closet = { ...board, id: 'closet', name: 'Closet', light: { kind: 'dark' as const } };

  it('make room in light: with a cupboard more is eaten of the same board', () => {
    const without = buildProblem(crowded());
    const input = crowded({ places: [...crowded().places, closet] });
    const built = buildProblem(input);
    const plans = [without, built].map(({ problem }) => reworked(problem, greedy(problem), { tries: 3000 }));
    const missing = plans.map(({ outcome }) => outcome.missingG);
    expect(missing[1]).to.be.below(missing[0]! * 0.8);
    const proposal = proposalOf(built, plans[1]!, input);
    const begun = proposal.changes.flatMap(({ begin }) => begin ?? []);
    expect(
      begun.some(({ placeId, lightPlaceId }) => placeId === 'closet' && lightPlaceId === 'shelf')
    ).to.equal(true);
    for (const { begin, row } of proposal.changes)
      expect([row.placeId, row.lightPlaceId]).to.deep.equal([begin!.placeId, begin!.lightPlaceId]);
    // Counted by hand: so many trays on a board on a day, as each is forecast for its own day.
    const onDay = (day: number, placeId: string): number =>
      proposal.changes.reduce((trays, { row, count }) => {
        const at = input.horizon.workFrom[day]!;
        const carriedAt = row.lightPlaceId === null ? Infinity : row.litAt;
        const here = at < carriedAt ? row.placeId : row.lightPlaceId;
        return trays + (at > row.startAt && at < row.lastCutAt && here === placeId ? count : 0);
      }, 0);
    for (let day = 0; day < input.horizon.days; day += 1) expect(onDay(day, 'shelf')).to.be.at.most(2);
  });

  it('are never overfull, whatever there is of them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 120 }),
        fc.integer({ min: 20, max: 120 }),
        fc.integer({ min: 1, max: 6 }),
        (lit, dark, trays) => {
          const { problem } = buildProblem(
            crowded({
              places: [
                { ...board, widthCm: lit, depthCm: 20 },
                { ...closet, widthCm: dark, depthCm: 20 }
              ],
              containers: [container('Tray', [25, 18], trays)]
            })
          );
          const { counts } = greedy(problem);
          for (const left of leftOf(problem, counts)) expect(Math.min(...left)).to.be.at.least(-1e-6);
        }
      ),
      { numRuns: 15 }
    );
  });

  it('do not help what stays in light or dark all along', () => {
    const growables = [growable('lettuce'), growable('wheat')];
    const starts = (places: AheadInput['places']) =>
      buildProblem(crowded({ growables, places })).problem.starts.length;
    expect(starts([...crowded().places, closet])).to.equal(starts(crowded().places));
  });
});
