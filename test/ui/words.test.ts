import { expect } from 'chai';
import { takenWords } from '../../src/words/ahead.ts';
import type { EventBody } from '../../src/core/sowing/event.ts';
import { newState } from '../../src/core/sowing/reduce.ts';
import { MEDIUM_WORDS } from '../../src/words/media.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { LOSS_REASONS } from '../../src/core/sowing/event.ts';
import { MEDIA } from '../../src/core/supplies/media/medium.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { cropPicture } from '../../src/core/picture/cropPicture.ts';
import { ticked } from '../../src/core/steps/ticked.ts';
import type { StepBody } from '../../src/core/steps/step.ts';
import { cardWords } from '../../src/words/steps/steps.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import type { MarkForecast } from '../../src/core/growth/forecastMark.ts';
import { cropFacts, cropSpan } from '../../src/words/cropWords.ts';
import { edibleNote } from '../../src/words/edibleNote.ts';
import { pressingWords } from '../../src/words/pressing.ts';
import { pictureWords } from '../../src/words/pictureWords.ts';
import { cueWords, eventWords, LOSS_WORDS } from '../../src/words/events.ts';
import { clockTime, dayAndTime, dayWords, fromTo, isoDay, spanWords } from '../../src/words/time.ts';
import { windowBrief, windowWords } from '../../src/words/window.ts';
import { at } from '../support/rhythm.ts';

const METRIC = { zone: 'Europe/Madrid', units: 'metric' } as const;
const US = { zone: 'America/New_York', units: 'us' } as const;
/** A Monday, 16:00 in Madrid. */
const NOW = at('2026-11-23T15:00Z');
const radish = cropOf('radish');
const path = pathOf(radish, READY_METHODS[0]!, 'coir');

describe('times in words', () => {
  it('say a day as people do', () => {
    const days = [-1, 0, 1, 3, 6, 7, -2].map((days) => dayWords(NOW + days * DAY, NOW, METRIC));
    expect(days).to.deep.equal([
      'yesterday',
      'today',
      'tomorrow',
      'Thursday',
      'Sunday',
      'Mon 30 Nov',
      'Sat 21 Nov'
    ]);
  });

  it('count calendar days of the household, not stretches of 24 h', () => {
    expect(dayWords(at('2026-11-23T23:30Z'), NOW, METRIC)).to.equal('tomorrow');
    expect(dayWords(at('2026-11-23T23:30Z'), NOW, US)).to.equal('today');
    // The night in which clocks go forward: 23 h later is tomorrow, the same hour.
    const before = at('2026-03-28T08:00Z');
    expect(dayAndTime(before + 23 * HOUR, before, METRIC)).to.equal('tomorrow 09:00');
  });

  it('give hours as the household reads them', () => {
    expect(clockTime(NOW, METRIC)).to.equal('16:00');
    expect(clockTime(NOW, US)).to.match(/^10:00\sam$/);
    expect(fromTo(NOW, NOW + 2 * HOUR, NOW, METRIC)).to.equal('Today 16:00 to 18:00');
    expect(fromTo(NOW, NOW + 15 * HOUR, NOW, METRIC)).to.equal('Today 16:00 to tomorrow 07:00');
  });

  it('round stretches to what matters', () => {
    expect([0.2, 5, 30, 47, 240].map((hours) => spanWords(hours * HOUR))).to.deep.equal([
      '12 min',
      '5 h',
      '30 h',
      '2 days',
      '10 days'
    ]);
    expect(isoDay(at('2028-02-28T23:30Z'), 'Europe/Madrid')).to.equal('2028-02-29');
  });
});

describe('a window in words', () => {
  const mark = (p10: number, p50: number, p90: number, seen = false): MarkForecast => ({
    p10: NOW + p10 * DAY,
    p50: NOW + p50 * DAY,
    p90: NOW + p90 * DAY,
    seen
  });
  const close = mark(6, 7, 8);

  it('has a range and never a false date', () => {
    expect(
      windowWords({ open: mark(2, 3, 5), close: close, hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Opens Thursday, likely Wednesday to Saturday.');
  });

  it('is a range of dates where it does not end within the week', () => {
    const words = (from: number, likely: number, to: number) =>
      windowWords({ open: mark(from, likely, to), close, hindered: null, still: null }, NOW, METRIC).replace(
        /\s/g,
        ''
      );
    expect(words(5, 6, 8)).to.equal('OpensSunday,likely28Nov–1Dec.');
    expect(words(8, 9, 11)).to.equal('OpensWed2Dec,likely1–4Dec.');
  });

  it('drops the range once it is within a day', () => {
    expect(
      windowWords({ open: mark(1.1, 1.15, 1.2), close: close, hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Opens tomorrow.');
  });

  it('never begins a range in the past', () => {
    expect(
      windowWords({ open: mark(-1, 1, 2), close: close, hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Opens tomorrow, likely today to Wednesday.');
  });

  it('asks for a look where it is likely open and nobody has seen it', () => {
    expect(
      windowWords({ open: mark(-2, -1, 1), close: close, hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Likely open since yesterday. Check for the cue.');
  });

  it('never calls a window likely open that has most likely closed', () => {
    expect(
      windowWords(
        { open: mark(-6, -5, -4), close: mark(-2, -1, 0), hindered: null, still: null },
        NOW,
        METRIC
      )
    ).to.equal('Likely past its window since yesterday. Taste it before you cut it.');
  });

  it('never calls a tray likely open that is still covered or in the dark by its log', () => {
    const over = (still: 'covered' | 'dark') =>
      windowWords({ open: mark(-2, -1, 1), close, hindered: null, still }, NOW, METRIC);
    expect(over('covered')).to.match(/still covered\. Uncover it/);
    expect(over('dark')).to.match(/is still in the dark\. Bring it to light/);
    expect(
      windowWords({ open: mark(2, 3, 5), close, hindered: null, still: 'covered' }, NOW, METRIC)
    ).to.equal('Opens Thursday, likely Wednesday to Saturday.');
  });

  it('tells an open window by its end, and a closed one to be cut', () => {
    const open = mark(-1, -1, -1, true);
    expect(
      windowWords({ open: open, close: mark(2, 3, 4), hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Open now. Best before Thursday.');
    expect(
      windowWords({ open: open, close: mark(-3, -1, 0), hindered: null, still: null }, NOW, METRIC)
    ).to.equal('Past its best since yesterday: cut what is good.');
  });

  it('is its range alone in the line of a tray that needs nothing', () => {
    const brief = (open: MarkForecast, hindered: 'cold' | 'hot' | null = null) =>
      windowBrief({ open, close, hindered, still: null }, NOW, METRIC);
    expect(brief(mark(2, 3, 5))).to.equal('opens Wednesday to Saturday');
    expect(brief(mark(-1, 1, 2))).to.equal('opens today to Wednesday');
    expect(brief(mark(1.1, 1.15, 1.2))).to.equal('opens tomorrow');
    expect(brief(mark(2, 3, 5), 'cold')).to.equal('too cold here to open');
    expect(brief(mark(Infinity, Infinity, Infinity))).to.equal('won’t open where it is');
    expect(brief(mark(-2, -1, 1))).to.equal('Likely open since yesterday. Check for the cue.');
  });

  it('says where nothing grows', () => {
    expect(
      windowWords(
        { open: mark(Infinity, Infinity, Infinity), close: close, hindered: null, still: null },
        NOW,
        METRIC
      )
    ).to.include('move it');
  });
});

describe('the weeks ahead in words', () => {
  it('tell what was taken of a proposal', () => {
    expect(takenWords(1, 0)).to.equal('Saved: one sowing is planned.');
    expect(takenWords(3, 2)).to.equal('Saved: 3 sowings are planned, 2 are cancelled.');
    expect(takenWords(0, 1)).to.equal('Saved: one is cancelled.');
  });
});

describe('tasks in words', () => {
  const pea = { cropKey: 'pea', name: 'Pea', seedG: 90.6, lotId: null, intoWaterAfterH: 0 };
  const pressing = { eachG: 2025, leastG: 1350, mostG: 2700, containers: 1 };
  const drain = { kind: 'drain', hours: 0, endsAt: NOW - HOUR, latestAt: NOW + 2 * HOUR } as const;
  const all: StepBody[] = [
    {
      kind: 'soak',
      jar: { dryMl: 113, swollenMl: 249, waterMl: 566, jarMl: 815 },
      seed: [pea],
      dry: [],
      hours: 15,
      until: NOW + 15 * HOUR,
      latestAt: NOW + 16 * HOUR,
      peroxideMl: 0
    },
    drain,
    { kind: 'sow', seedG: 9.92, onWaterMl: 304 },
    { kind: 'uncover', off: 'weight', to: 'blackout', where: 'lamp', by: null },
    { kind: 'light', where: 'lamp', by: null },
    { kind: 'mist', waterMl: 9, fine: false, peroxideMl: 0, first: null },
    {
      kind: 'water',
      waterMl: 124,
      staysMl: null,
      timesADay: 0,
      share: 0.36,
      ifStoodMl: 25,
      why: 'soon',
      how: 'below',
      feed: null,
      peroxideMl: 0
    },
    {
      kind: 'cut',
      expectedG: 103,
      cutShare: 0,
      closesAt: NOW + 2 * DAY,
      past: false,
      seen: true,
      sure: true,
      tool: 'scissors',
      taking: 'whole'
    }
  ];
  const others: StepBody[] = [
    { kind: 'fill', mediumMl: 1125, depthCm: 2.5 },
    { kind: 'damp', waterMl: 304, how: 'before-seed', feed: null, peroxideMl: 0 },
    {
      kind: 'press',
      cover: 'weight',
      pressing,
      shared: false,
      onTop: 0,
      stacking: null,
      watch: false,
      later: null
    }
  ];
  const on = { now: NOW, locale: METRIC, containers: 1, medium: { kind: 'coir', own: null } } as const;
  const words = (body: StepBody, containers = 1) =>
    cardWords({ body, with: body.kind === 'sow' ? others : [] }, { ...on, containers });

  it('say what to do with how much', () => {
    expect(all.map((body) => words(body).title)).to.deep.equal([
      'Soak 90.6 g of seed in 565 mL of water',
      'Drain and rinse until the water is clear',
      'Sow 9.92 g on 1.13 L of coir',
      'Take the weight off and put a dark dome on',
      'Dome off, under the lamp',
      'Mist finely, about 9 mL',
      'Water 125 mL from below',
      'Ready to cut: about 103 g'
    ]);
  });

  it('say why in one line, with what goes with it', () => {
    expect(words(all[0]!).why).to.equal(
      'Take it out tomorrow 07:00. A jar of at least 815 mL leaves room to swell.'
    );
    expect(words(all[2]!).why).to.equal(
      'Damp: 305 mL. Damp like a wrung-out sponge. Press or cover: 2.02 kg. Use 2 filled 1 L bottles on a board, and never more than 2.7 kg.'
    );
    expect(words(all[6]!).why).to.include('36% of its water is left');
    for (const body of all) {
      const { why, how } = words(body);
      expect(`${why} ${how}`.length, body.kind).to.be.within(20, 150);
    }
  });

  it('say what to do about a soak that was missed', () => {
    expect(words(all[1]!).why).to.match(/^Ended today .*, 1 h ago\. Drain and rinse it now, by /);
    const late = words({ ...drain, endsAt: NOW - 31 * HOUR, latestAt: NOW - 29 * HOUR }).why;
    expect(late).to.match(/^Ended yesterday \d\d:\d\d, 31 h ago\. That is too long for this seed\./);
    expect(late).to.not.match(/smell/);
    expect(words({ ...drain, hours: 8 }).title).to.include('damp and covered for 8 h');
  });

  it('record what they say, but for a cut, which is weighed', () => {
    expect(all.map((body) => ticked(body)?.type ?? 'weighed')).to.deep.equal([
      'soaked',
      'drained',
      'sown',
      'uncovered',
      'lit',
      'misted',
      'watered',
      'weighed'
    ]);
    expect(ticked({ kind: 'uncover', off: 'lid', to: 'light', where: 'sill', by: null })).to.deep.equal({
      type: 'lit'
    });
    expect(ticked(all[6]!)).to.deep.equal({ type: 'watered', waterG: 124 });
  });

  it('put weights into things a kitchen has, or into water to weigh', () => {
    const on = (eachG: number, leastG: number, mostG: number, containers = 1) =>
      Object.values(pressingWords({ eachG, leastG, mostG, containers }, 'metric')).join(': ');
    expect(on(1050, 700, 1400)).to.equal(
      '1.05 kg: Use a filled 1 L bottle on a board, and never more than 1.4 kg.'
    );
    expect(on(56, 0, 112)).to.equal(
      '56 g: Use a flat dish on a light board, with water until both weigh 56 g, and never more than 112 g.'
    );
    expect(on(2025, 1350, 2700, 3)).to.match(/^2\.02 kg each: .*never more than 2\.7 kg each\.$/);
    expect(
      Object.values(pressingWords({ eachG: 56, leastG: 0, mostG: 112, containers: 1 }, 'us')).join()
    ).to.include('oz');
  });

  it('name what lies on the seed as the method has it', () => {
    const stacked = pathOf(radish, READY_METHODS[1]!, 'coir');
    expect(words({ kind: 'uncover', off: 'stacked', to: 'light', where: 'sill', by: null }).title).to.equal(
      'Take the upper tray off and bring it to light'
    );
    expect(cueWords('rooted', radish, stacked, 'metric')).to.equal('Pushing the trays apart');
    expect(cueWords('rooted', radish, path, 'metric')).to.equal('Pushing the lid up');
    expect(cueWords('lightReady', radish, path, 'metric')).to.equal('Stems even');
  });
});

describe('crops in words', () => {
  it('have a cue a person can see, for all 45', () => {
    for (const crop of CROPS)
      expect(cueWords('windowOpen', crop, path, 'metric'), crop.key).to.match(
        /^(Pushing the dome up|Seed leaves open|First true leaf|[\d.]+ to [\d.]+ cm tall|Tips [\d.]+ to [\d.]+ cm)$/
      );
    expect(cueWords('windowOpen', cropOf('wheat'), path, 'us')).to.equal('5.9 to 9.4 in tall');
  });

  it('tell every figure with its unit, in the household’s units', () => {
    const facts = new Map(
      cropFacts(cropOf('pea'), 'metric').flatMap(({ facts }) => facts.map(({ name, value }) => [name, value]))
    );
    expect(facts.get('1000 seeds weigh')).to.equal('175 g');
    expect(facts.get('Soak')).to.equal('10 h, 8 to 12 h');
    expect(facts.get('Fastest at')).to.equal('22 °C');
    const us = new Map(
      cropFacts(cropOf('pea'), 'us').flatMap(({ facts }) => facts.map(({ name, value }) => [name, value]))
    );
    expect(us.get('Fastest at')).to.equal('72 °F');
    expect(cropSpan(radish, 'us')).to.equal('6.5 to 10.5 days at 70 °F');
    expect(us.get('Height')).to.equal('3.9 to 7.1 in');
    for (const crop of CROPS)
      for (const { facts: rows } of cropFacts(crop, 'metric'))
        for (const { name, value } of rows)
          expect(value, `${crop.key}: ${name}`).not.to.match(/undefined|NaN|null/);
    expect(cropSpan(radish, 'metric')).to.equal('6.5 to 10.5 days at 21 °C');
  });

  it('warn where they should be eaten with care, and only there', () => {
    for (const key of ['borage', 'buckwheat', 'flax', 'sorrel'])
      expect(edibleNote(cropOf(key)), key).to.include('small amounts');
    for (const key of ['mustard', 'sesame', 'fenugreek', 'cilantro', 'dill', 'fennel', 'parsley'])
      expect(edibleNote(cropOf(key)), key).to.match(/allerg/);
    expect(edibleNote(radish)).to.equal(null);
  });

  it('describe their drawing to those who cannot see it', () => {
    expect(pictureWords('Radish', cropPicture(radish), 'metric')).to.equal(
      'Radish as it should look now: stems of about 7 cm'
    );
    const jar = { ...cropPicture(radish), vessel: 'jar', jarWater: 0.8 } as const;
    expect(pictureWords('Pea shoots', jar, 'metric')).to.equal('Pea shoots: seed in a jar of water');
    const pressed = {
      ...cropPicture(radish),
      stems: null,
      grains: { sizeCm: 0.3, perCm: 1.5, sprouted: 0.5 },
      cover: 'weight'
    } as const;
    expect(pictureWords('Radish', pressed, 'metric')).to.include('seed with tails, under a weight');
  });
});

describe('the log in words', () => {
  const say = (body: Parameters<typeof eventWords>[0]) =>
    eventWords(
      body,
      { crop: radish, path, state: newState() },
      { zone: 'Europe/Madrid', units: 'metric' },
      () => 'the cellar'
    );

  it('has a line for everything that can happen', () => {
    expect(say({ type: 'sown', waterG: 304 })).to.equal('Sown, on 305 mL of water');
    expect(say({ type: 'looked', cue: 'rooted', reached: false })).to.equal(
      'Checked “Pushing the lid up”: not yet'
    );
    expect(say({ type: 'felt', moisture: 'right' })).to.equal('Felt: damp, just right');
    expect(say({ type: 'moved', placeId: 'x' })).to.equal('Moved to the cellar');
    expect(say({ type: 'cut', grossG: 240, tareG: 214.5, share: 1, last: true })).to.equal(
      'Cut 25.5 g, the last'
    );
    expect(say({ type: 'ended', reason: 'damped-off' })).to.equal(
      'Discarded: Damped off: stems rotted at the base'
    );
    // What was packed anew may be juice, and is counted so.
    const pressed: EventBody = {
      type: 'packed',
      from: 'cut',
      amount: 100,
      washing: 'washed',
      packing: 'frozen-juice',
      made: 70
    };
    const state = { ...newState(), afterCut: [{ eventId: 'juice', at: 0, body: pressed }] };
    const took = (from: string) =>
      eventWords(
        { type: 'taken', from, amount: 30, to: 'eaten' },
        { crop: radish, path, state },
        { zone: 'Europe/Madrid', units: 'metric' },
        () => ''
      );
    expect([took('juice'), took('cut')]).to.deep.equal(['Taken out to eat, 30 mL', 'Taken out to eat, 30 g']);
    expect(say({ type: 'noted', text: 'Smells fine.' })).to.equal('Smells fine.');
    for (const type of ['soaked', 'drained', 'uncovered', 'lit'] as const)
      expect(say({ type })).to.match(/^[A-Z]/);
  });

  it('has words for every medium and every loss', () => {
    for (const medium of MEDIA) expect(MEDIUM_WORDS[medium]).to.be.a('string');
    for (const reason of LOSS_REASONS) expect(LOSS_WORDS[reason]).to.be.a('string');
  });
});
