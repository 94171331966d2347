import { expect } from 'chai';
import { airBeforePacking } from '../../src/core/pantry/air.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { sheetOf } from '../../src/core/steps/sheet.ts';
import type { BodyOf } from '../../src/core/steps/step.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { trackOf, waterAt } from '../../src/core/water/level.ts';
import { asked } from '../support/asking.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const lit = (): SowingEvent[] => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const waterOf = (hours: number, events: SowingEvent[], setup: Partial<SowingSetup> = {}) =>
  asked(hours, events, setup).steps.find(({ body }) => body.kind === 'water')?.body as
    BodyOf<'water'> | undefined;

describe('one “just right” against a forecast of nothing left', () => {
  const dry = [...lit()];
  const at = 168;
  const felt = [...dry, event(at, { type: 'felt', moisture: 'right' })];
  const shareAt = (events: SowingEvent[], hours: number) =>
    waterAt(project(home, radishTray(), events), SOWN + hours * HOUR).share;

  it('is believed as far as the filter’s gain says: of the water, and of how fast it goes', () => {
    expect(shareAt(dry, at)).to.equal(0);
    const before = trackOf(project(home, radishTray(), dry));
    const after = trackOf(project(home, radishTray(), felt));
    expect(shareAt(felt, at)).to.be.within(0.3, 0.92);
    // Sd 0.31 before: the factor moves down by more than one of them, and is surer than it was.
    expect(after.thirst.mean).to.be.below(before.thirst.mean - 0.25);
    expect(after.thirst.variance).to.be.below(before.thirst.variance / 2);
  });

  it('holds for the next two rounds: it dries more slowly than was thought, and is watered in time', () => {
    const [now, next, then] = [at, at + 12, at + 24].map((hours) => shareAt(felt, hours)) as [
      number,
      number,
      number
    ];
    expect(next).to.be.within(now - 0.2, now - 0.05);
    expect(then).to.be.within(next - 0.2, next - 0.05);
    expect(waterOf(at + 0.1, felt), 'not at once').to.equal(undefined);
    expect(waterOf(at + 24, felt)!.waterMl).to.be.within(100, 220);
  });
});

describe('a bare tray', () => {
  const bare: Partial<SowingSetup> = {
    medium: 'none',
    cropKey: 'pea',
    container: { name: 'Dish', shape: 'round', lengthCm: 12, widthCm: 12, depthCm: 4, cells: 1 },
    seedG: 12,
    method: { ...DEFAULT_METHOD, germinationWater: 'twice' }
  };
  const hoursLit = 120;
  const inLight = [
    event(0, { type: 'sown', waterG: 5 }),
    event(hoursLit, { type: 'lit' }),
    event(hoursLit + 0.1, { type: 'felt', moisture: 'wet' })
  ];

  it('that is damp is given what goes until the next round, and one tick settles it', () => {
    const hours = 133;
    const step = asked(hours, inLight, bare).steps.find(({ body }) => body.kind === 'water')!;
    const given = (step.body as BodyOf<'water'>).waterMl!;
    expect(given).to.be.within(5, 40);
    const ticked = [
      ...inLight,
      event(hours + 0.1, { type: 'watered', waterG: Math.round(given) }, { taskKey: step.key })
    ];
    expect(waterOf(hours + 0.2, ticked, bare)).to.equal(undefined);
    expect(waterOf(hours + 11.5, ticked, bare), 'the next round asks again').not.to.equal(undefined);
    const found = [...ticked, event(hours + 0.5, { type: 'felt', moisture: 'dry' })];
    expect(waterOf(hours + 0.6, found, bare), 'but what is found dry is watered').not.to.equal(undefined);
  });

  it('is misted morning and evening from the first evening on, by one spray at the least, and never late', () => {
    const events = [event(0, { type: 'sown', waterG: 5 })];
    const misted: SowingEvent[] = [];
    // Sown at nine in the morning: rounds at half past eight in the evening and half past seven in the morning.
    for (const hours of [11.6, 22.6, 35.6, 46.6]) {
      const step = asked(hours, [...events, ...misted], bare).steps.find(({ body }) => body.kind === 'mist');
      const body = step?.body as BodyOf<'mist'> | undefined;
      expect(body?.waterMl, String(hours)).to.be.within(1, 3);
      expect(step!.late, String(hours)).to.equal(false);
      misted.push(
        event(hours, { type: 'misted', waterG: Math.round(body!.waterMl) }, { taskKey: step!.key })
      );
    }
  });
});

describe('water that still stands', () => {
  it('is to be poured off, on a mat as on coir, until that was done', () => {
    for (const medium of ['hemp-mat', 'none'] as const) {
      const standing = [...lit(), event(90, { type: 'felt', moisture: 'standing' })];
      const notes = (events: SowingEvent[]) => asked(90.5, events, { medium }).notes.map(({ kind }) => kind);
      expect(notes(standing), medium).to.include('pour-off');
      const poured = event(90.2, { type: 'watered', waterG: 0 });
      expect(notes([...standing, poured]), medium).not.to.include('pour-off');
    }
  });
});

describe('feed in a reservoir', () => {
  const on = (feed: (typeof DEFAULT_METHOD)['feed']): Partial<SowingSetup> => ({
    medium: 'mesh',
    method: { ...DEFAULT_METHOD, feed, feedMlL: 4 }
  });
  const firstFill = (feed: (typeof DEFAULT_METHOD)['feed']) =>
    stepsOf(project(home, radishTray(on(feed)), [])).find(({ body }) => body.kind === 'damp')!
      .body as BodyOf<'damp'>;

  it('goes into its first fill, at full or at half strength as was chosen, and nowhere by another answer', () => {
    const { feed, waterMl } = firstFill('reservoir');
    expect(feed).to.deep.equal({ strength: 1, mLPerL: 4, mL: (waterMl / 1000) * 4 });
    expect(firstFill('reservoir-half').feed).to.include({ strength: 0.5, mLPerL: 2 });
    expect(firstFill('half').feed).to.equal(null);
    expect(firstFill('none').feed).to.equal(null);
  });

  it('is what a reservoir is topped up with', () => {
    const topped = waterOf(200, lit(), on('reservoir-half'))!;
    expect(topped).to.include({ how: 'reservoir' });
    expect(topped.feed!.strength).to.equal(0.5);
  });
});

describe('leaves before packing', () => {
  const dampAfter = (body: EventBody, setup: Partial<SowingSetup>) =>
    airBeforePacking(
      project(home, radishTray(setup), [
        ...lit(),
        event(100, { type: 'watered', waterG: 90 }),
        event(149, body)
      ]),
      'unwashed',
      SOWN + 150 * HOUR
    );
  const watered = { type: 'watered', waterG: 80 } as const;

  it('are wet after water from above and after mist, and not after water from below', () => {
    const by = (lightWater: (typeof DEFAULT_METHOD)['lightWater']) => ({
      method: { ...DEFAULT_METHOD, lightWater }
    });
    expect(dampAfter(watered, by('below'))).to.equal(null);
    expect(dampAfter(watered, by('first-above')), 'only the first was from above').to.equal(null);
    expect(dampAfter(watered, by('mist'))).to.equal('misted');
    expect(dampAfter(watered, { ...by('mist'), medium: 'hemp-mat' })).to.equal(null);
    expect(dampAfter({ type: 'misted', waterG: 9 }, by('below'))).to.equal('misted');
  });
});

describe('the bench', () => {
  it('damps before the seed or after it, as the method has it', () => {
    const order = (firstWater: (typeof DEFAULT_METHOD)['firstWater']) =>
      sheetOf(
        [project(home, radishTray({ method: { ...DEFAULT_METHOD, firstWater } }), [])],
        home.rhythm,
        SOWN - HOUR
      ).sections.map(({ kind }) => kind);
    const before = order('before-seed');
    const after = order('after-seed');
    expect(before.indexOf('damp')).to.be.below(before.indexOf('sow'));
    expect(after.indexOf('damp')).to.be.above(after.indexOf('sow'));
    expect(after.filter((kind) => kind === 'damp')).to.have.length(1);
  });
});

describe('shoots kept in the dark', () => {
  const maize: Partial<SowingSetup> = { cropKey: 'maize-shoot', seedsPerCm2: 1.05, seedG: 68 };
  const uncovered = [
    sown(),
    event(106, { type: 'looked', cue: 'rooted', reached: true }),
    event(108, { type: 'uncovered' })
  ];

  it('are watered as their cover comes off, once', () => {
    const water = waterOf(108.2, uncovered, maize)!;
    expect(water.why).to.equal('uncovered');
    const given = event(108.3, { type: 'watered', waterG: Math.round(water.waterMl!) });
    expect(waterOf(109, [...uncovered, given], maize)).to.equal(undefined);
  });

  it('are never asked whether stems are even: the lifting dome is their cue, and is answered', () => {
    const cues = new Set<string>();
    for (let hours = 12; hours < 260; hours += 12) {
      const events = hours < 108 ? [sown()] : uncovered;
      const { look } = asked(hours, events, maize);
      if (look) cues.add(look.cue);
    }
    expect([...cues]).to.deep.equal(['rooted', 'windowOpen']);
    const open = [...uncovered, event(200, { type: 'looked', cue: 'windowOpen', reached: true })];
    expect(asked(201, open, maize).steps.map(({ body }) => body.kind)).to.include('cut');
  });
});

describe('two halves of a tray', () => {
  const half = (id: string, cropKey: string, besideKey: string) =>
    radishTray({
      id,
      cropKey,
      areaShare: 0.5,
      seedG: 5,
      half: { trayId: '00000000-0000-4000-8000-0000000000aa', besideKey }
    });
  const sill = {
    ...[...home.places.values()][0]!,
    light: { kind: 'sill', aspect: 'midday', back: false }
  } as const;
  const onSill = { ...home, places: new Map([[sill.id, sill]]) };
  const follow = (hours: number, ...more: SowingEvent[][]) => {
    const now = SOWN + hours * HOUR;
    const halves = [
      half('00000000-0000-4000-8000-0000000000aa', 'radish', 'kale'),
      half('00000000-0000-4000-8000-0000000000ab', 'kale', 'radish')
    ].map((setup, index) => project(onSill, setup, more[index]!));
    return { halves, walked: walk(halves, roundAt(home.rhythm, now), now) };
  };

  it('are turned as one', () => {
    // The one was turned by itself this morning.
    const turned = [...lit(), event(94, { type: 'turned' })];
    const { walked } = follow(118.6, turned, lit());
    const turn = walked.stops[0]!.steps.find(({ body }) => body.kind === 'turn')!;
    expect(turn.of).to.have.length(2);
  });

  it('come from under one weight on one day, the slower’s', () => {
    const { halves } = follow(12, [sown()], [sown()]);
    const uncovers = halves.map(
      (sowing) => stepsOf(sowing).find(({ body }) => body.kind === 'uncover')!.from
    );
    expect(uncovers[0]).to.be.closeTo(uncovers[1]!, HOUR);
    expect(askOf(halves[0]!, roundAt(home.rhythm, SOWN + 12 * HOUR), SOWN + 12 * HOUR).steps).to.deep.equal(
      []
    );
  });
});
