import { expect } from 'chai';
import { problemWords } from '../../src/words/problems.ts';
import fc from 'fast-check';
import { boardOf, placeDli, type Place } from '../../src/core/places/place.ts';
import { lampPpfd, scorches, sillDli } from '../../src/core/places/light.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { cuttableAt, LIKELY, movedTo, reach } from '../../src/core/sowing/reach.ts';
import { methodOf } from '../../src/core/supplies/methods/ready.ts';
import { boardWith, moveEffect, needOf } from '../../src/core/shelf/board.ts';
import { dividedG } from '../../src/core/shelf/weighing.ts';
import { loadOf, sowingWeightG } from '../../src/core/shelf/load.ts';
import { footprints, isStackTooHigh, mostInStack, stackingOf, wetTrayG } from '../../src/core/shelf/stack.ts';
import { CROPS } from '../../src/core/crops/library.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import type { MediumKind } from '../../src/core/supplies/media/medium.ts';
import { lowestWords } from '../../src/words/steps/bench.ts';
import { emptyG, onScaleG, wrongTrayWeight } from '../../src/core/shelf/weight.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { MEDIA } from '../../src/core/supplies/media/medium.ts';
import { storeOf } from '../../src/core/water/bucket.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { narrowing } from '../../src/core/sowing/narrowing.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const lit = (): SowingEvent[] => [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
const NOW = SOWN + 100 * HOUR;
const tray = (n: number, more: Partial<SowingSetup> = {}) =>
  project(home, radishTray({ id: `00000000-0000-4000-8000-00000000b00${n}`, ...more }), lit());
const place = (id: string, more: Partial<Place>): Place => ({
  ...shelf,
  id: `00000000-0000-4000-8000-0000000000${id}`,
  name: id,
  ...more
});
const cool = place('c0', { dayC: 14, nightC: 13 });
const warm = place('a0', { dayC: 26, nightC: 25 });
const flat: HouseholdFacts = { ...home, places: new Map([shelf, cool, warm].map((one) => [one.id, one])) };

describe('what a shelf carries', () => {
  it('is tray, medium, seed or plants, water and what presses', () => {
    const pressed = project(home, radishTray(), [sown()]);
    const light = tray(1);
    const { areaCm2, path } = pressed;
    expect(path.pressGCm2).to.be.above(0);
    // 450 cm2 pressed with 4.5 g each, 300 mL of water, coir of 1.1 L at 0.09 g per mL, and a tray.
    expect(sowingWeightG(pressed, SOWN + HOUR)).to.be.closeTo(
      areaCm2 * 4.5 + 300 + 1125 * 0.09 + emptyG(pressed.setup.container) + 9.9,
      3
    );
    expect(sowingWeightG(light, NOW)).to.be.below(sowingWeightG(pressed, SOWN + HOUR));
    expect(sowingWeightG(project(home, radishTray(), []), NOW)).to.equal(0);
    expect(emptyG({ ...pressed.setup.container, emptyG: 118 })).to.equal(118);
  });

  it('cannot be half its tray, nor many times all that fits in it', () => {
    const one = tray(1);
    expect(wrongTrayWeight(one, sowingWeightG(one, NOW))).to.equal(null);
    expect(problemWords(wrongTrayWeight(one, 20)!)).to.include('less than the empty tray');
    expect(problemWords(wrongTrayWeight(one, 20_000)!)).to.match(
      /more than \d+ times what this tray can weigh/
    );
  });

  it('is believed on any medium when it is full, over a reservoir and as a half as well', () => {
    for (const medium of MEDIA)
      for (const reservoirMl of [null, 1500])
        for (const areaShare of [1, 0.5]) {
          const base = radishTray().container;
          const full = { medium, areaShare, container: { ...base, reservoirMl } };
          const { fullG } = storeOf(
            450 * areaShare,
            tray(1, full).mediumDepthCm,
            medium,
            reservoirMl && reservoirMl * areaShare
          );
          const one = project(home, radishTray(full), [
            event(0, { type: 'sown', waterG: fullG }),
            event(48, { type: 'uncovered' }),
            event(77, { type: 'lit' })
          ]);
          // What the tray, its medium and all the water it takes weigh on a scale.
          const grossG = emptyG(base) * areaShare + fullG + 60;
          expect(wrongTrayWeight(one, grossG), `${medium} ${reservoirMl} ${areaShare}`).to.equal(null);
        }
  });

  it('is divided between two halves as they should weigh, and loses nothing', () => {
    const trayId = '00000000-0000-4000-8000-00000000ba1f';
    const half = (n: number, cropKey: string, besideKey: string) =>
      tray(n, { cropKey, areaShare: 0.5, half: { trayId, besideKey } });
    const halves = [half(1, 'radish', 'pea'), half(2, 'pea', 'radish')];
    const [one, other] = dividedG({ sowings: halves }, 1000, NOW);
    expect(one! + other!).to.be.closeTo(1000, 1e-9);
    // Heavier seed and plants are of the heavier half.
    expect(other! / one!).to.be.closeTo(onScaleG(halves[1]!, NOW) / onScaleG(halves[0]!, NOW), 1e-9);
    expect(dividedG({ sowings: [halves[0]!] }, 1000, NOW)).to.deep.equal([1000]);
    // A scale that shows what is expected teaches neither of them anything.
    const all = halves.reduce((sum, sowing) => sum + onScaleG(sowing, NOW), 0);
    halves.forEach((sowing, index) => {
      const grossG = dividedG({ sowings: halves }, all, NOW)[index]!;
      expect(grossG).to.be.closeTo(onScaleG(sowing, NOW), 1e-6);
      expect(wrongTrayWeight(sowing, grossG)).to.equal(null);
    });
  });

  it('is amber from four fifths of its rating, and over past it', () => {
    const g = sowingWeightG(tray(1), NOW);
    const state = (ratedG: number | null) => loadOf({ ...shelf, ratedG }, [tray(1)], NOW).state;
    expect(state(null)).to.equal('unrated');
    expect(state(g * 2)).to.equal('fine');
    expect(state(g / 0.85)).to.equal('amber');
    expect(state(g * 0.99)).to.equal('over');
  });
});

describe('a stack', () => {
  const stackedTrays = (cropKey: string, count: number, more: Partial<SowingSetup> = {}) =>
    project(home, radishTray({ cropKey, count, method: methodOf('stack-and-light'), ...more }), [sown()]);
  const STACKED = CROPS.filter(({ key }) => stackedTrays(key, 1).path.cover === 'stacked').map(
    ({ key }) => key
  );

  it('presses its lowest tray with no more than the crop bears, trays and weight together', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STACKED),
        fc.integer({ min: 1, max: 24 }),
        fc.constantFrom<MediumKind>('coir', 'seed-mix', 'hemp-mat', 'paper', 'mesh'),
        (key, count, medium) => {
          const sowing = stackedTrays(key, count, { medium });
          const { stacks, trays, topGCm2, lowestGCm2, mostGCm2 } = stackingOf(sowing);
          expect(stacks * trays).to.be.at.least(count);
          expect((stacks - 1) * trays).to.be.below(count);
          expect(lowestGCm2, key).to.be.at.most(mostGCm2 + 1e-9);
          expect(lowestGCm2).to.be.closeTo(((trays - 1) * wetTrayG(sowing)) / 450 + topGCm2, 1e-9);
          expect(topGCm2).to.be.within(sowing.crop.pressMinGCm2, sowing.path.pressGCm2);
          expect(footprints({ key, sowings: [sowing] })).to.equal(stacks);
          // What the bench says to lay on it is what the shelf carries.
          const onTops = sowingWeightG(sowing, SOWN) - onScaleG(sowing, SOWN);
          expect(onTops).to.be.closeTo(topGCm2 * 450 * stacks, 1e-6);
          const press = stepsOf(sowing).flatMap(({ body }) => (body.kind === 'press' ? [body] : []))[0]!;
          expect(press.pressing!.eachG * stacks).to.be.closeTo(onTops, 1e-6);
          expect(press.pressing!.mostG / 450 + lowestGCm2 - topGCm2).to.be.at.most(mostGCm2 + 1e-9);
        }
      )
    );
  });

  it('is as high as its grower chose, up to 1.5 times what the crop bears, and says by how much it is over', () => {
    for (const key of STACKED) {
      const most = mostInStack(stackedTrays(key, 6));
      for (let stackOf = 1; stackOf <= 7; stackOf += 1) {
        const sowing = stackedTrays(key, 7, { stackOf });
        expect(isStackTooHigh(sowing), `${key} ${stackOf}`).to.equal(stackOf > most);
        if (stackOf > most) continue;
        const stacking = stackingOf(sowing);
        expect(stacking.trays).to.be.at.most(stackOf);
        expect(stacking.lowestGCm2 / stacking.mostGCm2, key).to.be.at.most(1.5);
        const isOver = stacking.lowestGCm2 > stacking.mostGCm2 * 1.005;
        expect(
          /times the .* it can take: seed may be crushed/.test(lowestWords(stacking, 'metric'))
        ).to.equal(isOver);
      }
    }
    const radish = stackingOf(
      stackedTrays('sunflower', 6, { stackOf: mostInStack(stackedTrays('sunflower', 6)) })
    );
    expect(radish.lowestGCm2).to.be.above(radish.mostGCm2);
  });

  it('is none where a wet tray is more than it bears: each stands alone', () => {
    expect(stackingOf(stackedTrays('chia', 3))).to.include({ stacks: 3, trays: 1 });
  });
});

describe('the board', () => {
  it('lays trays side by side within its width, in as many rows as its depth allows, and loses none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 15, max: 60 }),
        (count, widthCm, depthCm) => {
          const trays = Array.from({ length: count }, (_, n) => tray(n));
          const board = boardWith({ ...shelf, widthCm, depthCm }, trays, NOW);
          expect(board.spots.length + board.crowdedOut.length).to.equal(count);
          for (const spot of board.spots) expect(spot.leftCm + spot.widthCm).to.be.at.most(widthCm);
          for (const one of board.spots)
            for (const other of board.spots)
              if (one !== other && one.row === other.row)
                expect(
                  one.leftCm >= other.leftCm + other.widthCm || other.leftCm >= one.leftCm + one.widthCm
                ).to.equal(true);
          expect(board.freeSlots).to.be.at.least(0);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('counts what is free, and tells who stands in light and needs none', () => {
    const covered = project(home, radishTray(), [sown()]);
    const board = boardWith({ ...shelf, widthCm: 80, depthCm: 20 }, [covered, tray(1)], NOW);
    expect([board.spots.length, board.rows, board.freeSlots]).to.deep.equal([2, 1, 1]);
    expect(board.darkInLight.map(({ sowings }) => sowings)).to.deep.equal([[covered]]);
    expect(boardWith({ ...shelf, light: { kind: 'dark' } }, [covered], NOW).darkInLight).to.deep.equal([]);
    expect([needOf(covered), needOf(tray(1))]).to.deep.equal(['dark', 'light']);
    expect(boardOf(shelf)).to.deep.equal({ widthCm: 80, depthCm: 35 });
  });

  it('has one place for a stack until it is taken apart, and for two halves of a container', () => {
    const stack = (events: SowingEvent[]) =>
      boardWith(
        { ...shelf, widthCm: 120, depthCm: 20 },
        [project(home, radishTray({ count: 3, method: methodOf('stack-and-light') }), events)],
        NOW
      ).spots[0]!.widthCm;
    expect(stack([sown()])).to.equal(25);
    expect(stack([sown(), event(50, { type: 'lit' })])).to.equal(25 * 3 + 2 * 2);
    const half = (n: number, besideKey: string) =>
      project(home, radishTray({ id: `half-${n}`, areaShare: 0.5, half: { trayId: 'one', besideKey } }), [
        sown()
      ]);
    const both = boardWith(
      { ...shelf, widthCm: 120, depthCm: 20 },
      [half(1, 'kale'), half(2, 'radish')],
      NOW
    );
    expect(both.spots).to.have.length(1);
    expect(both.spots[0]!.standing.sowings).to.have.length(2);
    // Side by side they would carry as much as they do as one.
    expect(both.load.g).to.be.closeTo(loadOf(shelf, [half(1, 'kale'), half(2, 'radish')], NOW).g, 1e-9);
  });

  it('weighs a move before it is made', () => {
    const standing = project(flat, radishTray(), lit());
    const effect = (to: Place) =>
      moveEffect([standing], [movedTo(flat, standing.setup, lit(), to, NOW)], to, [], NOW);
    expect(effect(warm).laterD).to.be.below(-0.3);
    expect(effect(cool).laterD).to.be.above(0.5);
    expect(effect({ ...cool, light: { kind: 'dark' } }).tooDark).to.equal(true);
    expect(effect({ ...cool, widthCm: 10 }).fits).to.equal(false);
    expect(effect({ ...cool, ratedG: 100 }).load.state).to.equal('over');
    expect(effect({ ...cool, ratedG: 100 }).refused).to.equal(true);
    expect(effect({ ...cool, ratedG: 100, ratingSure: true }).refused).to.equal(false);
  });
});

describe('aiming for a day', () => {
  const course = (days: number) => reach(flat, radishTray(), lit(), NOW + days * DAY, NOW);
  const opens = project(flat, radishTray(), lit()).forecast.marks.windowOpen.p50;

  it('leaves a tray alone that will be ready, and warms one that would be late', () => {
    const inTime = (opens - NOW) / DAY + 1.6;
    expect(course(inTime).outlooks[0]!.course.kind).to.equal('stay');
    expect(course(inTime).nearest).to.equal(null);
    const early = (opens - NOW) / DAY - 0.35;
    const best = course(early).outlooks[0]!;
    expect(best.course).to.deep.include({ kind: 'move' });
    expect(best.course.kind === 'move' && best.course.place.id).to.equal(warm.id);
    expect(best.laterD).to.be.below(0);
  });

  it('holds a tray in the cool for a day after its best, which keeps it longer', () => {
    const closes = project(flat, radishTray(), lit()).forecast.marks.windowClose.p50;
    const late = course((closes - NOW) / DAY + 2);
    const [best] = late.outlooks;
    expect(best!.course.kind).to.not.equal('stay');
    const stay = late.outlooks.find(({ course: { kind } }) => kind === 'stay')!;
    expect(best!.chance).to.be.above(stay.chance);
    expect(late.outlooks.find(({ course: { kind } }) => kind === 'hold')!.keepsD).to.be.above(stay.keepsD);
  });

  it('says the nearest day where a day is out of reach', () => {
    const tomorrow = course(0.2);
    expect(tomorrow.outlooks[0]!.chance).to.be.below(LIKELY);
    expect(tomorrow.nearest!.at).to.be.above(NOW + 0.2 * DAY);
    expect(tomorrow.nearest!.outlook.chance).to.be.at.least(LIKELY);
  });

  it('never has a chance over one, and none before it was sown', () => {
    const projected = project(flat, radishTray(), lit());
    for (let day = -2; day < 30; day += 1) expect(cuttableAt(projected, NOW + day * DAY)).to.be.within(0, 1);
    expect(cuttableAt(projected, SOWN)).to.equal(0);
  });
});

describe('how a window narrows', () => {
  it('is told event by event, each range with what had said so, without what was taken back', () => {
    const look = event(46, { type: 'looked', cue: 'rooted', reached: true });
    const events = [
      sown(),
      event(20, { type: 'looked', cue: 'rooted', reached: false }),
      look,
      event(48, { type: 'misted', waterG: 9 })
    ];
    const steps = narrowing(home, radishTray(), events);
    // A “not yet” long before it is time says nothing new, and a misting nothing at all.
    expect(steps.map(({ event: { body } }) => body.type)).to.deep.equal(['sown', 'looked']);
    const width = ({ open }: (typeof steps)[number]) => open.p90 - open.p10;
    expect(width(steps[1]!)).to.be.below(width(steps[0]!));
    const taken = narrowing(home, radishTray(), [...events, event(50, { type: 'undone', eventId: look.id })]);
    expect(taken.some(({ event: { id } }) => id === look.id)).to.equal(false);
  });

  it('is told of so many looks as can be read, the first and the last among them', () => {
    const looks = Array.from({ length: 160 }, (_, n) =>
      event(30 + n / 2, { type: 'looked', cue: 'windowOpen', reached: false })
    );
    const steps = narrowing(home, radishTray(), [sown(), ...looks]);
    expect(steps.length).to.be.within(5, 24);
    expect(steps[0]!.event.body.type).to.equal('sown');
    const all = project(home, radishTray(), [sown(), ...looks]).forecast.marks.windowOpen;
    expect(steps.at(-1)!.open.p50).to.be.closeTo(all.p50, 15 * 60_000);
  });
});

describe('the light of a place', () => {
  it('comes from a lamp’s watts and distance, less the further off', () => {
    const board = { widthCm: 60, depthCm: 30 };
    expect(lampPpfd(24, 25, board)).to.be.closeTo((24 * 2.2) / (0.85 * 0.55), 1e-9);
    expect(lampPpfd(24, 40, board)).to.be.below(lampPpfd(24, 25, board));
    expect(scorches({ ppfd: 600, distanceCm: 12 })).to.equal(true);
    expect(scorches({ ppfd: 600, distanceCm: 30 })).to.equal(false);
    expect(scorches({ ppfd: 600 })).to.equal(false);
  });

  it('is none in a cupboard, where a crop in light all but stands still', () => {
    expect(placeDli({ ...shelf, light: { kind: 'dark' } }, 43.4, 21)).to.equal(0);
    expect(placeDli({ ...shelf, light: { kind: 'sill', aspect: 'side', back: false } }, 43.4, 21)).to.equal(
      sillDli(43.4, 21, 'side')
    );
    const dark = { ...home, places: new Map([[shelf.id, { ...shelf, light: { kind: 'dark' } as const }]]) };
    expect(project(dark, radishTray(), lit()).forecast.marks.windowOpen.p50).to.be.above(
      project(home, radishTray(), lit()).forecast.marks.windowOpen.p50 + DAY
    );
  });
});
