import { expect } from 'chai';
import { newState } from '../../src/core/sowing/reduce.ts';
import type { Note } from '../../src/core/steps/ask.ts';
import type { StepBody } from '../../src/core/steps/step.ts';
import { cardWords } from '../../src/words/steps/steps.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { LATITUDES } from '../../src/words/latitudes.ts';
import { evidenceWords } from '../../src/words/looks.ts';
import { noteWords } from '../../src/words/notes.ts';
import { laterWords, lightWords, loadWords } from '../../src/words/places.ts';
import { eventWords } from '../../src/words/events.ts';

const NOW = Date.parse('2026-11-23T08:00Z');
const locale = { zone: 'Europe/Madrid', units: 'metric' } as const;
const radish = cropOf('radish');
const path = pathOf(radish, DEFAULT_METHOD, 'coir');
const note = (one: Note) => noteWords(one, radish, path, NOW, locale);
const on = { now: NOW, locale, containers: 1, medium: { kind: 'mesh', own: null } } as const;
const card = (body: StepBody, ...others: StepBody[]) => cardWords({ body, with: others }, on);
const event = (body: EventBody) =>
  eventWords(
    body,
    { crop: radish, path, state: newState() },
    { zone: 'Europe/Madrid', units: 'metric' },
    () => 'the cellar'
  );

describe('the words of the daily care', () => {
  it('say of each note what to do', () => {
    expect(note({ kind: 'dry-hours', share: 0.31 })).to.equal(
      'No water now: it will be cut soon, and dry leaves keep longer. About 31% will be left by then.'
    );
    expect(note({ kind: 'too-much', g: 122, at: NOW })).to.include('120 mL more than it holds');
    expect(note({ kind: 'unsure' })).to.include('before you water');
    expect(note({ kind: 'thirsty' })).to.include('Turn the fan away');
    expect(note({ kind: 'scorch' })).to.include('Hang it higher');
    expect(
      note({
        kind: 'mould-risk',
        risk: { score: 300, level: 'high', byHours: 'high', drivers: ['covered', 'crop'] }
      })
    ).to.include('it was warm under its cover for a long time; this crop moulds easily');
    expect(
      note({
        kind: 'contradiction',
        between: {
          cue: 'rooted',
          reachedEventId: 'a',
          reachedAt: NOW - 24 * HOUR,
          notYetEventId: 'b',
          notYetAt: NOW
        }
      })
    ).to.equal(
      'Two checks disagree: “Pushing the lid up” yesterday 09:00, not yet today 09:00. Brote counts both. Undo whichever was wrong.'
    );
  });

  it('say each task with its amount, and why', () => {
    const feed = { strength: 0.5, mL: 1.4, mLPerL: 4 };
    expect(
      card({
        kind: 'water',
        how: 'reservoir',
        waterMl: 352,
        staysMl: null,
        timesADay: 0,
        share: 0.22,
        ifStoodMl: null,
        why: 'low',
        feed,
        peroxideMl: 0
      })
    ).to.deep.equal({
      title: 'Fill up the reservoir: 350 mL, with 1.4 mL of feed (half strength)',
      why: '22% is left in it, and the plants above drink from nothing else. Stop where it touches the mesh.',
      how: '',
      done: 'Reservoir filled, 350 mL'
    });
    const sow = card(
      { kind: 'sow', seedG: 9.9, onWaterMl: 608 },
      { kind: 'damp', waterMl: 608, how: 'reservoir', feed: null, peroxideMl: 0 }
    );
    expect(sow.why).to.equal('Damp: 610 mL. Pour into the reservoir until the mesh is just wet.');
    expect(card({ kind: 'turn' }).how).to.include('from one side');
    expect(card({ kind: 'air', drivers: ['damp-air'] }).why).to.include('The air here has been damp');
    expect(card({ kind: 'air', drivers: [] }).how).to.include('small fan');
  });

  it('say what happened', () => {
    expect(event({ type: 'lifted', heft: 'heavy' })).to.equal('Lifted: heavy');
    expect(event({ type: 'weighed', grossG: 640, full: true })).to.equal('Weighed 640 g, well watered');
    expect(event({ type: 'saw', sight: 'hulls' })).to.equal('Saw “Hulls stuck on leaves”');
    expect([event({ type: 'turned' }), event({ type: 'aired' })]).to.deep.equal(['Turned', 'Aired']);
  });

  it('say days without counting them falsely', () => {
    expect(evidenceWords({ kind: 'lit', days: 0.2 }, 'metric')).to.equal('it came into the light today');
    expect(evidenceWords({ kind: 'lit', days: 1.1 }, 'metric')).to.equal('1 day in the light');
    expect(evidenceWords({ kind: 'dark', days: 2.6 }, 'metric')).to.equal(
      '2.5 days in the dark since it rooted'
    );
    expect(evidenceWords({ kind: 'open', days: -1.8 }, 'metric')).to.equal(
      'its window opens in about 2 days'
    );
    expect(evidenceWords({ kind: 'warmth', tempC: 20 }, 'us')).to.equal('68 °F where it stands');
  });
});

describe('the words of places', () => {
  it('say light, load and what a move does', () => {
    expect(lightWords({ kind: 'sill', aspect: 'side', back: true })).to.equal(
      'half-bright sill, a metre back'
    );
    expect(lightWords({ kind: 'dark' })).to.equal('dark');
    const load = { g: 4100, ratedG: 5000, state: 'amber' } as const;
    expect(loadWords(load, 'metric')).to.equal('Carries 4.1 kg of 5 kg, 82%: nearly full.');
    expect(loadWords({ ...load, g: 6000, state: 'over' }, 'metric')).to.include('too much');
    expect(loadWords({ g: 0, ratedG: null, state: 'unrated' }, 'metric')).to.equal('Nothing here yet.');
    expect(loadWords({ g: 900, ratedG: null, state: 'unrated' }, 'metric')).to.include('No weight limit set');
    expect(laterWords(null)).to.equal('will not grow there');
    expect(laterWords(0.05)).to.equal('same window');
    expect(laterWords(0.5)).to.equal('window 12 h later');
    expect(laterWords(-2.34)).to.equal('window 2.3 days sooner');
  });

  it('offer latitudes from north to south, a few degrees apart', () => {
    const degrees = LATITUDES.map(({ deg }) => deg);
    expect(degrees).to.deep.equal(degrees.toSorted((a, b) => b - a));
    expect(degrees.every((deg) => Math.abs(deg) <= 90)).to.equal(true);
  });
});
