import { expect } from 'chai';
import fc from 'fast-check';
import { cropOf } from '../../src/core/crops/library.ts';
import { learnedBelief, learnedTelling, type Learned } from '../../src/core/growth/learned.ts';
import {
  ANYBODY,
  countsOf,
  CUE_MARKS,
  leavesOf,
  RELIABLE,
  relied,
  tellingOf,
  type Cues
} from '../../src/core/growth/telling.ts';
import { cuesTold } from '../../src/core/sowing/cues.ts';
import type { Cue, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { planned, choiceOf } from '../support/choosing.ts';
import { methodOf } from '../../src/core/supplies/methods/ready.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const all: Cues = { told: CUE_MARKS, left: [] };
const nearCut: Cues = { told: ['windowOpen'], left: ['rooted', 'lightReady'] };
const times = (cues: Cues, n: number): Cues[] => Array.from({ length: n }, () => cues);
const looked = (hours: number, cue: Cue, reached = true): SowingEvent =>
  event(hours, { type: 'looked', cue, reached });
/** A household of which this much is known, and no pace. */
const known = (cues: Cues[]): Learned => ({
  ended: [],
  underWay: cues.map((one, n) => ({ sowingId: `${n}`, cropKey: 'pea', message: null, cues: one }))
});
const follow = (learned: Learned | undefined, events: SowingEvent[], more = {}) =>
  project({ ...home, ...(learned ? { learned } : {}) }, radishTray(more), [sown(), ...events]).forecast;

describe('how a household tells what it sees', () => {
  it('is as anybody does, before anything is known', () => {
    const { answers, trust } = tellingOf([]);
    expect(Object.values(answers)).to.deep.equal([ANYBODY.answers, ANYBODY.answers, ANYBODY.answers]);
    expect(trust).to.equal(0);
    expect(leavesOf(ANYBODY.answers)).to.equal(ANYBODY.leaves);
    expect(leavesOf(RELIABLE.answers)).to.be.closeTo(RELIABLE.leaves, 1e-12);
    expect(leavesOf(0.1)).to.equal(ANYBODY.leaves);
  });

  it('is reliable of who tells each cue, and of who tells one and leaves the others, for that one', () => {
    const always = tellingOf(countsOf(times(all, 12)));
    expect(Math.min(...Object.values(always.answers))).to.be.above(0.96);
    expect(always.trust).to.equal(1);
    const late = tellingOf(countsOf(times(nearCut, 12)));
    expect(late.answers.windowOpen).to.be.above(0.96);
    expect(Math.max(late.answers.rooted, late.answers.lightReady)).to.be.below(0.15);
    expect(late.trust).to.equal(1);
    const now = tellingOf(countsOf([...times(all, 6), ...times({ told: [], left: CUE_MARKS }, 6)]));
    expect(now.trust).to.equal(0);
  });

  it('is the same of sowings that have ended as of those under way', () => {
    const some = fc.array(fc.constantFrom(...CUE_MARKS, null), { minLength: 0, maxLength: 12 });
    fc.assert(
      fc.property(some, some, (told, left) => {
        const one = (mark: (typeof CUE_MARKS)[number] | null) => (mark ? [mark] : []);
        const sowings = [
          ...told.map((mark): Cues => ({ told: one(mark), left: [] })),
          ...left.map((mark): Cues => ({ told: [], left: one(mark) }))
        ];
        const count = (of: typeof told, mark: string) => of.filter((one) => one === mark).length;
        const ended = CUE_MARKS.map((mark) => [count(told, mark), count(left, mark)] as const);
        expect(tellingOf(countsOf([], ended))).to.deep.equal(tellingOf(countsOf(sowings)));
        // One that is left never makes it surer, one that is told never less likely to be told.
        for (const mark of CUE_MARKS) {
          const before = tellingOf(countsOf(sowings));
          const less = tellingOf(countsOf([...sowings, { told: [], left: [mark] }]));
          expect(less.trust).to.be.at.most(before.trust + 1e-12);
          expect(less.answers[mark]).to.be.at.most(before.answers[mark]);
          const more = tellingOf(countsOf([...sowings, { told: [mark], left: [] }]));
          expect(more.answers[mark]).to.be.at.least(before.answers[mark]);
        }
      })
    );
  });

  it('is read off a log: told, left though the tray went on, and what was not asked is neither', () => {
    const of = (events: SowingEvent[], more = {}) => {
      const { state, path } = project(home, radishTray(more), [sown(), ...events]);
      const { told, left } = cuesTold(state, path);
      return { told, left };
    };
    expect(of([])).to.deep.equal({ told: [], left: [] });
    expect(of([looked(40, 'rooted', false)])).to.deep.equal({ told: ['rooted'], left: [] });
    const cut = event(200, { type: 'cut', grossG: 300, tareG: 200, share: 1, last: true });
    const quiet = [event(60, { type: 'uncovered' }), event(90, { type: 'lit' }), cut];
    expect(of(quiet)).to.deep.equal({ told: [], left: CUE_MARKS });
    expect(of([...quiet, looked(180, 'windowOpen')])).to.deep.equal(nearCut);
    // Straight to light, nobody is asked whether the stems are even.
    expect(of(quiet, { method: methodOf('stack-and-light') }).left).to.deep.equal(['rooted', 'windowOpen']);
  });

  it('leaves out what a tray shows of it itself', () => {
    const own = radishTray().id;
    const learned: Learned = {
      ended: [],
      underWay: [{ sowingId: own, cropKey: 'radish', message: null, cues: nearCut }]
    };
    expect(learnedTelling(learned, own)).to.deep.equal(tellingOf([]));
    expect(learnedTelling(learned)).to.deep.equal(tellingOf(countsOf([nearCut])));
  });
});

describe('what silence says', () => {
  const rounds = [100, 112, 124, 136, 148, 160, 172].map((hours) => event(hours, { type: 'turned' }));
  const quiet = [event(50, { type: 'uncovered' }), event(80, { type: 'lit' }), ...rounds];
  const opens = (learned: Learned | undefined) =>
    follow(learned, [...quiet, looked(184, 'windowOpen')]).marks.windowOpen.p50;

  it('moves the opening of who always tells it further than that of anybody, and hardly that of who never does', () => {
    const never: Cues = { told: [], left: ['windowOpen'] };
    const anybody = opens(undefined);
    expect(opens(known(times(all, 12)))).to.be.above(anybody + 0.1 * DAY);
    expect(opens(known(times(never, 12)))).to.be.below(anybody - 0.1 * DAY);
    expect(opens(known([]))).to.equal(anybody);
  });

  it('teaches less haste of who tells only good news, once that is known', () => {
    const good = [
      ...quiet,
      looked(50, 'rooted'),
      looked(80, 'lightReady'),
      event(184, { type: 'turned' }),
      looked(196, 'windowOpen')
    ];
    const forecast = project(home, radishTray(), [sown(), ...good], { asIfNew: true }).forecast;
    const [anybody, reliable] = [forecast.message()!, forecast.reliable()!];
    expect(reliable.mean).to.be.above(anybody.mean + 0.02);
    const belief = (cues: Cues[]) =>
      learnedBelief(
        {
          ...known(cues),
          ended: [{ cropKey: 'radish', message: anybody, reliable, trays: 1 }]
        },
        cropOf('radish')
      ).mean;
    expect(belief(times(all, 12))).to.be.above(belief([]));
  });

  it('lies between both readings, by how far it is relied on', () => {
    const gaussian = fc.record({
      mean: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
      variance: fc.double({ min: 0.001, max: 0.2, noNaN: true })
    });
    fc.assert(
      fc.property(gaussian, gaussian, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, trust) => {
        const { mean, variance } = relied(a, b, trust)!;
        expect(mean).to.be.within(Math.min(a.mean, b.mean) - 1e-9, Math.max(a.mean, b.mean) + 1e-9);
        expect(variance).to.be.within(
          Math.min(a.variance, b.variance) - 1e-9,
          Math.max(a.variance, b.variance) + 1e-9
        );
        expect(relied(a, b, 0)!.mean).to.be.closeTo(a.mean, 1e-9);
        expect(relied(a, b, 1)!.mean).to.be.closeTo(b.mean, 1e-9);
      })
    );
    expect(relied(null, null, 0.5)).to.equal(null);
    expect(relied({ mean: 0.1, variance: 0.02 }, null, 1)).to.equal(null);
    expect(relied({ mean: 0.1, variance: 0.02 }, null, 0.5)).to.deep.include({ mean: 0.1 });
  });
});

describe('first light of who tells no cue', () => {
  const mute = known(times({ told: [], left: ['rooted', 'lightReady'] }, 12));

  it('is expected when the round asks without it, and the opening after that', () => {
    const [anybody, silent] = [follow(undefined, []), follow(mute, [])];
    // By another hand: the 90 % of both stages, a little before it for the few that tell.
    const { p50, p90 } = anybody.marks.lightReady;
    expect(silent.litAt).to.be.within(p50 + (p90 - p50) * 0.6 + 6 * HOUR, p90 + 8 * HOUR);
    expect(silent.litAt - anybody.litAt).to.be.above(0.3 * DAY);
    expect(silent.marks.windowOpen.p50).to.be.above(anybody.marks.windowOpen.p50 + 0.15 * DAY);
    for (const mark of ['rooted', 'lightReady'] as const)
      expect(silent.marks[mark].p50).to.be.closeTo(anybody.marks[mark].p50, 1000);
  });

  it('is expected at once where the cue was told this time', () => {
    const events = [event(50, { type: 'uncovered' }), looked(70, 'lightReady')];
    const [anybody, silent] = [follow(undefined, events), follow(mute, events)];
    expect(silent.litAt).to.be.closeTo(anybody.litAt, 2 * HOUR);
  });

  it('is planned as it then goes', () => {
    for (const learned of [mute, known(times(nearCut, 5)), known(times(all, 5))])
      for (const key of ['radish', 'cilantro', 'basil']) {
        const choice = choiceOf([cropOf(key)], { place: shelf });
        const [{ plan, setup }] = planned(choice, SOWN, learned) as [ReturnType<typeof planned>[number]];
        const kept = project({ ...home, learned }, setup, []).forecast.marks.windowOpen;
        expect(kept.p50, key).to.be.closeTo(plan.forecast.marks.windowOpen.p50, 1000);
      }
  });
});
