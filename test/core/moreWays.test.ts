import { expect } from 'chai';
import fc from 'fast-check';
import { ageAtHeightD21, stemHeightCm } from '../../src/core/crops/height.ts';
import { cutAtStage, LEAF_STAGES, leafStageOf } from '../../src/core/crops/leafStage.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { readyCue } from '../../src/core/harvest/ready.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts, type Projected } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import type { StepBody, StepKind } from '../../src/core/steps/step.ts';
import { ticked } from '../../src/core/steps/ticked.ts';
import type { Method } from '../../src/core/supplies/methods/method.ts';
import { unheeded } from '../../src/core/supplies/methods/path.ts';
import { completed, DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../../src/core/time/zone.ts';
import { lastsH } from '../../src/core/water/lasts.ts';
import { trackOf, waterAt } from '../../src/core/water/level.ts';
import { choiceOf, planned } from '../support/choosing.ts';
import { event, home, radishTray, shelf, sill, sown } from '../support/household.ts';

const facts: HouseholdFacts = { ...home, places: new Map([...home.places, [sill.id, sill]]) };
const by = (answers: Partial<Method>): Method => ({ ...DEFAULT_METHOD, ...answers });

/** A tray as it is planned, put under way with nothing done yet. */
function trayOf(
  key: string,
  answers: Partial<Method>,
  { place = shelf, ...more }: Partial<SowingSetup> & { place?: Place } = {}
): SowingSetup {
  const method = by(answers);
  const { setup } = planned(choiceOf([cropOf(key)], { method, place }))[0]!;
  return { ...setup, id: radishTray().id, placeId: place.id, ...more };
}

interface Walk {
  done: { at: Millis; body: StepBody }[];
  events: SowingEvent[];
  end: Projected;
}

/** Does what each round asks for, until it is cut. */
function walk(setup: SowingSetup, days = 45): Walk {
  const events: SowingEvent[] = [];
  const done: Walk['done'] = [];
  const record = (at: Millis, body: EventBody, taskKey: string | null) =>
    events.push({ ...event(0, body), at, taskKey });
  const start = setup.soakStartAt ?? setup.sowAt;
  for (let at = start; at < start + days * DAY; at += 12 * HOUR) {
    const round = roundAt(facts.rhythm, at);
    const now = Math.max(at, round.at);
    for (let more = true; more;) {
      const sowing = project(facts, setup, events);
      if (sowing.state.stage === 'ended') return { done, events, end: sowing };
      more = false;
      for (const step of askOf(sowing, round, now).steps) {
        done.push({ at: now, body: step.body });
        if (step.body.kind === 'cut')
          record(now, { type: 'cut', grossG: step.body.expectedG, tareG: 0, share: 1, last: true }, step.key);
        else record(now, ticked(step.body)!, step.key);
        more = true;
        break;
      }
    }
  }
  return { done, events, end: project(facts, setup, events) };
}

const kindsOf = ({ done }: Walk): StepKind[] => done.map(({ body }) => body.kind);
const dayOf = ({ done, end }: Walk, kind: StepKind): number =>
  (done.find(({ body }) => body.kind === kind)!.at - end.state.sownAt!) / DAY;

describe('the height of stems', () => {
  it('grows with age, and the age at a height is its inverse', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (crop, share) => {
          const cm = share * stemHeightCm(crop, crop.windowCloseD21 * 3);
          const age = ageAtHeightD21(crop, cm);
          expect(stemHeightCm(crop, age)).to.be.closeTo(cm, 1e-6);
          expect(stemHeightCm(crop, age + 0.1)).to.be.at.least(cm);
        }
      )
    );
    expect(ageAtHeightD21(cropOf('radish'), 40)).to.equal(Infinity);
  });
});

describe('a dome that goes by height', () => {
  const setup = trayOf('basil', { darkness: 'none', dome: 'rim', domeCm: 2, pressing: 'none' });

  it('stays on, clear, until the stems stand so far over the rim', () => {
    const tray = project(facts, setup, [{ ...sown(), at: setup.sowAt }]);
    expect(tray.path).to.include({ cover: 'clear', domeCm: 2, lightFrom: 'sown' });
    const { highAt, marks } = tray.forecast;
    expect(highAt).to.be.above(marks.rooted.p50).and.below(marks.windowOpen.p50);
    const { heightCm } = pictureOf(tray, highAt!).stems!;
    expect(heightCm).to.be.closeTo(setup.container.depthCm - tray.mediumDepthCm + 2, 0.1);
    const off = stepsOf(tray).find(({ body }) => body.kind === 'uncover')!;
    expect(off.from).to.equal(highAt);
    expect(off.body).to.deep.include({ off: 'clear', by: { kind: 'height', overRimCm: 2, stemCm: 4.5 } });
  });

  it('comes off when the stems are even where they would never stand so high, and says so', () => {
    const never = by({ dome: 'rim', domeCm: 12 });
    const stand = { medium: 'coir', reservoir: false } as const;
    expect(unheeded(cropOf('cress-garden'), never, stand)).to.deep.include({
      question: 'dome',
      why: 'never-so-high'
    });
    const tray = project(facts, trayOf('cress-garden', never), []);
    expect(tray.forecast.highAt).to.equal(null);
  });

  it('holds a dark dome as well, and light is due by it', () => {
    const low = project(facts, trayOf('radish', { dome: 'rim', domeCm: 0 }), []);
    const high = project(facts, trayOf('radish', { dome: 'rim', domeCm: 1 }), []);
    expect(high.forecast.litAt).to.be.above(low.forecast.litAt);
    expect(low.forecast.litAt).to.be.at.least(low.forecast.marks.rooted.p50);
  });

  it('is walked to the cut: misted under its dome, uncovered once', () => {
    const walked = walk(setup);
    expect(walked.end.state.cuts).to.have.length(1);
    expect(kindsOf(walked).filter((kind) => kind === 'uncover')).to.have.length(1);
    expect(kindsOf(walked)).to.include('mist');
  });
});

describe('days in the dark of one’s own', () => {
  it('hold for grasses: two days under a lid, then light', () => {
    const setup = trayOf('wheat', { darkness: 'days', darkDays: 2 });
    const tray = project(facts, setup, []);
    expect(tray.path).to.include({ cover: 'lid', pressGCm2: 0, lightFrom: 'counted', blackout: false });
    expect(tray.forecast.litAt).to.equal(setup.sowAt + 2 * DAY);
    const walked = walk(setup);
    expect(dayOf(walked, 'uncover')).to.be.within(2, 2.6);
    expect(walked.end.state.cuts).to.have.length(1);
  });

  it('take the weight off as it has rooted and bring it to light on the day', () => {
    const setup = trayOf('radish', { darkness: 'days', darkDays: 4 });
    const tray = project(facts, setup, []);
    expect(tray.path).to.include({ blackout: true, lightFrom: 'counted' });
    expect(tray.forecast.litAt).to.equal(setup.sowAt + 4 * DAY);
    expect(dayOf(walk(setup), 'light')).to.be.within(4, 4.6);
  });

  it('never bring seed that must lie dark to light before it has rooted', () => {
    const short = by({ darkness: 'days', darkDays: 1 });
    for (const crop of CROPS.filter(({ germinationLight }) => germinationLight === 'dark'))
      expect(unheeded(crop, short, { medium: 'coir', reservoir: false }), crop.key).to.deep.include({
        question: 'darkness',
        why: crop.key === 'maize-shoot' ? 'stays-dark' : 'needs-dark'
      });
  });

  it('later light never opens a window earlier', () => {
    const opens = (darkDays: number) =>
      project(facts, trayOf('kale', { darkness: 'days', darkDays }), []).forecast.marks.windowOpen.p50;
    expect([3, 5, 7, 9].map(opens)).to.deep.equal([3, 5, 7, 9].map(opens).sort((a, b) => a - b));
    expect(opens(9)).to.be.above(opens(3) + DAY);
  });
});

describe('shade on a sill', () => {
  const setup = trayOf(
    'cress-garden',
    { darkness: 'straight', sillLight: 'shaded', shadeDays: 4 },
    { place: sill }
  );
  const sunny = trayOf('cress-garden', { darkness: 'straight' }, { place: sill });
  const begun = (tray: SowingSetup, ...more: SowingEvent[]) =>
    project(facts, tray, [{ ...sown(), at: tray.sowAt }, ...more]);

  it('slows what stands in it, and comes off on its day', () => {
    const [shaded, full] = [begun(setup), begun(sunny)];
    expect(shaded.forecast.marks.windowOpen.p50).to.be.above(full.forecast.marks.windowOpen.p50);
    const off = stepsOf(shaded).find(({ body }) => body.kind === 'unshade')!;
    expect(off.from).to.equal(setup.sowAt + 4 * DAY);
    expect(dayOf(walk(setup), 'unshade')).to.be.within(4, 4.6);
  });

  it('counts as long as it was there', () => {
    const early = event(0, { type: 'unshaded' });
    const sooner = begun(setup, { ...early, at: setup.sowAt + 2.5 * DAY });
    expect(sooner.forecast.marks.windowOpen.p50).to.be.below(begun(setup).forecast.marks.windowOpen.p50);
  });

  it('shows on the round, and asks for nothing under a lamp', () => {
    const now = setup.sowAt + 3.5 * DAY;
    const lit = event(0, { type: 'lit' });
    const tray = begun(setup, { ...lit, at: setup.sowAt + 3 * DAY });
    const { notes } = askOf(tray, roundAt(facts.rhythm, now), now);
    expect(notes).to.deep.include({ kind: 'shaded', until: setup.sowAt + 4 * DAY });
    const lamp = project(facts, trayOf('cress-garden', { sillLight: 'shaded', shadeDays: 4 }), []);
    expect(stepsOf(lamp).map(({ body }) => body.kind)).not.to.include('unshade');
  });
});

describe('the stage that leaves are cut at', () => {
  it('moves cue and window, in the order of the stages, and gives more the later it is', () => {
    for (const crop of CROPS) {
      const own = leafStageOf(crop);
      const stages = LEAF_STAGES.map((stage) => cutAtStage(crop, stage));
      if (own === null) {
        expect(stages, crop.key).to.deep.equal([crop, crop, crop]);
        continue;
      }
      expect(cutAtStage(crop, own)).to.equal(crop);
      for (const [earlier, later] of [stages.slice(0, 2), stages.slice(1)] as const) {
        expect(later!.windowOpenD21, crop.key).to.be.above(earlier!.windowOpenD21);
        expect(later!.yieldMidGM2, crop.key).to.be.above(earlier!.yieldMidGM2);
      }
      for (const { lightReadyD21, windowOpenD21, windowBestD21, windowCloseD21 } of stages) {
        expect(windowOpenD21).to.be.above(lightReadyD21);
        expect(windowBestD21).to.be.within(windowOpenD21, windowCloseD21);
      }
    }
  });

  it('has arugula at its third leaf neither ready nor past its window by its seed leaves', () => {
    const usual = project(facts, trayOf('arugula', {}), []);
    const setup = trayOf('arugula', { leafStage: 'third-leaf' });
    const tray = project(facts, setup, [{ ...sown(), at: setup.sowAt }]);
    expect(readyCue(tray.crop)).to.equal('third-leaf');
    expect(tray.forecast.marks.windowOpen.p50).to.be.above(usual.forecast.marks.windowClose.p50);
    const { trueLeaf } = pictureOf(tray, tray.forecast.marks.windowOpen.p50).stems!;
    expect(trueLeaf).to.be.above(2.5);
    const walked = walk(setup);
    expect(walked.end.state.cuts).to.have.length(1);
    expect(walked.done.find(({ body }) => body.kind === 'cut')!.body).to.include({ past: false });
  });
});

describe('the depth of a medium', () => {
  it('goes into litres, water, weight and how long it lasts', () => {
    const of = (mediumDepth: Method['mediumDepth']) => project(facts, trayOf('radish', { mediumDepth }), []);
    const container = { ...radishTray().container, depthCm: 7 };
    const deepTray = project(facts, { ...trayOf('radish', { mediumDepth: 'deep' }), container }, []);
    expect([of('thin').mediumDepthCm, of('usual').mediumDepthCm, deepTray.mediumDepthCm]).to.deep.equal([
      0.9, 2.5, 5
    ]);
    const fillOf = (sowing: Projected) =>
      stepsOf(sowing).flatMap(({ body }) => (body.kind === 'fill' ? [body.mediumMl] : []))[0];
    expect(fillOf(of('thin'))).to.be.closeTo(450 * 0.9, 1e-6);
    expect(fillOf(deepTray)).to.be.closeTo(450 * 5, 1e-6);
    const lasting = (method: Method) =>
      lastsH({ crop: cropOf('radish'), medium: 'coir', container, place: shelf, gapH: 24, method });
    expect(lasting(by({ mediumDepth: 'deep' }))).to.be.closeTo(2 * lasting(by({})), 1e-6);
    expect(lasting(by({ mediumDepth: 'thin' }))).to.be.closeTo(0.36 * lasting(by({})), 1e-6);
  });

  it('says where it changes nothing: a mat is as thick as it is, and a shallow tray is full', () => {
    const why = (mediumDepth: Method['mediumDepth'], medium: 'coir' | 'hemp-mat', depthCm: number) =>
      unheeded(cropOf('radish'), by({ mediumDepth }), { medium, reservoir: false, depthCm })
        .filter(({ question }) => question === 'mediumDepth')
        .map((one) => one.why);
    expect(why('deep', 'hemp-mat', 7)).to.deep.equal(['not-loose']);
    expect(why('deep', 'coir', 3)).to.deep.equal(['shallow']);
    expect(why('deep', 'coir', 7)).to.deep.equal([]);
  });
});

describe('a mat that is poured through', () => {
  const setup = trayOf('radish', { matWater: 'poured-twice' }, { medium: 'hemp-mat' });
  const walked = walk(setup);
  const pours = walked.done.flatMap(({ at, body }) => (body.kind === 'water' ? [{ at, body }] : []));

  it('is poured through at every round and drained, with nothing standing under it', () => {
    expect(walked.end.state.cuts).to.have.length(1);
    expect(pours.length).to.be.above(4);
    for (const { at, body } of pours) {
      expect(body).to.include({ how: 'through', timesADay: 2, ifStoodMl: null });
      expect(body.staysMl).to.be.below(body.waterMl!);
      const after = project(
        facts,
        setup,
        walked.events.filter((one) => one.at <= at)
      );
      expect(trackOf(after).belowG(at)).to.equal(0);
      expect(waterAt(after, at).share).to.be.within(0.85, 1);
      expect(trackOf(after).excess).to.deep.equal([]);
    }
  });

  it('records what stayed, and that it is wet all over', () => {
    const { body } = pours[0]!;
    expect(ticked(body)).to.deep.equal({ type: 'watered', waterG: Math.round(body.staysMl!), through: true });
  });

  it('once a day is half as often, in the morning', () => {
    const once = walk(trayOf('radish', { matWater: 'poured-once' }, { medium: 'hemp-mat' }));
    const often = once.done.filter(({ body }) => body.kind === 'water').length;
    expect(often).to.be.within(Math.floor(pours.length / 2) - 1, pours.length - 2);
  });
});

describe('a method from before a question was asked', () => {
  it('counts the days under its dome where it had some', () => {
    expect(completed({ key: 'own', name: 'Ours', domeDays: 3 })).to.include({ dome: 'days', domeDays: 3 });
    expect(completed({ key: 'own', name: 'Ours' })).to.include({ dome: 'even', domeDays: null });
  });
});
