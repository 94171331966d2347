import { radishTray } from '../support/household.ts';
import { expect } from 'chai';
import { problemWords } from '../../src/words/problems.ts';
import { problem } from '../../src/core/problem.ts';
import type { Timer } from '../../src/core/steps/timer.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { QUESTIONS, type Question } from '../../src/core/supplies/methods/method.ts';
import { STARTING_RULES } from '../../src/core/supplies/seed/rule.ts';
import { ruleWith } from '../../src/core/supplies/seed/product.ts';
import { calculate } from '../../src/core/calculators/calculator.ts';
import { findCalculator, CALCULATORS } from '../../src/core/calculators/registry.ts';
import type { StepBody } from '../../src/core/steps/step.ts';
import { HOUR, MINUTE } from '../../src/core/time/zone.ts';
import { readQuantity, showQuantity, shownUnit } from '../../src/ui/calculators/quantities.ts';
import { workingOf } from '../../src/ui/calculators/working.ts';
import { answerWords, QUESTION_GROUPS, QUESTION_WORDS } from '../../src/words/methods.ts';
import type { StepOn } from '../../src/words/steps/amounts.ts';
import { stepAmount } from '../../src/words/steps/steps.ts';
import { timerState } from '../../src/core/steps/timer.ts';
import { countdown, soakWords, timerWords } from '../../src/words/timers.ts';
import { check } from '../../src/contract/schemas/check.ts';
import { lotSchema, mediumSchema } from '../../src/contract/schemas/cupboard.ts';
import { methodSchema } from '../../src/contract/schemas/method.ts';
import { plainNumber, plainQuantity } from '../../src/contract/schemas/plainNumber.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { at } from '../support/rhythm.ts';

const NOW = at('2026-11-23T19:30Z');
const METRIC = { zone: 'Europe/Madrid', units: 'metric' } as const;

describe('quantities of a calculator', () => {
  const value = (
    text: string,
    kind: Parameters<typeof readQuantity>[1],
    units: 'metric' | 'us' = 'metric'
  ) => {
    const read = readQuantity(text, kind, units);
    return read.ok ? read.value : problemWords(read.problem);
  };

  it('are read as people type them', () => {
    expect(value('12,5 g', 'mass')).to.equal(12.5);
    expect(value('1/2 tsp', 'volume')).to.be.closeTo(2.464, 0.001);
    expect(value('1/2', 'volume', 'us')).to.be.closeTo(14.787, 0.001);
    expect(value('2.1 /cm2', 'density')).to.equal(2.1);
    expect(value('10', 'density', 'us')).to.be.closeTo(1.55, 0.001);
    expect(value('80 %', 'percent')).to.equal(80);
    expect(value('2000ppm', 'ppm')).to.equal(2000);
    expect(value('some', 'percent')).to.include('Write a number');
  });

  it('take an area as it is measured', () => {
    expect(value('450', 'area')).to.equal(450);
    expect(value('25 x 18', 'area')).to.equal(450);
    expect(value('25 × 18 cm', 'area')).to.equal(450);
    expect(value('10 in x 7 in', 'area')).to.be.closeTo(451.6, 0.1);
    expect(value('d 16', 'area')).to.be.closeTo(201.06, 0.01);
    expect(value('70', 'area', 'us')).to.be.closeTo(451.6, 0.1);
    expect(value('450 cm2', 'area', 'us')).to.equal(450);
    expect(value('70 in2', 'area')).to.be.closeTo(451.6, 0.1);
    expect(value('25 x', 'area')).to.include('Write a number');
    expect(value('big', 'area')).to.include('its sides');
  });

  it('are shown as they would be typed', () => {
    for (const units of ['metric', 'us'] as const)
      for (const calculator of CALCULATORS) {
        const context = { crop: cropOf('radish') };
        const { values } = calculate(calculator, context, {}, []);
        for (const { key, kind } of calculator.quantities(context)) {
          const shown = showQuantity(values[key]!, kind, units);
          const back = value(`${shown} ${shownUnit(kind, units)}`, kind, units);
          expect(back, `${calculator.key}.${key} ${shown}`).to.be.closeTo(values[key]!, values[key]! * 0.006);
        }
      }
  });
});

describe('the working of a calculator', () => {
  /** Works out what the working says, figure by figure. */
  function evaluated(working: string): [said: number, result: number] {
    const [left, right] = working.split(' = ');
    let product = 1;
    for (const [, sign, term] of `× ${left}`.matchAll(/([×÷]) (\([^)]*\)|[^×÷]+)/g)) {
      const numbers = (term!.match(/[\d.]+(?: 000)?/g) ?? []).map((one) => Number(one.replace(' ', '')));
      const figure = term!.startsWith('1/100')
        ? 0.01
        : term!.includes('1000 seeds')
          ? numbers[0]! / 1000
          : term!.startsWith('(1 %')
            ? 1e-4
            : term!.includes('swollen')
              ? numbers[0]! + numbers[1]!
              : numbers[0]!;
      product = sign === '×' ? product * figure : product / figure;
    }
    return [product, Number.parseFloat(right!)];
  }

  it('comes to what it says, whichever quantity is worked out and in whatever units', () => {
    for (const units of ['metric', 'us'] as const)
      for (const calculator of CALCULATORS)
        for (const typed of [[], [calculator.quantities({ crop: cropOf('pea') })[0]!.key]]) {
          const context = { crop: cropOf('pea') };
          const start = calculate(calculator, context, {}, []);
          const { values, free } = calculate(calculator, context, start.values, typed);
          const working = workingOf(calculator, context, values, free, units);
          const [said, result] = evaluated(working);
          expect(said, working).to.be.closeTo(result, Math.abs(result) * 0.02);
        }
  });

  it('names its constants', () => {
    const context = { crop: cropOf('radish') };
    const { values, free } = calculate(findCalculator('seed')!, context, {}, []);
    expect(workingOf(findCalculator('seed')!, context, values, free, 'metric')).to.equal(
      '1 × 450 cm² × 2.5 /cm² × 10.5 g per 1000 seeds × 94 % usual germination ÷ 94 % = 11.8 g'
    );
  });
});

describe('steps in words', () => {
  const on: StepOn = { now: NOW, locale: METRIC, containers: 1, medium: { kind: 'coir', own: null } };
  const words = (body: StepBody, more: Partial<StepOn> = {}) => told(stepAmount(body, { ...on, ...more }));
  const told = ({ amount, more }: { amount: string; more: string }) => {
    return `${amount} | ${more}`;
  };
  const line = (name: string, seedG: number, intoWaterAfterH = 0) => ({
    cropKey: 'pea',
    name,
    seedG,
    lotId: null,
    intoWaterAfterH
  });

  it('say how much of what', () => {
    expect(words({ kind: 'weigh', seed: [line('Peas', 90.6)], disinfect: [] })).to.equal('90.6 g | ');
    expect(words({ kind: 'weigh', seed: [line('Radish', 5), line('Kale', 3)], disinfect: [] })).to.equal(
      '5 g + 3 g | Radish 5 g, Kale 3 g.'
    );
    const jar = { dryMl: 113, swollenMl: 249, waterMl: 566, jarMl: 815 };
    const soak: StepBody = {
      kind: 'soak',
      jar,
      seed: [line('Peas', 90), line('Fennel', 3, 5)],
      dry: [],
      hours: 10.5,
      until: NOW + 10.5 * HOUR,
      latestAt: NOW + 12 * HOUR,
      peroxideMl: 0
    };
    expect(words(soak)).to.equal(
      '565 mL of water | 10.5 h, in a jar of at least 815 mL. Take it out by tomorrow 08:30 at the latest. Add fennel 5 h later.'
    );
    expect(words({ kind: 'fill', mediumMl: 1125, depthCm: 2.5 })).to.equal(
      '1.13 L of coir | 2.5 cm deep; 141 g of dry coir brick and about 635 mL of water'
    );
    const own = {
      id: 'm',
      name: 'Balcony mix',
      kind: 'seed-mix',
      swellLKg: null,
      parts: [
        { name: 'coir', parts: 3 },
        { name: 'perlite', parts: 1 }
      ]
    } as const;
    expect(
      words(
        { kind: 'fill', mediumMl: 1000, depthCm: 2.5 },
        { medium: { kind: 'seed-mix', own: { ...own, parts: [...own.parts] } } }
      )
    ).to.equal('1 L of Balcony mix | 2.5 cm deep; 750 mL coir + 250 mL perlite');
    expect(
      words({
        kind: 'press',
        cover: 'weight',
        pressing: { eachG: 3150, leastG: 2250, mostG: 4050, containers: 1 },
        shared: false,
        onTop: 0,
        stacking: null,
        watch: false,
        later: null
      })
    ).to.equal('3.15 kg | Use 2 filled 1.5 L bottles on a board, and never more than 4.05 kg.');
    expect(
      words({
        kind: 'press',
        cover: 'lid',
        pressing: null,
        shared: false,
        onTop: 0,
        stacking: null,
        watch: false,
        later: null
      })
    ).to.equal('A lid | ');
    expect(words({ kind: 'cover', cover: 'vermiculite', cm: 0.3, volumeMl: 135 })).to.equal(
      '135 mL of vermiculite | 3 mm thick, damped first'
    );
    expect(words({ kind: 'damp', waterMl: 304, how: 'before-seed', feed: null, peroxideMl: 2.28 })).to.equal(
      '305 mL | Damp like a wrung-out sponge. With 2.3 mL of 3% peroxide in it.'
    );
  });

  it('measure strong products to the tenth of a millilitre, and show a refusal', () => {
    const rule = STARTING_RULES.hypochlorite;
    const solution = { solutionMl: 25, productMl: 0.95, waterMl: 24.05 };
    expect(
      words({
        kind: 'disinfect',
        product: 'hypochlorite',
        rule,
        jars: [{ name: 'Pea', solution }],
        refused: null
      })
    ).to.equal('25 mL of solution | 0.9 mL of hypochlorite at 5.25% in 24 mL of water. 15 min at 2000 ppm.');
    const named = ruleWith(rule, { id: 'a', name: 'Bleach under the sink', strengthPct: 5.25 });
    expect(
      words({
        kind: 'disinfect',
        product: 'hypochlorite',
        rule: named,
        jars: [{ name: 'Pea', solution }],
        refused: null
      })
    ).to.include('0.9 mL of hypochlorite at 5.25% (Bleach under the sink) in 24 mL of water.');
    expect(
      words({ kind: 'disinfect', product: 'peroxide', rule, jars: [], refused: problem('product-too-weak') })
    ).to.equal(
      'Not calculated | The product is weaker than the strength asked for: it cannot be reached by adding water.'
    );
  });

  it('say how the water lasts', () => {
    const mist = (more: object) =>
      words({
        kind: 'mist',
        waterMl: 9,
        fine: false,
        peroxideMl: 0,
        ...more
      } as StepBody);
    const first = (more: object = {}) => ({
      first: { cover: 'lid', then: 'never', leftShare: 0.8, ...more }
    });
    expect(mist(first())).to.include('About 80% of the water will be left');
    expect(mist(first({ leftShare: 0.1 }))).to.include('won’t last');
    expect(mist(first({ then: 'twice' }))).to.include('morning and evening');
    expect(mist(first({ cover: 'none' }))).to.include('no cover');
    expect(mist({ ...first(), fine: true })).to.include('finest mist');
  });
});

describe('methods in words', () => {
  it('have every answer to every question, each with what it costs and gains', () => {
    const questions = Object.keys(QUESTIONS) as Question[];
    expect(Object.keys(QUESTION_WORDS)).to.have.members(questions);
    const grouped = QUESTION_GROUPS.flatMap((group) => group.questions);
    expect([...grouped].sort(), 'each in one group').to.deep.equal([...questions].sort());
    for (const question of questions)
      for (const answer of QUESTIONS[question]) {
        const { text, turns } = answerWords(question, answer);
        expect(text.length, `${question} ${answer}`).to.be.above(2);
        expect(turns, `${question} ${answer}`).to.match(/\.$/);
      }
  });
});

describe('timers in words', () => {
  const timer: Timer = {
    key: 'k',
    sowingId: 's',
    of: { container: radishTray().container, count: 1, trayNo: null },
    cropName: 'Peas',
    kind: 'soak',
    startedAt: NOW,
    endsAt: NOW + 10 * HOUR,
    latestAt: NOW + 12 * HOUR,
    endsAsleep: false
  };

  it('count down, and up once it is over', () => {
    expect(countdown(10 * HOUR)).to.equal('10:00:00');
    expect(countdown(4 * MINUTE + 5_000)).to.equal('4:05');
    expect(countdown(-65_000)).to.equal('+1:05');
  });

  it('say what to do, also when it was missed', () => {
    const say = (state: Parameters<typeof timerWords>[1], now: number) =>
      timerWords(timer, state, now, METRIC);
    expect(say('running', NOW)).to.equal('Take it out tomorrow 06:30.');
    expect(timerWords({ ...timer, endsAsleep: true }, 'running', NOW, METRIC)).to.include('while you sleep');
    expect(say('due', NOW + 10 * HOUR)).to.match(/^Ended today 06:30\..*by today 08:30 at the latest\.$/);
    expect(say('last-hour', NOW + 11.5 * HOUR)).to.include('within 30 min');
    expect(say('missed', NOW + 14 * HOUR)).to.match(
      /^Ended today 06:30, 4 h ago\. That is too long .*throw it out/
    );
    // The round says the same.
    for (const now of [NOW + 10 * HOUR, NOW + 11.5 * HOUR, NOW + 14 * HOUR])
      expect(say(timerState(timer, now), now)).to.equal(
        soakWords({ endsAt: timer.endsAt, latestAt: timer.latestAt! }, now, METRIC)
      );
    for (const kind of ['rinse', 'disinfect', 'drain'] as const)
      for (const state of ['running', 'due', 'missed'] as const)
        expect(timerWords({ ...timer, kind }, state, NOW, METRIC)).to.match(/\.$/);
  });
});

describe('what the cupboard may be sent', () => {
  const id = '00000000-0000-4000-8000-000000000001';
  const lot = { id, cropKey: 'radish', name: 'Tin', weighedG: 100 };
  const wrong = (schema: typeof lotSchema, sent: object): Record<string, string> => {
    const checked = check(schema, sent);
    return checked.ok ? {} : checked.errors;
  };

  it('a lot with its test, or what is wrong with it', () => {
    expect(wrong(lotSchema, lot)).to.deep.equal({});
    expect(wrong(lotSchema, { ...lot, bestBefore: '', price: '' })).to.deep.equal({});
    expect(wrong(lotSchema, { ...lot, weighedG: null }).weighedG).to.include('Weigh the packet');
    expect(wrong(lotSchema, { ...lot, weighedG: 'heavy' }).weighedG).to.include('grams');
    expect(wrong(lotSchema, { ...lot, packetPct: 0 }).packetPct).to.include('does not sprout');
    expect(wrong(lotSchema, { ...lot, test: { sprouted: 21, tested: 20 } }).test).to.include(
      'More seeds sprouted'
    );
    expect(wrong(lotSchema, { ...lot, test: { sprouted: 1.5, tested: 20 } })['test.sprouted']).to.include(
      'whole'
    );
    expect(wrong(lotSchema, { ...lot, bestBefore: 'soon' }).bestBefore).to.include('date');
  });

  it('a medium, and a method within the bounds of safety', () => {
    expect(check(mediumSchema, { id, name: 'Mix', kind: 'coir', swellLKg: null, parts: null }).ok).to.equal(
      true
    );
    expect(check(methodSchema, DEFAULT_METHOD).ok).to.equal(true);
    const rule = (more: object) => ({
      ...DEFAULT_METHOD,
      disinfect: 'peroxide',
      disinfectRule: { ...STARTING_RULES.peroxide, ...more }
    });
    const say = (sent: object) => {
      const checked = check(methodSchema, sent);
      return checked.ok ? {} : checked.errors;
    };
    expect(say(rule({}))).to.deep.equal({});
    expect(say(rule({ target: 12 }))['disinfectRule.target']).to.include('at most 10%');
    expect(say(rule({ source: ' ' }))['disinfectRule.source']).to.include('Enter where');
    expect(say({ ...DEFAULT_METHOD, pressing: 'stones' }).pressing).to.include('one of the answers');
    expect(say({ ...DEFAULT_METHOD, domeDays: 40 }).domeDays).to.include('between 0.5 and 30');
    // As a page sends it that does not know every question yet.
    const { dome: _dome, leafStage: _stage, ...before } = DEFAULT_METHOD;
    const taken = check(methodSchema, { ...before, domeDays: 3 });
    expect(taken.ok && taken.value).to.include({ dome: 'days', domeDays: 3, leafStage: 'usual' });
    const spray = (name: string, timesADay = 1) => ({ name, timesADay });
    expect(say({ ...DEFAULT_METHOD, sprays: [spray('Kelp'), spray('Nettle', 2)] })).to.deep.equal({});
    expect(say({ ...DEFAULT_METHOD, sprays: [spray(' ')] })['sprays.0.name']).to.include('what you spray');
    expect(say({ ...DEFAULT_METHOD, sprays: [spray('Kelp'), spray('kelp ')] }).sprays).to.include(
      'same name'
    );
    expect(say({ ...DEFAULT_METHOD, sprays: [spray('Kelp', 5)] })['sprays.0.timesADay']).to.include('twice');
    const old: Partial<typeof DEFAULT_METHOD> = { ...DEFAULT_METHOD };
    delete old.sprays;
    expect(say(old), 'of a page that does not know them').to.deep.equal({});
  });

  it('figures as they are typed', () => {
    expect(plainQuantity('12,5 g', 'mass', 'metric')).to.equal(12.5);
    expect(plainQuantity('2', 'mass', 'us')).to.be.closeTo(56.7, 0.01);
    expect(plainQuantity('4.16', 'mass', 'us', 118), 'left as it was shown').to.equal(118);
    expect(plainQuantity('a handful', 'mass', 'us')).to.equal('a handful');
    expect(plainQuantity('', 'mass', 'us', 118)).to.equal(null);
    expect(plainNumber('1/2')).to.equal(0.5);
    expect(plainNumber('90 %')).to.equal(90);
    expect(plainNumber(' ')).to.equal(null);
    expect(plainNumber('many')).to.equal('many');
  });
});
