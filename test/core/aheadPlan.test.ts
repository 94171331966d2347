import { expect } from 'chai';
import fc from 'fast-check';
import { buildProblem, type AheadInput } from '../../src/core/ahead/build.ts';
import { changesOf } from '../../src/core/ahead/changes.ts';
import { eat } from '../../src/core/ahead/eat.ts';
import { better, greedy, planAtOnce } from '../../src/core/ahead/greedy.ts';
import { reworked } from '../../src/core/ahead/reworked.ts';
import { plannedFor } from '../../src/core/ahead/growable.ts';
import { shortDays } from '../../src/core/ahead/paces.ts';
import { proposalOf, type Proposal } from '../../src/core/ahead/proposal.ts';
import { daysTaken, standOf, standsOf } from '../../src/core/ahead/room.ts';
import { standingOf } from '../../src/core/sowing/standing.ts';
import type { ContainerStock } from '../../src/core/supplies/containers/container.ts';
import { oversOf, usesOf } from '../../src/core/ahead/uses.ts';
import type { Projected } from '../../src/core/sowing/project.ts';
import { leftOf, standsNow, type AheadProblem, type Start } from '../../src/core/ahead/problem.ts';
import { gapsOf, glutsOf, wishesOf } from '../../src/core/ahead/mends.ts';
import { compare } from '../support/halfYear.ts';
import { columnsOf, modelOf, planOf } from '../support/model.ts';
import { smallCase } from '../support/smallCases.ts';
import { SMALL_OPTIMA } from '../support/smallOptima.ts';
import { solve } from '../support/solver.ts';
import { aheadInput, container, eater, growable, shelf, twelveCrops } from '../support/ahead.ts';
import { cheapestOf, problems, start } from '../support/aheadProblems.ts';

/** The sowings of a proposal, each planned by itself as it is when it is taken. */
const takenOf = (input: AheadInput, { changes }: Proposal): Projected[] =>
  changes.map(({ begin, count }, nth) => {
    const place = (id: string | null) => input.places.find((one) => one.id === id) ?? null;
    const { projected } = plannedFor(
      input.growables.find(({ crop }) => crop.key === begin!.cropKey)!,
      {
        place: place(begin!.placeId)!,
        lightPlace: place(begin!.lightPlaceId),
        container: input.containers.find(({ id }) => id === begin!.containerId)!,
        count,
        ownSeedG: null,
        aim: { kind: 'from', at: input.horizon.workFrom[begin!.day]! }
      },
      input.context
    );
    return { ...projected, setup: { ...projected.setup, id: `taken ${nth}` } };
  });

describe('the plan', () => {
  it('holds what there is of containers, at once and after looking for better', () => {
    fc.assert(
      fc.property(problems(), fc.constantFrom(planAtOnce, greedy), (problem, planned) => {
        const { counts, outcome } = planned(problem);
        for (const left of leftOf(problem, counts)) expect(Math.min(...left)).to.be.at.least(-1e-6);
        expect(outcome.costG).to.be.at.most(eat(problem, standsNow(problem)).costG + 1e-6);
        expect(outcome.costG).to.be.closeTo(eat(problem, counts).costG, 1e-6);
      })
    );
  });

  it('never comes out dearer, over anything, or otherwise, for being reworked', () => {
    fc.assert(
      fc.property(problems(), (problem) => {
        const plan = greedy(problem);
        const { counts, outcome } = reworked(problem, plan);
        for (const left of leftOf(problem, counts)) expect(Math.min(...left)).to.be.at.least(-1e-6);
        counts.forEach((count, at) => expect(count).to.be.within(0, problem.starts[at]!.most));
        expect(outcome.costG).to.be.at.most(plan.outcome.costG + 1e-6);
        expect(outcome.costG).to.be.closeTo(eat(problem, counts).costG, 1e-6);
        expect(reworked(problem, plan).counts).to.deep.equal(counts);
      })
    );
  });

  it('is within 1 % of the best possible on most small households and within 5 % on all, of what could be mended', () => {
    const left = Object.entries(SMALL_OPTIMA).map(([seed, bestG]) => {
      const problem = smallCase(Number(seed));
      const standsG = eat(problem, standsNow(problem)).costG;
      return (reworked(problem, greedy(problem)).outcome.costG - bestG) / (standsG - bestG);
    });
    left.sort((a, b) => a - b);
    expect(left).to.have.length(100);
    expect(left[0], 'nothing is better than the best').to.be.above(-1e-4);
    expect(left[50], 'median').to.be.below(0.01);
    expect(left.at(-1), 'worst').to.be.below(0.05);
  });

  it('is held against the best that a solver finds to the end', async () => {
    for (let seed = 10; seed <= 100; seed += 10) {
      const problem = smallCase(seed);
      const { proved, progress } = await solve(modelOf(problem));
      expect(proved).to.equal(true);
      expect(progress.boundG, `seed ${seed}`).to.be.closeTo(SMALL_OPTIMA[seed]!, 0.02);
    }
  });

  it('is a solution of the model, at the same cost', () => {
    fc.assert(
      fc.property(problems(), (problem) => {
        const plan = greedy(problem);
        const model = modelOf(problem);
        const columns = columnsOf(problem, plan);
        model.rows.forEach(({ columns: at, factors }, row) => {
          const sum = at.reduce((all, column, n) => all + factors[n]! * columns[column]!, 0);
          expect(sum).to.be.within(model.rowLower[row]! - 1e-6, model.rowUpper[row]! + 1e-6);
        });
        const cost = model.cost.reduce((sum, one, at) => sum + one * columns[at]!, model.offset);
        expect(cost).to.be.closeTo(plan.outcome.costG, 1e-6);
        expect(planOf(problem, columns).outcome.costG).to.be.closeTo(plan.outcome.costG, 1e-6);
      })
    );
  });

  it('is, solved, as cheap as the cheapest of all that can be: against trying everything', async () => {
    for (const problem of fc.sample(problems([1]), { numRuns: 25, seed: 7 })) {
      const least = cheapestOf(problem);
      const { columns, proved } = await solve(modelOf(problem));
      const plan = planOf(problem, columns);
      expect(proved).to.equal(true);
      expect(plan.outcome.costG).to.be.closeTo(least, 1e-3);
      expect(better(problem, [greedy(problem), plan]).outcome.costG).to.be.closeTo(least, 1e-3);
    }
  });

  it('comes within a twentieth of the cheapest where shares bind, and its bound is under all that can be', async () => {
    let [plans, least, bounds] = [0, 0, 0];
    for (const problem of fc.sample(problems([0.5, 0.6]), { numRuns: 20, seed: 7 })) {
      const solved = await solve(modelOf(problem));
      const cheapest = cheapestOf(problem);
      expect(solved.progress.boundG).to.be.at.most(cheapest + 1e-3);
      plans += better(problem, [planOf(problem, solved.columns)]).outcome.costG;
      least += cheapest;
      bounds += Math.abs(cheapest);
    }
    expect(plans - least).to.be.within(-1e-3, bounds / 20);
  });

  it('leaves out by rule what is planned and nobody would eat, and nothing that feeds somebody', () => {
    const [problem] = fc.sample(problems([1]), { numRuns: 1, seed: 3 });
    const starts = [start(1, { leadD: 2, keepsD: 3, yieldG: 90, crop: 0 })].map((one) => ({
      ...one,
      sowingId: 'planned'
    }));
    const stands = (appetiteG: number): AheadProblem => ({
      ...problem!,
      starts,
      standing: [],
      appetiteG: problem!.appetiteG.map(() => appetiteG)
    });
    expect(greedy(stands(0)).counts).to.deep.equal([0]);
    expect(reworked(stands(0), planAtOnce(stands(0))).counts).to.deep.equal([0]);
    expect(greedy(stands(30)).counts).to.deep.equal([1]);
  });

  it('promises what is shown once it is taken', async () => {
    for (const problem of fc.sample(problems([0.4, 0.5, 1]), { numRuns: 20, seed: 3 })) {
      const { counts, outcome } = planOf(problem, (await solve(modelOf(problem))).columns);
      const { starts, ...rest } = problem;
      const taken = counts.flatMap((count, index): Start[] =>
        Array.from({ length: count }, (_, n) => ({ ...starts[index]!, sowingId: `${index}.${n}` }))
      );
      const stands = { ...rest, starts: taken };
      const { days } = eat(stands, standsNow(stands));
      expect(days).to.deep.equal(outcome.days);
    }
  });

  it('proposes nothing to a plan that was given its own answer back, where that is proved best', async () => {
    for (const problem of fc.sample(problems([1]), { numRuns: 12, seed: 11 })) {
      const first = planOf(problem, (await solve(modelOf(problem))).columns);
      const starts = first.counts.flatMap((count, index): Start[] =>
        Array.from({ length: count }, (_, n) => ({
          ...problem.starts[index]!,
          sowingId: `${index}.${n}`,
          costG: 0
        }))
      );
      const again = {
        ...problem,
        starts: [...starts, ...problem.starts],
        worked: problem.worked.map((_, day) => starts.some(({ workDays }) => workDays.includes(day)))
      };
      const second = planOf(again, (await solve(modelOf(again))).columns);
      expect(changesOf(again, better(again, [second]))).to.deep.equal([]);
    }
  });
});

describe('weeks ahead', () => {
  it('feed a household every day from the first tray on, from lamp and sill, within board, containers and seed', () => {
    const { problem } = buildProblem(twelveCrops());
    const { counts, outcome } = greedy(problem);
    for (const left of leftOf(problem, counts)) expect(Math.min(...left)).to.be.at.least(-1e-6);
    const missing = outcome.days.slice(10).filter(({ missingG }) => missingG > 1);
    expect(missing).to.deep.equal([]);
    expect(
      new Set(counts.flatMap((count, at) => (count > 0 ? [problem.starts[at]!.crop] : []))).size
    ).to.be.above(1);
    // Nobody can have greens from seed that was sown today.
    expect(gapsOf(outcome.days)[0]).to.include({ from: 0 });
  });

  it('never lay more on a board than it is rated for, unless somebody says that it holds', () => {
    const rated = (ratedG: number | null, ratingSure = false) =>
      buildProblem(aheadInput({ eaters: [eater(120)], places: [{ ...shelf, ratedG, ratingSure }] })).problem;
    const trays = (problem: AheadProblem) => greedy(problem).counts.reduce((sum, count) => sum + count, 0);
    const weak = rated(3000);
    const load = weak.resources.findIndex(({ kind }) => kind === 'load');
    expect(Math.min(...leftOf(weak, greedy(weak).counts)[load]!)).to.be.at.least(0);
    expect(trays(weak)).to.be.within(1, trays(rated(null)) - 1);
    expect(trays(rated(3000, true))).to.equal(trays(rated(null)));
    expect(trays(rated(500))).to.equal(0);
    // What would mend it is named.
    expect(wishesOf(weak, greedy(weak).counts).map(({ kind }) => kind)).to.include('load');
  });

  it('begin nothing where nobody is at home or has time, and feed nobody who is away', () => {
    const input = aheadInput({
      away: [{ fromDay: '2026-12-07', untilDay: '2026-12-13' }],
      daysOff: [1, 2, 3]
    });
    const { problem } = buildProblem(input);
    expect(problem.appetiteG.slice(11, 18)).to.deep.equal([0, 0, 0, 0, 0, 0, 0]);
    for (const { workDays } of problem.starts)
      for (const day of workDays) {
        expect(day < 11 || day > 17).to.equal(true);
        expect([1, 2, 3]).not.to.include(input.horizon.first.add({ days: day }).dayOfWeek);
      }
  });

  it('stand still without an appetite, and do what they can for a regiment', () => {
    const nobody = buildProblem(aheadInput({ eaters: [] })).problem;
    expect(changesOf(nobody, greedy(nobody))).to.deep.equal([]);
    const regiment = buildProblem(aheadInput({ eaters: [eater(20_000)] })).problem;
    const { counts, outcome } = greedy(regiment);
    expect(outcome.missingG).to.be.above(0);
    expect(Math.max(...counts)).to.be.at.most(3);
    expect(wishesOf(regiment, counts).map(({ kind }) => kind)).to.include('container');
  });

  it('have nothing to begin without seed, without a container, or with every day away', () => {
    for (const more of [
      { growables: [growable('radish', { seedG: 0 })] },
      { containers: [container('Tray', [25, 18], 0)] },
      { away: [{ fromDay: '2026-11-26', untilDay: '2027-12-31' }] },
      { growables: [] },
      { places: [] }
    ]) {
      const { problem } = buildProblem(aheadInput(more));
      expect(greedy(problem).counts.every((count) => count === 0)).to.equal(true);
    }
  });

  it('tell which days a tray is for', () => {
    const { problem } = buildProblem(aheadInput());
    const plan = greedy(problem);
    const changes = changesOf(problem, plan);
    expect(changes.length).to.be.above(3);
    for (const { index, feeds } of changes) expect(feeds!.from).to.be.at.least(problem.starts[index]!.day);
  });

  it('promise of a proposal what its sowings, each planned by itself, then come to', () => {
    // By a window, where no two weeks of winter are alike.
    const window = { ...shelf, light: { kind: 'sill', aspect: 'midday', back: false } } as const;
    const input = { ...twelveCrops(), places: [window] };
    const built = buildProblem(input);
    const proposal = proposalOf(built, greedy(built.problem), input);
    const taken = takenOf(input, proposal);
    expect(taken.length).to.be.above(5);
    const { problem } = buildProblem({ ...input, sowings: taken, growables: [] });
    const { days } = eat(problem, standsNow(problem));
    days.forEach(({ missingG, thrownG }, day) => {
      expect(missingG, `missing on ${day}`).to.be.closeTo(proposal.days[day]!.missingG, 1e-6);
      expect(thrownG, `thrown on ${day}`).to.be.closeTo(proposal.days[day]!.thrownG, 1e-6);
    });
  });

  it('take no more than there is once they are taken: by a window in winter, and from a cupboard', () => {
    const window = { ...shelf, light: { kind: 'sill', aspect: 'midday', back: false } } as const;
    const closet = { ...shelf, id: 'closet', light: { kind: 'dark' } } as const;
    const narrow = { ...shelf, widthCm: 60 };
    for (const places of [[window], [narrow], [{ ...window, widthCm: 60 }, closet], [narrow, closet]]) {
      const input = { ...twelveCrops(), places, eaters: [eater(150)] };
      const built = buildProblem(input);
      const taken = takenOf(input, proposalOf(built, greedy(built.problem), input));
      expect(taken.length).to.be.at.least(10);
      const { problem } = buildProblem({ ...input, sowings: taken, growables: [] });
      const overs = oversOf(usesOf(problem, standsNow(problem)));
      expect(overs.map(({ use, from, until }) => `${use.name} ${from} to ${until}`)).to.deep.equal([]);
    }
  });

  it('hold board and container of whatever may be begun for as long as it then stands', () => {
    const dim = {
      ...shelf,
      light: { kind: 'sill', aspect: 'side', back: false },
      dayC: 19,
      nightC: 15
    } as const;
    const closet = { ...shelf, id: 'closet', light: { kind: 'dark' } } as const;
    for (const lit of [dim, { ...shelf, widthCm: 60 }]) {
      const input = { ...twelveCrops(), places: [lit, closet] };
      const { problem, starts } = buildProblem(input);
      const [{ id: size }] = input.containers as [ContainerStock];
      problem.starts.forEach((start, index) => {
        if (start.day % 3 > 0 || start.containerId !== size) return;
        const { where, growable } = starts[index]!.course;
        const at = input.horizon.workFrom[start.day]!;
        const { projected } = plannedFor(
          growable,
          {
            ...where,
            container: input.containers[0]!,
            count: 1,
            ownSeedG: null,
            aim: { kind: 'from', at }
          },
          input.context
        );
        const [standing] = standingOf([projected]);
        const own = [...standsOf(standing!), standOf(standing!)].map((stand) =>
          daysTaken(stand, input.horizon, input.context.rhythm)
        );
        own.forEach(([from, until], nth) => {
          const use = start.uses[nth]!;
          expect(use.from, `${growable.crop.key} of day ${start.day}`).to.be.at.most(from);
          expect(
            Math.min(problem.days, use.until),
            `${growable.crop.key} of day ${start.day}`
          ).to.be.at.least(until);
        });
      });
    }
  });

  it('judge a plan on drawn paces: the nearer to the edge, the more days are short', () => {
    const { problem } = buildProblem(aheadInput({ eaters: [eater(25)] }));
    const plan = greedy(problem);
    const short = shortDays(problem, plan.counts);
    const none = shortDays(problem, standsNow(problem));
    expect(none.length).to.equal(problem.days);
    expect(short.length).to.be.within(1, none.length - 20);
  });

  it('know a glut from a gap', () => {
    const { problem } = buildProblem(aheadInput({ eaters: [eater(2)] }));
    const heaped = problem.starts.map((_, index) => (index < 4 ? 1 : 0));
    const { days } = eat(problem, heaped);
    expect(glutsOf(days)[0]!.g).to.be.above(100);
    expect(glutsOf(eat(problem, standsNow(problem)).days)).to.deep.equal([]);
  });
});

describe('half a year of simulated households', () => {
  it('is short on far fewer days by the plan than by Sundays of the book, throws less away, and is no more work', () => {
    const { sundays, orders, ahead } = compare(3, 40);
    expect(ahead.shortDays).to.be.at.most(sundays.shortDays * 0.4);
    expect(ahead.shortDays).to.be.at.most(orders.shortDays);
    expect(ahead.thrownG).to.be.at.most(Math.min(sundays.thrownG * 0.5, orders.thrownG));
    expect(ahead.hours).to.be.at.most(sundays.hours * 1.3);
    expect(ahead.eatenG).to.be.at.least(sundays.eatenG);
  });
});
