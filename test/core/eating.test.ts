import { expect } from 'chai';
import fc from 'fast-check';
import { eat } from '../../src/core/ahead/eat.ts';
import { supplyWith } from '../../src/core/ahead/problem.ts';
import { countsFor, DAYS, problems } from '../support/aheadProblems.ts';

describe('eating what is there', () => {
  it('eats nothing before it has opened or after it is gone, and loses no gram', () => {
    fc.assert(
      fc.property(
        problems().chain((problem) => fc.tuple(fc.constant(problem), countsFor(problem))),
        ([problem, counts]) => {
          const { days } = eat(problem, counts);
          const supply = supplyWith(problem, counts);
          problem.crops.forEach((_, crop) => {
            let eaten = 0;
            days.forEach(({ byCrop }, day) => {
              eaten += byCrop[crop]!;
              expect(eaten).to.be.at.most(supply[crop]!.opened[day]! + 1e-6);
            });
          });
          let [eaten, thrown] = [0, 0];
          days.forEach((one, day) => {
            eaten += one.eatenG;
            thrown += one.thrownG;
            const gone = supply.reduce((sum, of) => sum + of.gone[day]!, 0);
            const opened = supply.reduce((sum, of) => sum + of.opened[day]!, 0);
            expect(eaten + thrown).to.be.within(gone - 1e-6, opened + 1e-6);
            expect(one.eatenG + one.missingG).to.be.closeTo(one.appetiteG, 1e-6);
          });
        }
      )
    );
  });

  it('leaves nobody without while there is anything to eat, whatever its share, and says by how much it went over', () => {
    const shares = problems([0.3, 0.5]).map((problem) => ({
      ...problem,
      crops: problem.crops.map((crop, nth) => ({ ...crop, leastShare: nth === 0 ? 0.2 : 0 }))
    }));
    fc.assert(
      fc.property(
        shares.chain((problem) => fc.tuple(fc.constant(problem), countsFor(problem))),
        ([problem, counts]) => {
          const { days, missingG, thrownG, costG } = eat(problem, counts);
          const supply = supplyWith(problem, counts);
          const spent = problem.crops.map(() => 0);
          days.forEach(({ byCrop, thrownByCrop, missingG: lacks }, day) => {
            const there = supply.map(({ opened }, crop) => opened[day]! - spent[crop]! - byCrop[crop]!);
            if (lacks > 1e-6) expect(Math.max(...there)).to.be.at.most(1e-6);
            byCrop.forEach((g, crop) => (spent[crop]! += g + thrownByCrop[crop]!));
          });
          // Summed by another hand: weeks of seven days from the first, of each crop what is over its most or under its least.
          let offShare = 0;
          for (const week of [days.slice(0, 7), days.slice(7)]) {
            const wanted = week.reduce((sum, { appetiteG }) => sum + appetiteG, 0);
            problem.crops.forEach(({ leastShare, mostShare }, crop) => {
              const g = week.reduce((sum, { byCrop }) => sum + byCrop[crop]!, 0);
              offShare += Math.max(0, g - mostShare * wanted, leastShare * wanted - g);
            });
          }
          const liked = days.reduce(
            (sum, { byCrop }) =>
              sum + byCrop.reduce((all, g, crop) => all + problem.crops[crop]!.liked * g, 0),
            0
          );
          const begun = counts.reduce((sum, count) => sum + count, 0);
          const worked = new Set(counts.flatMap((count, at) => (count > 0 ? [problem.starts[at]!.day] : [])));
          expect(costG).to.be.closeTo(
            10 * missingG + thrownG + 5 * offShare - 0.3 * liked + 3.5 * begun + 5 * worked.size,
            1e-6
          );
        }
      )
    );
  });

  it('throws no more where more is wanted, with the sowings fixed', () => {
    fc.assert(
      fc.property(
        problems([1]).chain((problem) =>
          fc.tuple(
            fc.constant(problem),
            countsFor(problem),
            fc.integer({ min: 0, max: DAYS - 1 }),
            fc.integer({ min: 1, max: 50 })
          )
        ),
        ([problem, counts, day, moreG]) => {
          const hungrier = {
            ...problem,
            appetiteG: problem.appetiteG.with(day, problem.appetiteG[day]! + moreG)
          };
          expect(eat(hungrier, counts).thrownG).to.be.at.most(eat(problem, counts).thrownG + 1e-6);
        }
      )
    );
  });
});
