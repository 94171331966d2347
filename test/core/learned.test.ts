import { expect } from 'chai';
import fc from 'fast-check';
import { cropOf } from '../../src/core/crops/library.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { learnedBelief, lessonOf, messageOf, type Learned } from '../../src/core/growth/learned.ts';
import { NEW_HOUSEHOLD } from '../../src/core/growth/learn.ts';
import { lessonShort, lessonWords } from '../../src/words/lesson.ts';
import { event, home, radishTray, sown } from '../support/household.ts';

const radish = cropOf('radish');
const look = (day: number, reached: boolean): SowingEvent =>
  event(day * 24, { type: 'looked', cue: 'windowOpen', reached });
const says = (events: SowingEvent[]) =>
  messageOf(project(home, radishTray(), [sown(), ...events], { asIfNew: true }));
const one = (mean: number, variance = 0.01) => ({ mean, variance });
const nothing: Learned = { ended: [], underWay: [] };

describe('what a tray teaches', () => {
  it('is nothing until a cue of it was seen', () => {
    expect(says([])).to.equal(null);
    expect(says([look(2, false)])).to.equal(null);
  });

  it('is how slow it was, the surer the closer the looks lie', () => {
    const wide = says([look(5, false), look(9, true)])!;
    const close = says([look(6.5, false), look(7, true)])!;
    // In light from the beginning, it waited for nobody; nobody says so of the others, which are taken to have waited for a round.
    const lit = [event(1, { type: 'lit' })];
    const prompt = says([...lit, look(6.5, false), look(7, true)])!;
    expect(close.mean).to.be.below(prompt.mean);
    expect(prompt.mean).to.be.closeTo(Math.log(6.75 / radish.windowOpenD21), 0.01);
    expect(close.variance).to.be.below(wide.variance);
    expect(says([look(7.4, false), look(7.6, true)])!.mean).to.be.above(close.mean);
  });

  it('is little of a yes that came without a word before it: the day before it was passed by and nothing said', () => {
    const alone = says([look(7, true)])!;
    expect(alone.mean).to.be.within(-0.13, -0.05);
    const before = says([look(6.5, false), look(7, true)])!;
    expect(before.variance).to.be.below(alone.variance);
  });

  it('is nothing of a tray so slow that it stalled, and of a first look long after the opening', () => {
    expect(says([look(15, true)])).to.equal(null);
    expect(says([look(12.9, false), look(13.1, true)])).to.equal(null);
  });

  it('is nothing of a harvest that was forgotten: a late cut is no late window', () => {
    const cut = event(14 * 24, { type: 'cut', grossG: 300, tareG: 200, share: 1, last: true });
    expect(says([cut])).to.equal(null);
    const seenInTime = [look(6.9, false), look(7.1, true)];
    expect(says([...seenInTime, cut])).to.deep.equal(says(seenInTime));
  });

  it('is taken back with the look', () => {
    const seen = look(7.1, true);
    expect(says([seen, event(171, { type: 'undone', eventId: seen.id })])).to.equal(null);
  });
});

describe('what a household has learned', () => {
  const opens = (learned: Learned | undefined, events: SowingEvent[] = []) =>
    project({ ...home, ...(learned ? { learned } : {}) }, radishTray(), [sown(), ...events]).forecast.marks
      .windowOpen;
  const slow: Learned = { ended: [{ cropKey: 'radish', message: one(0.12, 0.002), trays: 5 }], underWay: [] };

  it('is nothing at first', () => {
    expect(learnedBelief(undefined, radish)).to.deep.equal(NEW_HOUSEHOLD);
    expect(learnedBelief(nothing, radish)).to.deep.equal(NEW_HOUSEHOLD);
    expect(lessonOf(nothing, radish)).to.equal(null);
  });

  it('moves and narrows the next window of that crop, and a little those of others', () => {
    const [before, after] = [opens(undefined), opens(slow)];
    expect(after.p50).to.be.above(before.p50 + 0.4 * DAY);
    expect(after.p90 - after.p10).to.be.below(before.p90 - before.p10);
    const other = learnedBelief(slow, cropOf('kale'));
    expect(other.mean).to.be.within(0.02, learnedBelief(slow, radish).mean - 0.02);
    expect(
      project({ ...home, learned: slow }, radishTray(), [sown()], { asIfNew: true }).forecast.marks.windowOpen
        .p50
    ).to.equal(before.p50);
  });

  it('never tells a tray what it said itself', () => {
    const own = radishTray().id;
    const events = [look(7.4, false), look(7.6, true)];
    const message = messageOf(project(home, radishTray(), [sown(), ...events], { asIfNew: true }))!;
    const withOwn: Learned = { ended: [], underWay: [{ sowingId: own, cropKey: 'radish', message }] };
    expect(learnedBelief(withOwn, radish, own)).to.deep.equal(NEW_HOUSEHOLD);
    for (const at of ['p10', 'p50', 'p90'] as const)
      expect(opens(withOwn, events)[at]).to.equal(opens(undefined, events)[at]);
    expect(learnedBelief(withOwn, radish).mean).to.be.above(0);
  });

  it('is the same whether a tray has ended or is still under way', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            mean: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
            variance: fc.double({ min: 0.005, max: 0.05, noNaN: true })
          }),
          { minLength: 1, maxLength: 8 }
        ),
        (messages) => {
          const precision = messages.reduce((sum, { variance }) => sum + 1 / variance, 0);
          const mean =
            messages.reduce((sum, message) => sum + message.mean / message.variance, 0) / precision;
          const ended: Learned = {
            ended: [
              { cropKey: 'radish', message: { mean, variance: 1 / precision }, trays: messages.length }
            ],
            underWay: []
          };
          const underWay: Learned = {
            ended: [],
            underWay: messages.map((message, index) => ({ sowingId: `${index}`, cropKey: 'radish', message }))
          };
          for (const crop of [radish, cropOf('pea')]) {
            const [a, b] = [learnedBelief(ended, crop), learnedBelief(underWay, crop)];
            expect(a.mean).to.be.closeTo(b.mean, 1e-9);
            expect(a.variance).to.be.closeTo(b.variance, 1e-9);
          }
        }
      )
    );
  });

  it('is told in words', () => {
    const lesson = lessonOf(slow, radish)!;
    expect(lesson.trays).to.equal(5);
    expect(lessonWords('Radish', lesson)).to.match(
      /^Your radish runs 1\d% slower than usual, from 5 trays \(likely \d+% to \d+% slower\)\.$/
    );
    const fast = lessonOf(
      { ...slow, ended: [{ cropKey: 'radish', message: one(-0.2, 0.002), trays: 1 }] },
      radish
    )!;
    expect(lessonWords('Radish', fast)).to.match(
      /faster than usual, from one tray \(likely \d+% to \d+% faster\)/
    );
    const even = lessonOf(
      { ...slow, ended: [{ cropKey: 'radish', message: one(0, 0.01), trays: 2 }] },
      radish
    )!;
    expect(lessonWords('Radish', even)).to.match(
      /runs as expected, from 2 trays \(likely \d+% faster to \d+% slower\)/
    );
    expect([lessonShort(lesson), lessonShort(even)]).to.deep.equal([
      lessonShort(lesson).replace(/\d+%/, `${Math.round(lesson.slower * 100)}%`),
      'as expected for you (2 trays)'
    ]);
  });
});
