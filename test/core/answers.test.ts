import { expect } from 'chai';
import fc from 'fast-check';
import { forecast } from '../../src/core/growth/forecast.ts';
import { learnedTelling, type Learned } from '../../src/core/growth/learned.ts';
import { errsOf, NO_SLIPS, slipsOf } from '../../src/core/growth/slips.ts';
import { NEW_HOUSEHOLD } from '../../src/core/growth/learn.ts';
import { MARKS } from '../../src/core/growth/marks.ts';
import { NOTHING_HEARD, type Look } from '../../src/core/growth/looks.ts';
import { cuesTold } from '../../src/core/sowing/cues.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { asked } from '../support/asking.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const looked = (hours: number, cue: 'rooted' | 'lightReady' | 'windowOpen', reached: boolean): SowingEvent =>
  event(hours, { type: 'looked', cue, reached } as EventBody);
const covered = (hours: number, until: number): SowingEvent =>
  event(hours, { type: 'stays-covered', until: SOWN + until * HOUR });
const tray = (...events: SowingEvent[]) => project(home, radishTray(), [sown(), ...events]);
const kinds = (hours: number, ...events: SowingEvent[]) =>
  asked(hours, [sown(), ...events]).steps.map(({ body }) => body.kind);

describe('keeping it covered by choice', () => {
  it('is offered beside the cue, and where the cover is to come off, until the same round tomorrow', () => {
    const beside = asked(47, [sown()]);
    expect(beside.look?.cue).to.equal('rooted');
    expect(beside.staysCoveredUntil! - (SOWN + 47 * HOUR)).to.be.within(19 * HOUR, 25 * HOUR);
    const due = [sown(), looked(46, 'rooted', true)];
    expect(asked(47, due).staysCoveredUntil).to.equal(beside.staysCoveredUntil);
    const inDome = [...due, event(47, { type: 'uncovered' }), looked(80, 'lightReady', true)];
    expect(asked(81, inDome).staysCoveredUntil).to.be.above(SOWN + 81 * HOUR);
    expect(asked(12, [sown()]).staysCoveredUntil, 'nothing is to come off yet').to.equal(null);
    expect(
      asked(101, [...inDome, event(100, { type: 'lit' })]).staysCoveredUntil,
      'nothing lies over it'
    ).to.equal(null);
  });

  it('moves the step, asks for nothing meanwhile, and says nothing of the crop', () => {
    const yes = looked(46, 'rooted', true);
    expect(kinds(47, yes)).to.include('uncover');
    expect(kinds(47, yes, covered(46.5, 70))).not.to.include('uncover');
    expect(kinds(71, yes, covered(46.5, 70))).to.include('uncover');
    const left = tray(covered(46, 94));
    expect(asked(60, [sown(), covered(46, 94)]).look).to.equal(null);
    const plain = tray();
    for (const mark of ['rooted', 'lightReady'] as const)
      expect(left.forecast.marks[mark].p50).to.be.closeTo(plain.forecast.marks[mark].p50, 1000);
    expect(left.forecast.message()).to.equal(null);
    expect(left.forecast.litAt).to.be.at.least(SOWN + 94 * HOUR);
  });

  it('holds for the dome once the weight is off, and lapses where the cover comes off sooner', () => {
    const dome = [looked(46, 'rooted', true), event(47, { type: 'uncovered' })];
    expect(kinds(81, ...dome, looked(80, 'lightReady', true))).to.include('light');
    expect(kinds(81, ...dome, looked(80, 'lightReady', true), covered(80.5, 104))).not.to.include('light');
    const sooner = [covered(30, 120), event(47, { type: 'uncovered' }), looked(80, 'lightReady', true)];
    expect(kinds(81, ...sooner)).to.include('light');
  });

  it('takes the rounds of those days for no silence, and its cue for no cue that was left', () => {
    const felt = [50, 62, 74, 86].map((hours) => event(hours, { type: 'felt', moisture: 'right' }));
    const seen = looked(94, 'rooted', true);
    const silent = tray(...felt, seen).forecast.marks.rooted.p50;
    const chosen = tray(covered(46, 94), ...felt, seen).forecast.marks.rooted.p50;
    expect(chosen).to.be.below(silent);
    const lit = [event(95, { type: 'uncovered' }), event(120, { type: 'lit' })];
    const leftOf = (...events: SowingEvent[]) => {
      const { state, path } = tray(...events);
      return cuesTold(state, path).left;
    };
    expect(leftOf(...lit)).to.include('rooted');
    expect(leftOf(covered(46, 94), ...lit)).not.to.include('rooted');
  });
});

describe('a step of a cue that was there for longer', () => {
  it('is never late when it is first shown', () => {
    const yes = looked(46.6, 'rooted', true);
    const since = asked(47, [sown(), yes]).since!;
    const longer = looked((since.at - SOWN) / HOUR, 'rooted', true);
    const step = (hours: number) =>
      asked(hours, [sown(), longer, yes]).steps.find(({ body }) => body.kind === 'uncover')!;
    expect(step(47).late).to.equal(false);
    expect(step(72).late, 'and is late once a round has gone by').to.equal(true);
  });
});

describe('a cue that was seen', () => {
  const lit = [event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
  const again = (hours: number, ...events: SowingEvent[]) => asked(hours, [sown(), ...events]).again;

  it('is offered again once a day: the opening until all is cut', () => {
    const open = looked(150, 'windowOpen', true);
    expect(again(152, ...lit, open)).to.equal(null);
    expect(again(174, ...lit, open)).to.equal('windowOpen');
    expect(again(176, ...lit, open, looked(174, 'windowOpen', true))).to.equal(null);
    expect(again(198, ...lit, open, looked(174, 'windowOpen', true))).to.equal('windowOpen');
    const part = event(175, { type: 'cut', grossG: 50, tareG: 0, share: 0.4, last: false });
    const rest = event(176, { type: 'cut', grossG: 80, tareG: 0, share: 0.6, last: true });
    expect(again(198, ...lit, open, part)).to.equal('windowOpen');
    expect(again(198, ...lit, open, part, rest)).to.equal(null);
  });

  it('is offered again while it can be seen: under its cover, and in the dome', () => {
    expect(again(57, looked(36, 'rooted', true))).to.equal('rooted');
    expect(again(57, looked(36, 'rooted', true), event(47, { type: 'uncovered' }))).to.equal(null);
    const even = looked(70, 'lightReady', true);
    expect(again(92, event(47, { type: 'uncovered' }), even)).to.equal('lightReady');
    expect(again(92, event(47, { type: 'uncovered' }), even, event(91, { type: 'lit' }))).to.equal(null);
  });

  it('is doubted after "not yet after all", and the sooner the more often its household errs', () => {
    const cards = (...events: SowingEvent[]) =>
      tray(...lit, ...events).forecast.chance('windowOpen', SOWN + 126 * HOUR);
    const yes = looked(120, 'windowOpen', true);
    expect(cards(yes, looked(125, 'windowOpen', false))).to.be.below(cards(yes) * 0.7);
    const erring: Learned = {
      ended: [],
      underWay: [],
      slips: { answers: 60, contradicted: 8 }
    };
    const by = (learned?: Learned) =>
      project({ ...home, ...(learned ? { learned } : {}) }, radishTray(), [
        sown(),
        ...lit,
        yes
      ]).forecast.chance('windowOpen', SOWN + 126 * HOUR);
    expect(by(erring)).to.be.below(by({ ...erring, slips: { answers: 60, contradicted: 0 } }) - 0.1);
  });
});

describe('watering, feeling, lifting and weighing', () => {
  it('never move a stage or a window', () => {
    const care = fc.constantFrom<EventBody>(
      { type: 'watered', waterG: 120 },
      { type: 'misted', waterG: 8 },
      { type: 'felt', moisture: 'right' },
      { type: 'lifted', heft: 'light' },
      { type: 'weighed', grossG: 700, full: false },
      { type: 'turned' },
      { type: 'aired' }
    );
    const log = [
      looked(40, 'rooted', false),
      looked(47, 'rooted', true),
      event(48, { type: 'uncovered' }),
      event(77, { type: 'lit' }),
      looked(140, 'windowOpen', false)
    ];
    const before = tray(...log);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 141, max: 260 }), care), { maxLength: 6 }), (done) => {
        const after = tray(...log, ...done.map(([hours, body]) => event(hours, body)));
        expect(after.state.stage).to.equal(before.state.stage);
        for (const mark of MARKS)
          for (const share of ['p10', 'p50', 'p90'] as const)
            expect(after.forecast.marks[mark][share]).to.equal(before.forecast.marks[mark][share]);
      })
    );
  });
});

describe('how often a household errs', () => {
  const looks = (...reached: boolean[]): Look[] =>
    reached.map((one, index) => ({
      mark: 'rooted',
      at: SOWN + index * DAY,
      reached: one,
      eventId: String(index)
    }));

  it('is learned from answers that others contradict: as few as possible are held for wrong', () => {
    expect(slipsOf(looks(false, false, true, true))).to.deep.equal({ answers: 3, contradicted: 0 });
    expect(slipsOf(looks(false, true, false, false, true))).to.deep.equal({ answers: 4, contradicted: 1 });
    expect(slipsOf(looks(true, false))).to.deep.equal({ answers: 1, contradicted: 1 });
    expect(slipsOf(looks(true))).to.deep.equal(NO_SLIPS);
  });

  it('starts at three in a hundred, worth twenty answers, and never passes one in five', () => {
    expect(errsOf(NO_SLIPS)).to.equal(0.03);
    expect(errsOf({ answers: 80, contradicted: 8 })).to.be.closeTo(0.086, 1e-9);
    expect(errsOf({ answers: 10, contradicted: 10 })).to.equal(0.2);
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 12 }), (answers) => {
        const { answers: all, contradicted } = slipsOf(looks(...answers));
        expect(contradicted).to.be.within(0, Math.ceil(all / 2));
      })
    );
  });

  it('leaves out what a tray answered itself', () => {
    const slips = { answers: 10, contradicted: 4 };
    const learned: Learned = {
      ended: [],
      underWay: [
        { sowingId: 'one', cropKey: 'radish', message: null, cues: { told: ['rooted'], left: [], slips } }
      ]
    };
    expect(learnedTelling(learned).errs).to.be.above(0.1);
    expect(learnedTelling(learned, 'one').errs).to.equal(0.03);
  });
});

describe('a household that errs', () => {
  it('moves a forecast less by one answer', () => {
    const answer = (errs: number) =>
      forecast({
        crop: tray().crop,
        zone: home.rhythm.zone,
        latitudeDeg: home.latitudeDeg,
        startAt: SOWN,
        unsoaked: false,
        stays: [{ from: SOWN, place: [...home.places.values()][0]! }],
        lightFrom: 'lightReady',
        litAt: null,
        belief: NEW_HOUSEHOLD,
        heard: {
          ...NOTHING_HEARD,
          looks: [{ mark: 'windowOpen', at: SOWN + 8 * DAY, reached: false, eventId: 'x' }]
        },
        telling: {
          answers: { rooted: 0.8, lightReady: 0.8, windowOpen: 0.8 },
          trust: 0,
          errs,
          errsAtMost: errs
        }
      }).marks.windowOpen.p50;
    expect(answer(0.15)).to.be.below(answer(0.03) - HOUR);
  });
});
