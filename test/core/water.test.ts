import { expect } from 'chai';
import fc from 'fast-check';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { trackOf, waterAt } from '../../src/core/water/level.ts';
import { thirstOf } from '../../src/core/water/message.ts';
import {
  NEW_THIRST,
  sowingThirst,
  thirstBelief,
  thirstMessage,
  THIRST_SPREAD
} from '../../src/core/water/thirst.ts';
import { truncated } from '../../src/core/stats/truncated.ts';
import { asked, kindsAsked } from '../support/asking.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const lit = (): SowingEvent[] => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const after = (hours: number, ...more: EventBody[]) =>
  project(home, radishTray(), [...lit(), ...more.map((body, n) => event(hours + n / 100, body))]);
const shareAt = (hours: number, ...more: EventBody[]) =>
  waterAt(after(hours, ...more), SOWN + (hours + 0.1) * HOUR).share;
describe('a truncated normal', () => {
  it('lies between its bounds and is no wider than it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: 0.05, max: 4, noNaN: true }),
        (mean, sd, low, width) => {
          const cut = truncated({ mean, variance: sd ** 2 }, low, low + width);
          expect(cut.mean).to.be.within(low - 1e-6, low + width + 1e-6);
          expect(cut.variance).to.be.above(0);
          expect(cut.variance).to.be.at.most(Math.max(sd ** 2, (width / 10) ** 2) * 1.001);
        }
      )
    );
  });

  it('is the half normal of the tables, and leaves alone what lies well within', () => {
    const half = truncated({ mean: 0, variance: 1 }, 0, 50);
    expect(half.mean).to.be.closeTo(0.797885, 1e-6);
    expect(half.variance).to.be.closeTo(0.36338, 1e-5);
    expect(truncated({ mean: 0, variance: 1 }, -50, 50)).to.deep.equal({ mean: 0, variance: 1 });
  });
});

describe('corrections of the water', () => {
  it('order by what they say: a weight is exact, a lifted tray says more than a look', () => {
    const sd = (body: EventBody) => waterAt(after(100, body), SOWN + 100 * HOUR).sdG;
    const mark: EventBody = { type: 'weighed', grossG: 600, full: true };
    const weighed = project(home, radishTray(), [
      ...lit(),
      event(78, { type: 'watered', waterG: 200 }),
      event(78.1, mark),
      event(100, { type: 'weighed', grossG: 480, full: false })
    ]);
    const exact = waterAt(weighed, SOWN + 100 * HOUR).sdG;
    expect(exact).to.be.below(sd({ type: 'lifted', heft: 'right' }));
    expect(sd({ type: 'lifted', heft: 'right' })).to.be.below(sd({ type: 'felt', moisture: 'right' }));
    expect(sd({ type: 'felt', moisture: 'right' })).to.be.below(sd({ type: 'turned' }));
  });

  it('take what the scale lost since it was full for water, but for what grew meanwhile', () => {
    const events = [
      ...lit(),
      event(90, { type: 'watered', waterG: 150 }),
      event(90.1, { type: 'weighed', grossG: 600, full: true }),
      event(102, { type: 'weighed', grossG: 540, full: false })
    ];
    const level = waterAt(project(home, radishTray(), events), SOWN + 102 * HOUR);
    const grown = level.g - (0.9 * level.capacityG - 60);
    // A tray that lost 60 g on the scale lost a little more water: the plants gained the difference.
    expect(grown).to.be.within(-25, 2);
  });

  it('make a light tray dry and a heavy one wet, whatever was computed', () => {
    expect(shareAt(79, { type: 'lifted', heft: 'light' })).to.be.below(0.36);
    expect(shareAt(120, { type: 'lifted', heft: 'heavy' })).to.be.above(0.75);
  });

  it('teach how fast water goes: found dry too soon is thirstier, found wet is less so', () => {
    const thirst = (...more: SowingEvent[]) =>
      trackOf(project(home, radishTray(), [...lit(), ...more])).thirst.mean;
    const dry = thirst(event(88, { type: 'felt', moisture: 'dry' }));
    const wet = thirst(event(101, { type: 'felt', moisture: 'wet' }));
    expect(dry).to.be.above(0.1);
    expect(wet).to.be.below(-0.1);
    expect(thirst()).to.equal(0);
  });

  it('know the truth again from weighings: a tray that loses half as much again', () => {
    // Weighed each morning against a bucket that loses 1.5 times what the figures say.
    const events = [
      ...lit(),
      event(77.5, { type: 'watered', waterG: 150 }),
      event(77.6, { type: 'weighed', grossG: 700, full: true })
    ];
    const plain = project(home, radishTray(), events);
    const cap = trackOf(plain).fullG(SOWN + 100 * HOUR);
    let gross = 700;
    for (const hours of [89, 95]) {
      gross -= trackOf(plain).lossG(SOWN + (hours === 89 ? 77.6 : 89) * HOUR, SOWN + hours * HOUR) * 1.5;
      events.push(event(hours, { type: 'weighed', grossG: gross, full: false }));
    }
    const { mean, variance } = trackOf(project(home, radishTray(), events)).thirst;
    // A little over the truth: the plants that grew meanwhile weigh on the scale as though they were water.
    expect(Math.exp(mean)).to.be.within(1.35, 1.65);
    expect(variance).to.be.below(0.035);
    expect(cap).to.be.closeTo(337.5, 0.01);
  });

  it('say of the household what they learned, and nothing where nothing was said', () => {
    const taught = project(home, radishTray(), [...lit(), event(88, { type: 'felt', moisture: 'dry' })], {
      asIfNew: true
    });
    const message = thirstOf(taught)!;
    expect(message.mean).to.be.above(0.2);
    expect(thirstOf(project(home, radishTray(), lit(), { asIfNew: true }))).to.equal(null);
    const belief = thirstBelief({ ended: message, underWay: [{ sowingId: 'other', message }] });
    expect(belief.mean).to.be.within(0.05, message.mean);
    expect(belief.variance).to.be.below(THIRST_SPREAD.household ** 2);
    const alone = thirstBelief({ ended: null, underWay: [{ sowingId: 'own', message }] }, 'own');
    expect(alone).to.deep.equal({ mean: 0, variance: THIRST_SPREAD.household ** 2 });
    const facts = { ...home, thirst: { ended: message, underWay: [] } };
    expect(waterAt(project(facts, radishTray(), lit()), SOWN + 95 * HOUR).share).to.be.below(
      waterAt(project(home, radishTray(), lit()), SOWN + 95 * HOUR).share
    );
  });

  it('go round: what a sowing said, put together with what it began with, is what it came to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 0.09, noNaN: true }),
        (mean, variance) => {
          const message = thirstMessage(NEW_THIRST, { mean, variance })!;
          const said = { mean: message.mean, variance: message.variance - THIRST_SPREAD.sowing ** 2 };
          const precision = 1 / NEW_THIRST.variance + 1 / said.variance;
          expect(1 / precision).to.be.closeTo(variance, 1e-9);
          expect(said.mean / said.variance / precision).to.be.closeTo(mean, 1e-9);
        }
      )
    );
    expect(sowingThirst({ mean: 0.1, variance: 0.02 })).to.include({ mean: 0.1 });
    expect(sowingThirst({ mean: 0, variance: 0.02 }).variance).to.be.closeTo(0.03, 1e-12);
  });
});

describe('watering by the round', () => {
  it('is called off by a weighing that finds enough', () => {
    const marked = [
      ...lit(),
      event(77.1, { type: 'watered', waterG: 150 }),
      event(77.2, { type: 'weighed', grossG: 700, full: true })
    ];
    const hours = 97;
    expect(kindsAsked(hours, marked)).to.include('water');
    expect(
      kindsAsked(hours, [...marked, event(hours - 0.1, { type: 'weighed', grossG: 690, full: false })])
    ).not.to.include('water');
  });

  it('says when more was poured than it holds, and asks for none then', () => {
    const flooded = [...lit(), event(79.5, { type: 'watered', waterG: 400 })];
    const ask = asked(80, flooded);
    expect(ask.notes.map(({ kind }) => kind)).to.include('too-much');
    expect(ask.steps.map(({ body }) => body.kind)).not.to.include('water');
    const [excess] = trackOf(project(home, radishTray(), flooded)).excess;
    expect(excess!.g).to.be.above(100);
  });

  it('fills a reservoir before it runs out, and a mesh lives from it', () => {
    const setup = { medium: 'mesh' as const };
    expect(kindsAsked(78, lit(), setup)).not.to.include('water');
    expect(asked(104, lit(), setup).steps.map(({ body }) => body)[0]).to.include({ how: 'reservoir' });
    const tray = radishTray();
    const deep = { container: { ...tray.container, reservoirMl: 1500 } };
    for (const { body } of asked(104, lit(), deep).steps)
      if (body.kind === 'water') expect(body.how).to.equal('reservoir');
    const level = waterAt(project(home, radishTray(deep), lit()), SOWN + 104 * HOUR);
    expect(level.capacityG).to.be.closeTo(337.5 + 1500, 0.01);
    expect(level.reservoirShare).to.be.within(0, 1);
  });

  it('never asks for more than a tray takes, however dry or unsure', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 78, max: 150 }),
        fc.constantFrom('dry', 'right', 'wet'),
        (hours, moisture) => {
          const events = [...lit(), event(hours - 0.5, { type: 'felt', moisture: moisture as 'dry' })];
          const projected = project(home, radishTray(), events);
          const { g, capacityG } = waterAt(projected, SOWN + hours * HOUR);
          for (const { body } of asked(hours, events).steps)
            if (body.kind === 'water') expect(body.waterMl).to.be.within(0, capacityG * 0.9 - g + 1e-6);
        }
      ),
      { numRuns: 60 }
    );
  });
});
