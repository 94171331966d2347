import { expect } from 'chai';
import fc from 'fast-check';
import type { AheadInput } from '../../src/core/ahead/build.ts';
import { buildProblem } from '../../src/core/ahead/build.ts';
import { eat } from '../../src/core/ahead/eat.ts';
import { plannedAt } from '../../src/core/ahead/growable.ts';
import { mendingsOf, type Offer } from '../../src/core/ahead/offers.ts';
import { leftOf, standsNow } from '../../src/core/ahead/problem.ts';
import type { Projected } from '../../src/core/sowing/project.ts';
import { offerWords } from '../../src/words/ahead.ts';
import { aheadInput, container, eater, growable, shelf } from '../support/ahead.ts';

const TRAY = container('Tray', [25, 18], 6);
const CROPS = ['radish', 'mustard', 'pea'].map((key) => growable(key));
const narrow = { ...shelf, widthCm: 70 };

/** A household in which some trays are planned for some days, each under a lamp, where no two days differ. */
function inputWith(
  planned: readonly { crop: number; day: number }[],
  more: Partial<AheadInput> & { days?: number } = {}
): AheadInput {
  const input = aheadInput({ places: [narrow], containers: [TRAY], growables: [], ...more });
  return { ...input, sowings: planned.map(({ crop, day }, n) => plannedOn(input, crop, day, `tray ${n}`)) };
}
function plannedOn(input: AheadInput, crop: number, day: number, id: string): Projected {
  const where = { place: narrow, lightPlace: null };
  const { projected } = plannedAt(
    CROPS[crop]!,
    { where, container: TRAY, at: input.horizon.workFrom[day]! },
    input.context
  );
  return { ...projected, setup: { ...projected.setup, id } };
}

const outcomeOf = (input: AheadInput) => {
  const { problem } = buildProblem(input);
  return { ...eat(problem, standsNow(problem)), left: leftOf(problem, standsNow(problem)) };
};

const offersOf = (input: AheadInput): Offer[] =>
  mendingsOf(buildProblem(input), input, () => null).flatMap(({ offers }) => offers);

describe('what mends a gap or a glut', () => {
  const plans = fc.array(
    fc.record({ crop: fc.integer({ min: 0, max: 2 }), day: fc.integer({ min: 0, max: 24 }) }),
    { minLength: 1, maxLength: 7 }
  );
  const household = fc.record({
    plans,
    grams: fc.constantFrom(10, 25, 60),
    daysOff: fc.subarray([1, 3, 5, 6, 7])
  });

  it('moves a sowing only to where all the weeks gain, on a day with time, and with room and containers for it', () => {
    let moves = 0;
    fc.assert(
      fc.property(household, ({ plans: planned, grams, daysOff }) => {
        const input = inputWith(planned, { eaters: [eater(grams)], daysOff });
        const before = outcomeOf(input);
        for (const offer of offersOf(input)) {
          if (offer.kind !== 'move') continue;
          moves += 1;
          const nth = Number(offer.sowingId.split(' ')[1]);
          const day = planned[nth]!.day + offer.days;
          // Planned anew for its other day, and not shifted.
          const moved = inputWith(planned.with(nth, { ...planned[nth]!, day }), {
            eaters: [eater(grams)],
            daysOff
          });
          const after = outcomeOf(moved);
          expect(after.costG).to.be.below(before.costG + 1);
          expect(before.missingG - after.missingG).to.be.closeTo(offer.missingG, 3);
          expect(before.thrownG - after.thrownG).to.be.closeTo(offer.thrownG, 3);
          after.left.forEach((left, resource) =>
            expect(Math.min(...left)).to.be.at.least(Math.min(0, ...before.left[resource]!) - 1e-6)
          );
          for (const work of buildProblem(moved).problem.starts.find(
            ({ sowingId }) => sowingId === offer.sowingId
          )!.workDays)
            expect(buildProblem(moved).works[work]).to.equal(true);
        }
      }),
      { numRuns: 100, seed: 11 }
    );
    expect(moves, 'moves that were offered').to.be.above(20);
  });

  it('offers no move that only carries a glut to another week', () => {
    // Five trays on one day, and as many a week later: later, each would only be thrown beside the others.
    const planned = [0, 0, 0, 0, 0, 6, 6, 6, 6, 6].map((day) => ({ crop: 0, day }));
    const input = inputWith(planned, {
      eaters: [eater(5)],
      places: [{ ...narrow, widthCm: 400 }],
      containers: [{ ...TRAY, owned: 20 }]
    });
    for (const offer of offersOf(input)) {
      expect(offer.kind).not.to.equal('begin');
      expect(10 * offer.missingG + offer.thrownG).to.be.above(0);
    }
  });

  it('begins one more only where that leaves less missing over all the weeks, and says what else it does', () => {
    const input = inputWith([], { growables: CROPS, eaters: [eater(12)], days: 21 });
    const begin = offersOf(input).find(({ kind }) => kind === 'begin')!;
    expect(begin.missingG).to.be.above(40);
    expect(offerWords(begin, (day) => `day ${day}`, { zone: 'Europe/Madrid', units: 'metric' })).to.match(
      /^Begin .*, Tray, on day \d+: about \d+ g less missing(, about \d+ g more thrown)?\.$/
    );
  });

  it('says nothing to a household that lacks nothing', () => {
    expect(
      mendingsOf(buildProblem(inputWith([], { eaters: [] })), inputWith([], { eaters: [] }), () => null)
    ).to.deep.equal([]);
  });
});
