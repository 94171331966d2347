import { expect } from 'chai';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { answerLook } from '../../src/core/diagnosis/answer.ts';
import { lookFacts } from '../../src/core/diagnosis/facts.ts';
import { mouldRisk } from '../../src/core/diagnosis/mould.ts';
import { SYMPTOMS, type Symptom } from '../../src/core/symptoms/symptom.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { methodOf } from '../../src/core/supplies/methods/ready.ts';
import {
  CAUSE_WORDS,
  CHECK_WORDS,
  evidenceWords,
  SYMPTOM_WORDS,
  UNEXPLAINED
} from '../../src/words/looks.ts';
import { asked, kindsAsked } from '../support/asking.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const lit = (): SowingEvent[] => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const withPlace = (more: Partial<typeof shelf>): HouseholdFacts => ({
  ...home,
  places: new Map([[shelf.id, { ...shelf, ...more }]])
});
function answer(
  sight: Symptom,
  hours: number,
  events: SowingEvent[],
  { setup = {}, facts = home }: { setup?: Partial<SowingSetup>; facts?: HouseholdFacts } = {}
) {
  const projected = project(facts, radishTray(setup), events);
  return answerLook(sight, lookFacts(projected, { latitudeDeg: 43.4, dayOfYear: 310 }, SOWN + hours * HOUR));
}
describe('what a look most likely means', () => {
  it('depends on the tray: hairs while it roots, mould where it was long warm and damp', () => {
    expect(answer('hairs', 40, [sown()]).cause).to.equal('root-hairs');
    expect(answer('mould', 130, lit()).cause).to.equal('mould');
    const wavering = answer('mould', 30, [sown()]);
    expect(wavering.cause).to.equal('hairs-after-all');
    expect(wavering.others.map(({ cause }) => cause)).to.include('mould');
  });

  it('tells stems that hang for water from stems that rot', () => {
    const dry = answer('fallen-dry', 160, lit());
    expect(dry).to.deep.include({ cause: 'dry', loss: 'part' });
    const watered = answer('fallen-rot', 90, [...lit(), event(89, { type: 'watered', waterG: 600 })]);
    expect(watered.cause).to.equal('damping-off');
    expect(watered.because).to.deep.include({ kind: 'overwatered' });
    expect(answer('fallen-rot', 60, [sown(), event(40, { type: 'uncovered' })]).loss).to.equal('whole');
  });

  it('says wait to pale leaves on the first day, and more light to those on a dim sill', () => {
    expect(answer('pale', 80, lit()).cause).to.equal('just-lit');
    const dim = withPlace({ light: { kind: 'sill', aspect: 'away', back: true } });
    expect(answer('pale', 160, lit(), { facts: dim }).cause).to.equal('dim');
    expect(answer('pale', 160, lit(), { facts: withPlace({ dayC: 9, nightC: 8 }) }).cause).to.equal('cold');
  });

  it('blames a lamp that is close, feed where there was none, and weak seed where it is', () => {
    const close = withPlace({ light: { kind: 'lamp', ppfd: 650, hours: 14, distanceCm: 10 } });
    expect(answer('scorched', 120, lit(), { facts: close }).cause).to.equal('lamp-close');
    expect(answer('hungry', 230, lit()).cause).to.equal('unfed');
    expect(answer('patchy', 80, lit(), { setup: { germinationPct: 55 } }).cause).to.equal('old-seed');
    expect(
      answer('hulls', 120, lit(), { setup: { method: methodOf('light-hand'), cropKey: 'sunflower' } }).cause
    ).to.equal('unpressed');
  });

  it('reads the taste by the window', () => {
    expect(answer('tastes-ready', 160, lit()).cause).to.equal('ripe');
    expect(answer('bitter', 330, [...lit(), event(329, { type: 'watered', waterG: 300 })]).cause).to.equal(
      'overripe'
    );
    expect(answer('fibrous', 330, lit()).cause).to.equal('overripe');
    expect(answer('tails', 30, [sown()]).cause).to.equal('on-time');
    expect(answer('tails', 130, [sown()]).cause).to.equal('slow');
  });

  it('answers every sight at every stage, with chances that make a whole and words for each', () => {
    for (const sight of SYMPTOMS)
      for (const [hours, events] of [
        [20, [sown()]],
        [60, [sown(), event(48, { type: 'uncovered' })]],
        [110, lit()],
        [250, lit()]
      ] as const) {
        const { cause, chance, others, because, checks } = answer(sight, hours, [...events]);
        expect(chance).to.be.within(0, 1);
        expect(chance > 0).to.equal(cause !== null);
        expect(chance).to.be.at.least(Math.max(0, ...others.map((other) => other.chance)));
        expect(chance + others.reduce((sum, other) => sum + other.chance, 0)).to.be.at.most(1.0001);
        for (const text of [
          SYMPTOM_WORDS[sight],
          ...Object.values(cause ? CAUSE_WORDS[cause] : UNEXPLAINED),
          ...checks.map((check) => CHECK_WORDS[check]),
          ...because.map((one) => evidenceWords(one, 'metric'))
        ])
          expect(text, `${sight} ${cause}`)
            .to.be.a('string')
            .and.not.match(/undefined|NaN/);
      }
  });
});

describe('what a look changes', () => {
  const saw = (hours: number, sight: Symptom): SowingEvent => event(hours, { type: 'saw', sight });

  it('brings water to stems that hang, and light to those that stretch or mould in the dark', () => {
    expect(kindsAsked(79, lit())).not.to.include('water');
    expect(kindsAsked(79, [...lit(), saw(78.5, 'fallen-dry')])).to.include('water');
    const dark = [sown(), event(48, { type: 'uncovered' })];
    expect(kindsAsked(55, dark)).not.to.include('light');
    expect(kindsAsked(55, [...dark, saw(54, 'stretched')])).to.include('light');
    expect(kindsAsked(55, [...dark, saw(54, 'mould')])).to.include('light');
  });

  it('mists no seed that moulds', () => {
    const misted = { method: methodOf('light-hand') };
    expect(kindsAsked(34, [sown()], misted)).to.include('mist');
    expect(kindsAsked(34, [sown(), saw(33, 'mould')], misted)).not.to.include('mist');
  });

  it('opens the window of what tastes ready, and takes it back', () => {
    const ready = saw(130, 'tastes-ready');
    const open = (events: SowingEvent[]) => project(home, radishTray(), events).forecast.marks.windowOpen;
    const { seen, p50 } = open([...lit(), ready]);
    expect(seen).to.equal(true);
    expect(p50).to.be.within(SOWN + 100 * HOUR, SOWN + 130 * HOUR);
    expect(open([...lit(), ready, event(131, { type: 'undone', eventId: ready.id })]).seen).to.equal(false);
  });

  it('takes two looks that disagree, says so, and undoes either', () => {
    const look = (hours: number, reached: boolean) =>
      event(hours, { type: 'looked', cue: 'rooted', reached } as EventBody);
    const [first, second] = [look(40, true), look(50, false)];
    const both = project(home, radishTray(), [sown(), first, second]);
    expect(both.state.contradictions).to.deep.equal([
      {
        cue: 'rooted',
        reachedEventId: first.id,
        reachedAt: first.at,
        notYetEventId: second.id,
        notYetAt: second.at
      }
    ]);
    const alone = project(home, radishTray(), [sown(), first]).forecast.marks.rooted;
    expect(both.forecast.marks.rooted.p50).to.be.above(alone.p50);
    expect(asked(51, [sown(), first, second]).notes.map(({ kind }) => kind)).to.include('contradiction');
    const without = (event_: SowingEvent) =>
      project(home, radishTray(), [sown(), first, second, event(52, { type: 'undone', eventId: event_.id })]);
    expect(without(second).forecast.marks.rooted).to.include({ seen: true, p50: alone.p50 });
    expect(without(first).state.contradictions).to.deep.equal([]);
    const settled = [sown(), first, second, look(60, true)];
    expect(asked(61, settled).notes.map(({ kind }) => kind)).not.to.include('contradiction');
  });

  it('takes a look entered late for yesterday as of yesterday', () => {
    const late = event(50, { type: 'looked', cue: 'rooted', reached: true });
    const now = project(home, radishTray(), [
      sown(),
      event(72, { type: 'looked', cue: 'rooted', reached: false }),
      late
    ]);
    expect(now.state.contradictions).to.have.length(1);
    const agreed = project(home, radishTray(), [
      sown(),
      event(72, { type: 'looked', cue: 'rooted', reached: true }),
      event(40, { type: 'looked', cue: 'rooted', reached: false })
    ]);
    expect(agreed.state.contradictions).to.deep.equal([]);
    expect(agreed.state.seen[0]).to.include({ notYetAt: SOWN + 40 * HOUR, reachedAt: SOWN + 72 * HOUR });
  });
});

describe('a look that is hard to believe', () => {
  const notes = (hours: number, looked: number, reached: boolean) =>
    asked(hours, [sown(), event(looked, { type: 'looked', cue: 'rooted', reached })]).notes;

  it('is kept, and said to be very early or very late, until a day has gone by', () => {
    expect(notes(7, 6, true).some((note) => note.kind === 'unlikely' && note.early)).to.equal(true);
    expect(notes(31, 6, true).some(({ kind }) => kind === 'unlikely')).to.equal(false);
    expect(notes(145, 144, false).some((note) => note.kind === 'unlikely' && !note.early)).to.equal(true);
    expect(notes(47, 46, true).some(({ kind }) => kind === 'unlikely')).to.equal(false);
  });
});

describe('since when something is so', () => {
  const look = (hours: number, reached: boolean) =>
    event(hours, { type: 'looked', cue: 'rooted', reached } as EventBody);
  // Rounds at half past seven and half past eight in the evening; sown at nine.
  const since = (hours: number, ...events: SowingEvent[]) => asked(hours, [sown(), ...events]).since;

  it('is asked once more after it was seen, where nobody spoke of it on the round before', () => {
    const yes = look(46.6, true);
    const asks = since(47, yes)!;
    expect(asks.cue).to.equal('rooted');
    expect(asks.at).to.be.within(SOWN + 30 * HOUR, SOWN + 40 * HOUR);
    expect(since(47, look((asks.at - SOWN) / HOUR, false), yes)).to.equal(null);
    expect(since(70, yes)).to.equal(null);
    expect(since(47, look(46.6, false))).to.equal(null);
    // "Longer" is a yes of that round, "since then" a not yet: the one opens it sooner than the other.
    const opens = (reached: boolean) =>
      project(home, radishTray(), [sown(), yes, look((asks.at - SOWN) / HOUR, reached)]).forecast.marks.rooted
        .p50;
    expect(opens(true)).to.be.below(asks.at);
    expect(opens(false)).to.be.above(asks.at);
  });
});

describe('mould risk', () => {
  const risk = (facts: HouseholdFacts, setup: Partial<SowingSetup> = {}, events: SowingEvent[] = [sown()]) =>
    mouldRisk(project(facts, radishTray(setup), events), SOWN + 5 * DAY);

  it('grows with cover, warmth, density and a crop that moulds, and falls with moving air', () => {
    const base = risk(home).score;
    expect(base).to.be.above(0);
    expect(risk(withPlace({ movingAir: true })).score).to.be.below(base);
    expect(risk(home, { seedsPerCm2: 5 }).score).to.be.closeTo(base * 2, 1e-9);
    expect(risk(withPlace({ dayC: 15, nightC: 15 })).score).to.equal(0);
    expect(risk(home, { cropKey: 'sunflower' }).drivers).to.include('crop');
    expect(risk(home).drivers[0]).to.equal('covered');
    expect(risk(withPlace({ humidityPct: 92 }), {}, lit()).drivers).to.include('damp-air');
    expect(risk(home, {}, [])).to.deep.equal({ score: 0, level: 'low', byHours: 'low', drivers: [] });
  });

  it('is high where mould was seen, but not by the hours for that', () => {
    expect(
      risk(withPlace({ dayC: 15, nightC: 15 }), {}, [sown(), event(100, { type: 'saw', sight: 'mould' })])
    ).to.include({
      level: 'high',
      byHours: 'low'
    });
  });
});

describe('the care of the day', () => {
  const sill = withPlace({ light: { kind: 'sill', aspect: 'midday', back: false }, humidityPct: 92 });
  const ask = (hours: number, events: SowingEvent[], facts = sill, setup: Partial<SowingSetup> = {}) =>
    kindsAsked(hours, events, setup, facts);
  // SOWN is 09:00 at home: 23 h later is a morning round, 12 h later an evening one.
  const morning = 95;
  const evening = 107;

  it('turns a tray on a sill once each morning, and none under a lamp', () => {
    expect(ask(morning, lit())).to.include('turn');
    expect(ask(morning, [...lit(), event(morning - 1, { type: 'turned' })])).not.to.include('turn');
    expect(ask(evening, lit())).not.to.include('turn');
    expect(ask(morning, lit(), home)).not.to.include('turn');
    expect(ask(50, [sown(), event(48, { type: 'uncovered' })])).not.to.include('turn');
  });

  it('lets air at it in the last evenings where it is damp and still, and nowhere else', () => {
    const late = 155;
    const damp = { cropKey: 'sunflower', seedsPerCm2: 2 };
    const open = project(sill, radishTray(damp), lit()).forecast.marks.windowOpen.p50;
    const before = Math.round((open - SOWN) / HOUR / 24) * 24 - 24 + 11;
    expect(ask(before, lit(), sill, damp)).to.include('air');
    expect(ask(before, [...lit(), event(before - 1, { type: 'aired' })], sill, damp)).not.to.include('air');
    expect(ask(before, lit(), withPlace({ movingAir: true }), damp)).not.to.include('air');
    expect(late).to.be.above(evening);
  });

  it('warns of a lamp that scorches', () => {
    const close = withPlace({ light: { kind: 'lamp', ppfd: 650, hours: 14, distanceCm: 10 } });
    const notes = (facts: HouseholdFacts) => asked(100, lit(), {}, facts).notes;
    expect(notes(close).map(({ kind }) => kind)).to.include('scorch');
    expect(notes(home).map(({ kind }) => kind)).not.to.include('scorch');
  });
});
