import { expect } from 'chai';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import type { Crop } from '../../src/core/crops/crop.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import type { Method } from '../../src/core/supplies/methods/method.ts';
import { pathOf } from '../../src/core/supplies/methods/path.ts';
import { bandsOf } from '../../src/core/picture/bands.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import { soonest } from '../../src/core/sowing/soak.ts';
import { project, type Projected } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { MEDIA, type MediumKind } from '../../src/core/supplies/media/medium.ts';
import { longestGapH } from '../../src/core/time/rhythm.ts';
import { mayBeLost } from '../../src/core/water/dry.ts';
import { tooShort } from '../../src/core/water/lasts.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';
import { growerFollows } from '../../src/server/demo/growerFollows.ts';
import { home, radishTray, shelf } from '../support/household.ts';
import { at } from '../support/rhythm.ts';

const START = at('2026-11-02T15:00Z');

/** A sowing of a crop by somebody who does at each round what Brote asks, and nothing else. */
function grow(
  crop: Crop,
  method: Method,
  { pace = 1, medium = 'coir' as MediumKind, household = home } = {}
): Projected {
  const soak = soonest(crop, household.rhythm, START);
  const setup: SowingSetup = radishTray({
    cropKey: crop.key,
    method,
    medium,
    seedsPerCm2: crop.seedsPerCm2.usual,
    soakStartAt: soak.soakStart,
    soakEndAt: soak.soakEnd,
    sowAt: soak.sowAt
  });
  const nature = { pace, vigour: 1, thirst: 1 };
  const end = { until: START + 60 * DAY, cutWhenOpen: true };
  return project(household, setup, growerFollows(household, setup, nature, ['somebody'], chanceFrom(7), end));
}

describe('whoever does what each round asks', () => {
  for (const method of READY_METHODS)
    it(`brings all 45 crops to a cut by “${method.name}”`, () => {
      for (const crop of CROPS) {
        const { state, startAt, path } = grow(crop, method);
        expect(state.stage, crop.key).to.equal('ended');
        expect(state.lost, crop.key).to.equal(null);
        expect(state.cuts, crop.key).to.have.length(1);
        const days = (state.endedAt! - startAt) / DAY;
        expect(days, crop.key).to.be.within(crop.windowOpenD21 * 0.85, crop.windowCloseD21 * 1.2);
        expect(state.soakedAt !== null, `${crop.key} soaked`).to.equal(crop.soakBestH > 0);
        expect(state.litAt !== null, `${crop.key} lit`).to.equal(
          path.lightFrom !== null && path.cover !== 'none'
        );
        if (path.blackout) expect(state.uncoveredAt, `${crop.key} uncovered`).not.to.equal(null);
      }
    });

  it('on every medium, with one round a day and with two: each comes to a cut, or it was said beforehand that it would not', () => {
    const oneRound = { ...home, rhythm: { ...home.rhythm, roundsMin: [1200] } };
    let told = 0;
    for (const household of [home, oneRound])
      for (const medium of MEDIA)
        for (const key of ['radish', 'mustard', 'lettuce', 'pea', 'wheat', 'basil']) {
          const crop = cropOf(key);
          const gapH = longestGapH(household.rhythm);
          const container = { depthCm: 5 };
          if (tooShort({ crop, medium, container, place: shelf, gapH, method: READY_METHODS[0]! }, [])) {
            told += 1;
            continue;
          }
          const grown = grow(crop, READY_METHODS[0]!, { medium, household });
          const { state, startAt } = grown;
          const of = `${key} on ${medium}, ${household.rhythm.roundsMin.length} a day`;
          expect(state.cuts, of).to.have.length(1);
          for (let when = startAt + HOUR; when < state.endedAt!; when += 3 * HOUR)
            expect(mayBeLost(grown, when), of).to.equal(false);
        }
    // Bare trays and paper with one round a day, and what a dry half day kills.
    expect(told).to.be.within(5, 20);
  });

  it('never lets a tray dry out, nor drowns it', () => {
    for (const crop of CROPS) {
      const projected = grow(crop, READY_METHODS[0]!);
      const { state, startAt } = projected;
      for (let when = startAt + HOUR; when < state.endedAt!; when += 3 * HOUR) {
        const { share } = waterAt(projected, when);
        expect(share, `${crop.key} on day ${Math.round((when - startAt) / DAY)}`).to.be.within(0.12, 1);
      }
      for (const fact of state.water)
        if ('addedG' in fact) expect(waterAt(projected, fact.at).share, crop.key).to.be.at.most(1);
    }
  });

  it('is asked for each step once, and for a look no more than twice a day', () => {
    for (const crop of CROPS) {
      const { state } = grow(crop, READY_METHODS[0]!);
      const count = (type: string) => state.log.filter(({ event }) => event.body.type === type).length;
      for (const type of ['soaked', 'drained', 'sown', 'uncovered', 'lit', 'cut'])
        expect(count(type), `${crop.key} ${type}`).to.be.at.most(1);
      expect(
        state.log.every(({ repeat }) => !repeat),
        crop.key
      ).to.equal(true);
      const byDay = new Map<number, number>();
      for (const { event } of state.log)
        if (event.body.type === 'looked') {
          const day = Math.floor(event.at / DAY);
          byDay.set(day, (byDay.get(day) ?? 0) + 1);
        }
      for (const looks of byDay.values()) expect(looks, crop.key).to.be.at.most(3);
    }
  });

  it('finds a slow tray late and a quick one early, and is right about both by the end', () => {
    const radish = CROPS.find(({ key }) => key === 'radish')!;
    const days = [0.8, 1, 1.25].map((pace) => {
      const { state, startAt } = grow(radish, READY_METHODS[0]!, { pace: pace });
      const opened = state.seen.find(({ mark }) => mark === 'windowOpen')!.reachedAt!;
      return (opened - startAt) / DAY;
    });
    days.forEach((day, index) => expect(day).to.be.closeTo(6.5 * [0.8, 1, 1.25][index]!, 1));
  });
});

describe('the bands of a sowing that was grown', () => {
  it('are what happened: in order, without a gap, sure to the end', () => {
    for (const crop of CROPS) {
      const projected = grow(crop, READY_METHODS[0]!);
      const { bands, open } = bandsOf(projected);
      expect(open.seen, crop.key).to.equal(true);
      bands.forEach((band, index) => {
        expect(band.until, `${crop.key} ${band.kind}`).to.be.above(band.from);
        if (index > 0) expect(band.from, `${crop.key} ${band.kind}`).to.equal(bands[index - 1]!.until);
      });
      const lit = bands.find(({ kind }) => kind === 'light');
      if (
        lit &&
        projected.state.litAt !== null &&
        pathOf(crop, READY_METHODS[0]!, 'coir').lightFrom !== 'sown'
      )
        expect(lit.from, crop.key).to.equal(projected.state.litAt);
    }
  });

  it('leave a picture of stubs', () => {
    const projected = grow(
      CROPS.find(({ key }) => key === 'pea')!,
      READY_METHODS[1]!
    );
    const picture = pictureOf(projected, projected.state.endedAt! + DAY);
    expect(picture).to.include({ cover: 'none', light: 'off', lost: false });
    expect(new Set(picture.cut)).to.deep.equal(new Set([1]));
    expect(picture.stems!.heightCm).to.be.above(5);
  });
});
