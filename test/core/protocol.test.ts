import { expect } from 'chai';
import fc from 'fast-check';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import type { Crop } from '../../src/core/crops/crop.ts';
import type { Method } from '../../src/core/supplies/methods/method.ts';
import { QUESTIONS, type Question } from '../../src/core/supplies/methods/method.ts';
import { unheeded } from '../../src/core/supplies/methods/path.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { MEDIA, type MediumKind } from '../../src/core/supplies/media/medium.ts';
import { differences } from '../../src/core/steps/differences.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import {
  isBenchStep,
  STEP_KINDS,
  type Step,
  type StepBody,
  type StepKind
} from '../../src/core/steps/step.ts';
import { isWaking } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { rhythm, steadyPlace } from '../support/rhythm.ts';
import { choiceOf, MONDAY, planned } from '../support/choosing.ts';

const NOW = MONDAY;
const PRESS = READY_METHODS[0]!;
const home = rhythm();

interface Case {
  crop: Crop;
  method?: Method;
  medium?: MediumKind;
  tempC?: number;
  now?: number;
}
function compiled({ crop, method = PRESS, medium = method.medium, tempC = 21, now = NOW }: Case) {
  const [one] = planned(choiceOf([crop], { method, medium, place: steadyPlace(tempC) }), now);
  return { planned: one!.plan, steps: stepsOf(one!.projected) };
}
const kinds = (steps: readonly Step[]): StepKind[] => steps.map(({ body }) => body.kind);
function bodyOf<K extends StepKind>(steps: readonly Step[], kind: K): Extract<StepBody, { kind: K }> {
  const found = steps.find(({ body }) => body.kind === kind);
  if (!found) throw new Error(`No step “${kind}” among ${kinds(steps)}`);
  return found.body as Extract<StepBody, { kind: K }>;
}

const anyMethod = fc
  .record(
    Object.fromEntries(
      (Object.keys(QUESTIONS) as Question[]).map((question) => [
        question,
        fc.constantFrom(...QUESTIONS[question])
      ])
    )
  )
  .chain((answers) =>
    fc
      .record({
        domeDays: fc.option(fc.double({ min: 0.5, max: 10, noNaN: true })),
        domeCm: fc.option(fc.double({ min: 0, max: 15, noNaN: true })),
        darkDays: fc.option(fc.double({ min: 0.5, max: 14, noNaN: true })),
        shadeDays: fc.option(fc.double({ min: 0.5, max: 21, noNaN: true })),
        medium: fc.constantFrom(...MEDIA)
      })
      .map((more): Method => ({ ...PRESS, ...answers, ...more }) as Method)
  );

describe('a protocol', () => {
  it('has its steps in order and never over one another, for all crops, methods, media and hours', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        anyMethod,
        fc.constantFrom(...MEDIA),
        fc.integer({ min: 8, max: 34 }),
        fc.integer({ min: 0, max: 24 * 60 }),
        (crop, method, medium, tempC, minutes) => {
          const { steps } = compiled({ crop, method, medium, tempC, now: NOW + minutes * 60_000 });
          for (const [index, step] of steps.entries()) {
            expect(step.until, step.body.kind).to.be.at.least(step.from);
            const before = steps[index - 1];
            if (before)
              expect(step.from, `${before.body.kind} and ${step.body.kind}`).to.be.at.least(before.until - 1);
          }
          expect(new Set(kinds(steps)).size, 'each once').to.equal(steps.length);
        }
      ),
      { numRuns: 300 }
    );
  });

  it('soaks between waking hours, or says that no start allows it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS.filter((crop) => crop.soakBestH > 0)),
        fc.integer({ min: 0, max: 24 * 60 }),
        (crop, minutes) => {
          const { planned } = compiled({ crop, now: NOW + minutes * 60_000 });
          const { soakStart, soakEnd, soakH, endsAsleep } = planned.soak;
          if (endsAsleep) return;
          expect(isWaking(home, soakStart!) && isWaking(home, soakEnd!)).to.equal(true);
          expect(soakH).to.be.within(crop.soakMinH, crop.soakMaxH);
        }
      )
    );
  });

  it('reads right for all 45 crops under each ready method', () => {
    for (const crop of CROPS)
      for (const method of READY_METHODS) {
        const { steps } = compiled({ crop, method });
        const has = new Set(kinds(steps));
        const of = `${crop.key}, ${method.key}`;
        for (const always of [
          'weigh',
          'fill',
          'damp',
          'sow',
          'mist',
          'cut',
          'wash',
          'keep',
          'clean'
        ] as const)
          expect(has.has(always), `${of}: ${always}`).to.equal(true);
        expect(has.has('soak'), of).to.equal(crop.soakBestH > 0);
        // Nothing of it lies in the past.
        for (const { from, body } of steps) expect(from, `${of}: ${body.kind}`).to.be.at.least(NOW);
        const advised = crop.disinfect === 'advised' && method.disinfect === 'none';
        expect(bodyOf(steps, 'weigh').disinfect, of).to.deep.equal(advised ? [crop.name] : []);
        if (crop.family === 'Poaceae' && crop.key !== 'maize-shoot')
          for (const never of ['press', 'uncover', 'light'] as const)
            expect(has.has(never), `${of}: ${never}`).to.equal(false);
        if (crop.gelSeed) {
          for (const never of ['rinse', 'soak', 'disinfect'] as const)
            expect(has.has(never), `${of}: ${never}`).to.equal(false);
          expect(bodyOf(steps, 'mist').fine).to.equal(true);
        }
        if (crop.germinationLight === 'light') {
          expect(has.has('cover'), of).to.equal(false);
          expect(bodyOf(steps, 'uncover').off, of).to.equal('clear');
          expect(bodyOf(steps, 'press').pressing, of).to.equal(null);
        }
        if (crop.cover === 'full') expect(has.has('cover'), of).to.equal(true);
        if (crop.key === 'maize-shoot')
          for (const never of ['light', 'air'] as const) expect(has.has(never), of).to.equal(false);
        if (crop.droughtRisk === 'high') expect(has.has('dry'), of).to.equal(false);
        if (crop.drainH === 0 && has.has('drain')) expect(bodyOf(steps, 'drain').hours).to.equal(0);
        const sowing = steps.findIndex(({ body }) => body.kind === 'sow');
        const damping = steps.findIndex(({ body }) => body.kind === 'damp');
        expect(damping < sowing, `${of}: damp before seed`).to.equal(
          method.firstWater !== 'after-seed' || crop.gelSeed
        );
      }
  });

  it('asks for amounts of the whole sowing', () => {
    const { steps } = compiled({ crop: cropOf('pea') });
    const weigh = bodyOf(steps, 'weigh').seed[0]!;
    expect(weigh.seedG).to.be.closeTo(90.56, 0.01);
    expect(bodyOf(steps, 'soak').jar.waterMl).to.be.closeTo((weigh.seedG / 0.8) * 5, 0.1);
    expect(bodyOf(steps, 'fill').mediumMl).to.equal(450 * 2.5);
    expect(bodyOf(steps, 'damp').waterMl).to.be.closeTo(450 * 2.5 * 0.3 * 0.9, 1e-6);
    expect(bodyOf(steps, 'press')).to.deep.equal({
      kind: 'press',
      cover: 'weight',
      pressing: { eachG: 450 * 7, leastG: 450 * 5, mostG: 450 * 9, containers: 1 },
      shared: false,
      onTop: 0,
      stacking: null,
      watch: false,
      later: null
    });
    expect(bodyOf(compiled({ crop: cropOf('nasturtium') }).steps, 'cover').volumeMl).to.be.closeTo(360, 1e-9);
  });

  it('disinfects where method and crop both want it, by the household’s rule', () => {
    const method: Method = {
      ...PRESS,
      disinfect: 'hypochlorite',
      disinfectRule: { target: 2000, productPct: 5.25, minutes: 15, ratioLKg: 5, source: 'ours' }
    };
    const { steps } = compiled({ crop: cropOf('pea'), method });
    const body = bodyOf(steps, 'disinfect');
    expect(body.jars[0]!.solution.productMl).to.be.closeTo((90.5625 * 5 * 2000) / 52_500, 1e-6);
    const order = kinds(steps);
    expect(order.slice(0, 5)).to.deep.equal(['weigh', 'rinse', 'disinfect', 'rinse-off', 'soak']);
    expect(kinds(compiled({ crop: cropOf('basil'), method }).steps)).not.to.include('disinfect');
    const tooStrong = { ...method, disinfectRule: { ...method.disinfectRule, target: 30_000 } };
    const refused = bodyOf(compiled({ crop: cropOf('pea'), method: tooStrong }).steps, 'disinfect');
    expect(refused.jars).to.deep.equal([]);
    expect(refused.refused?.code).to.equal('hypochlorite-too-strong');
    const weak = { ...method, disinfectRule: { ...method.disinfectRule, target: 5000, productPct: 0.1 } };
    expect(bodyOf(compiled({ crop: cropOf('pea'), method: weak }).steps, 'disinfect').refused?.code).to.equal(
      'product-too-weak'
    );
  });

  it('adds weak peroxide where the method does, in the damping or in all water', () => {
    const damp = (peroxide: Method['peroxide']) =>
      bodyOf(compiled({ crop: cropOf('kale'), method: { ...PRESS, peroxide } }).steps, 'damp');
    expect(damp('none').peroxideMl).to.equal(0);
    for (const peroxide of ['weak', 'at-sowing'] as const)
      expect((damp(peroxide).peroxideMl / damp(peroxide).waterMl) * 1000).to.be.closeTo(7.5, 1e-9);
  });

  it('stops at the bench where it is too cold to grow', () => {
    const { steps } = compiled({ crop: cropOf('basil'), tempC: 8 });
    expect(steps.every(({ body }) => isBenchStep(body.kind))).to.equal(true);
  });

  it('gives a mesh its first water in the reservoir under it', () => {
    const { waterMl } = bodyOf(compiled({ crop: cropOf('radish'), medium: 'mesh' }).steps, 'damp');
    // 1.5 cm of water and the film that the mesh itself holds, filled to nine tenths.
    expect(waterMl).to.be.closeTo(450 * 1.55 * 0.9, 1e-9);
  });

  it('fills nothing into a bare tray: a film of water, a lid, and mist every day', () => {
    const dark = { ...PRESS, darkness: 'none' } as const;
    for (const method of [...READY_METHODS, dark])
      for (const crop of CROPS) {
        const { steps, planned: plan } = compiled({ crop, method, medium: 'none' });
        expect(kinds(steps), crop.key).not.to.include('fill');
        expect(bodyOf(steps, 'damp')).to.include({ how: 'film' });
        expect(plan.path.cover, crop.key).not.to.equal('none');
        expect(plan.path.mists, crop.key).not.to.equal('never');
        const not = unheeded(crop, method, { medium: 'none', reservoir: false });
        if (method.germinationWater === 'shut')
          expect(
            not.map(({ question }) => question),
            crop.key
          ).to.include('germinationWater');
      }
  });

  it('keeps coriander pressed for a day after it has rooted, and mists it', () => {
    const { steps, planned: plan } = compiled({ crop: cropOf('cilantro') });
    const off = steps.find(({ body }) => body.kind === 'uncover')!;
    expect((off.from - plan.forecast.marks.rooted.p50) / HOUR).to.be.closeTo(24, 1e-6);
    expect(plan.path.mists).to.equal('daily');
  });

  it('has large seed under nothing but a lid looked at daily', () => {
    const light = READY_METHODS[2]!;
    expect(bodyOf(compiled({ crop: cropOf('pea'), method: light }).steps, 'press').watch).to.equal(true);
    expect(bodyOf(compiled({ crop: cropOf('kale'), method: light }).steps, 'press').watch).to.equal(false);
  });

  it('tells how long its water lasts shut', () => {
    const left = (medium: MediumKind, key: string) =>
      bodyOf(compiled({ crop: cropOf(key), medium }).steps, 'mist').first!.leftShare;
    expect(left('coir', 'radish')).to.be.within(0.8, 0.9);
    expect(left('paper', 'parsley')).to.be.below(left('coir', 'parsley'));
    expect(left('mesh', 'radish')).to.equal(0);
  });
});

describe('what a choice changes', () => {
  const pea = compiled({ crop: cropOf('pea') }).steps;
  const change = (more: Partial<Case>) =>
    differences(pea, compiled({ crop: cropOf('pea'), ...more }).steps).map(
      ({ kind, change: what }) => `${kind} ${what}`
    );

  it('is nothing where nothing was changed, and both ways round the same steps', () => {
    expect(change({})).to.deep.equal([]);
    fc.assert(
      fc.property(anyMethod, anyMethod, (one, other) => {
        const [a, b] = [one, other].map((method) => compiled({ crop: cropOf('pea'), method }).steps);
        const [there, back] = [differences(a!, b!), differences(b!, a!)];
        expect(there.map(({ kind }) => kind)).to.deep.equal(back.map(({ kind }) => kind));
        expect(there.map(({ kind }) => STEP_KINDS.indexOf(kind))).to.deep.equal(
          there.map(({ kind }) => STEP_KINDS.indexOf(kind)).sort((x, y) => x - y)
        );
      }),
      { numRuns: 60 }
    );
  });

  it('names steps that come, go, change their amount or move', () => {
    expect(change({ method: { ...PRESS, disinfect: 'peroxide' } })).to.include.members([
      'disinfect added',
      'rinse-off added'
    ]);
    expect(change({ method: { ...PRESS, pressing: 'stacked' } })).to.deep.equal([
      'mist amount',
      'press amount',
      'uncover amount'
    ]);
    expect(change({ medium: 'hemp-mat' })).to.include.members(['fill amount', 'damp amount']);
    expect(change({ tempC: 17 })).to.include('cut time');
    expect(change({ method: { ...PRESS, darkness: 'straight' } })).to.include('light left-out');
    expect(change({ now: NOW + HOUR / 4 })).to.deep.equal([]);
  });
});
