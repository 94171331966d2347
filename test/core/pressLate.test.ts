import { expect } from 'chai';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import { sowingWeightG } from '../../src/core/shelf/load.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { coverOn } from '../../src/core/sowing/stage.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import type { BodyOf } from '../../src/core/steps/step.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { event, home, radishTray, sown, SOWN } from '../support/household.ts';

const LATE = { ...DEFAULT_METHOD, key: 'own-late', name: 'Late', pressing: 'late' } as const;
const late = (events: SowingEvent[], more: Partial<SowingSetup> = {}) =>
  project(home, radishTray({ method: LATE, ...more }), events);
const kinds = (hours: number, events: SowingEvent[]) => {
  const now = SOWN + hours * HOUR;
  return askOf(late(events), roundAt(home.rhythm, now), now).steps.map(({ body }) => body.kind);
};
const rooted = (hours: number) => event(hours, { type: 'looked', cue: 'rooted', reached: true });
const pressed = (hours: number) => event(hours, { type: 'pressed' });

describe('a crop that is pressed late', () => {
  it('is shut under a lid at the bench, and told what is to lie on it later', () => {
    const press = stepsOf(late([])).find(({ body }) => body.kind === 'press')!.body as BodyOf<'press'>;
    expect(press).to.deep.include({ cover: 'lid', pressing: null });
    expect(press.later).to.deep.equal({ eachG: 4.5 * 450, leastG: 3 * 450, mostG: 6 * 450, containers: 1 });
    const weight = stepsOf(late([])).find(({ body }) => body.kind === 'weight')!.body as BodyOf<'weight'>;
    expect(weight.pressing).to.deep.equal(press.later);
  });

  it('gets its weight once it has rooted, for a day or two, and then comes out from under it', () => {
    expect(kinds(41, [sown(), rooted(40)])).to.deep.equal(['weight']);
    const under = [sown(), rooted(40), pressed(41)];
    expect(kinds(60, under)).not.to.include.members(['weight']);
    expect(kinds(60, under)).not.to.include('uncover');
    expect(kinds(41 + 37, under)).to.include('uncover');
  });

  it('is asked for without a look where it has almost surely rooted, and not any more once its time is over', () => {
    const { p90 } = late([sown()]).forecast.marks.rooted;
    const at = (p90 - SOWN) / HOUR;
    expect(kinds(at + 1, [sown()])).to.include('weight');
    expect(kinds(at + 40, [sown()]))
      .to.include('uncover')
      .and.not.to.include('weight');
  });

  it('is drawn, weighed and uncovered as its log has it', () => {
    const before = late([sown(), rooted(40)]);
    const after = late([sown(), rooted(40), pressed(41)]);
    const now = SOWN + 42 * HOUR;
    expect([coverOn(before), coverOn(after)]).to.deep.equal(['lid', 'weight']);
    expect(pictureOf(before, now).cover).to.equal('lid');
    expect(pictureOf(after, now).cover).to.equal('weight');
    expect(sowingWeightG(after, now) - sowingWeightG(before, now)).to.be.closeTo(4.5 * 450, 1);
    const off = (one: typeof after) =>
      (stepsOf(one).find(({ body }) => body.kind === 'uncover')!.body as BodyOf<'uncover'>).off;
    expect([off(before), off(after)]).to.deep.equal(['lid', 'weight']);
  });

  it('comes to light no sooner than its weight is off', () => {
    const straight = { ...LATE, darkness: 'straight' } as const;
    const plain = project(home, radishTray({ method: { ...straight, pressing: 'weight' } }), [sown()]);
    const wait = late([sown()], { method: straight }).forecast.litAt - plain.forecast.litAt;
    expect(wait / DAY).to.be.closeTo(1.5, 0.01);
    const told = late([sown(), rooted(40), pressed(60)], { method: straight }).forecast.litAt;
    expect(told).to.be.at.least(SOWN + 60 * HOUR + 1.5 * DAY);
  });

  it('is one weight on two halves, laid when the slower has rooted', () => {
    const trayId = '00000000-0000-4000-8000-0000000000cc';
    const half = (id: string, cropKey: string, other: string): SowingSetup =>
      radishTray({
        id,
        cropKey,
        method: LATE,
        areaShare: 0.5,
        half: { trayId, besideKey: other }
      });
    const [a, b] = ['00000000-0000-4000-8000-0000000000a1', '00000000-0000-4000-8000-0000000000a2'];
    const stopAt = (hours: number, one: EventBody[], other: EventBody[]) => {
      const now = SOWN + hours * HOUR;
      const of = (bodies: EventBody[]) => [sown(), ...bodies.map((body) => event(40, body))];
      const both = [
        project(home, half(a, 'radish', 'kale'), of(one)),
        project(home, half(b, 'kale', 'radish'), of(other))
      ];
      return walk(both, roundAt(home.rhythm, now), now).stops[0]!.steps.map(({ body }) => body.kind);
    };
    const seen: EventBody = { type: 'looked', cue: 'rooted', reached: true };
    expect(stopAt(41, [seen], [])).not.to.include('weight');
    expect(stopAt(41, [seen], [seen])).to.include('weight');
  });

  it('is never heavier than the crop bears, for all 45, and left out where nothing may lie on it', () => {
    for (const crop of CROPS) {
      const path = pathOf(crop, LATE, 'coir');
      if (path.pressesLate)
        expect(path.pressGCm2, crop.key).to.be.within(crop.pressMinGCm2, crop.pressMaxGCm2).and.above(0);
      else expect(path.pressGCm2, crop.key).to.equal(0);
      expect(path.cover, crop.key).not.to.equal('weight');
    }
    expect(pathOf(cropOf('pea'), LATE, 'coir').pressesLate).to.equal(true);
    expect(pathOf(cropOf('lettuce'), LATE, 'coir').pressesLate).to.equal(false);
  });

  it('changes nothing for a tray whose log says it was pressed, but that bears its weight from sowing on', () => {
    const plain = project(home, radishTray(), [sown(), pressed(30)]);
    expect(coverOn(plain)).to.equal('weight');
    expect(plain.forecast.litAt).to.equal(project(home, radishTray(), [sown()]).forecast.litAt);
  });
});
