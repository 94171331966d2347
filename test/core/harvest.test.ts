import { expect } from 'chai';
import fc from 'fast-check';
import { cropOf, CROPS } from '../../src/core/crops/library.ts';
import { densityFactor, heatFactor } from '../../src/core/growth/yield.ts';
import { YIELD_SPREAD, yieldBelief, yieldFactor, yieldMessage } from '../../src/core/growth/yieldLearned.ts';
import { wrongCut } from '../../src/core/harvest/check.ts';
import { expectedAtG, heatOf, wholeYieldG } from '../../src/core/harvest/expected.ts';
import { holdsOf } from '../../src/core/harvest/hold.ts';
import { frontCut, piecesOf, shareOfPieces, standingPieces } from '../../src/core/harvest/pieces.ts';
import { lateCost } from '../../src/core/crops/late.ts';
import { findingRecords, FINDINGS, readyCue, readyOutlook } from '../../src/core/harvest/ready.ts';
import { yieldTaught } from '../../src/core/harvest/taught.ts';
import { findingPicture } from '../../src/core/picture/findingPicture.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { cutStep } from '../../src/core/steps/cut.ts';
import { REFRIGERATOR } from '../../src/core/places/usual.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { event, home, radishTray, shelf, SOWN, sown } from '../support/household.ts';
import { steadyPlace } from '../support/rhythm.ts';

const cell = { name: 'Six', shape: 'cells', lengthCm: 6, widthCm: 6, depthCm: 5, cells: 6 } as const;
const pea = (more: Partial<SowingSetup> = {}): SowingSetup =>
  radishTray({ cropKey: 'pea', seedG: 110, seedsPerCm2: cropOf('pea').seedsPerCm2.usual, ...more });

const grown = (...more: SowingEvent[]): SowingEvent[] => [
  sown(),
  event(60, { type: 'uncovered' }),
  event(84, { type: 'lit' }),
  event(156, { type: 'looked', cue: 'windowOpen', reached: true }),
  ...more
];
const cut = (hours: number, netG: number, share: number, last: boolean, more: object = {}): SowingEvent =>
  event(hours, { type: 'cut', grossG: netG + 20, tareG: 20, share, last, ...more } as EventBody);
const radish = (...more: SowingEvent[]) => project(home, radishTray(), grown(...more));

describe('the law of yield', () => {
  it('has the reference values of density and of heat', () => {
    for (const [crowd, factor] of [
      [0.5, 0.75],
      [1, 1],
      [1.4, 1.105],
      [2.5, 1.25]
    ] as const)
      expect(densityFactor(crowd)).to.be.closeTo(factor, 0.0006);
    expect(heatFactor({ ...cropOf('cilantro'), keepBelowC: 28, maximumC: 33 }, 29)).to.be.closeTo(
      0.72,
      0.001
    );
    expect(heatFactor({ ...cropOf('cilantro'), keepBelowC: 28, maximumC: 33 }, 31)).to.be.closeTo(0.3, 1e-9);
    expect(heatFactor({ ...cropOf('lettuce'), keepBelowC: 26, maximumC: 30 }, 27)).to.be.closeTo(0.65, 0.001);
  });

  it('never gives less for more seed, and never more than half as much again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (crowd, more) => {
          expect(densityFactor(crowd + more)).to.be.at.least(densityFactor(crowd) - 1e-12);
          expect(densityFactor(crowd)).to.be.below(1.5);
        }
      )
    );
  });

  it('is that of the seed that lies there, of the heat it stood in, and of the household', () => {
    const usual = wholeYieldG(radish()).usual;
    expect(usual).to.be.closeTo(103.5, 0.5);
    const thick = project(home, radishTray({ seedG: 11.8 * 1.4 }), grown());
    expect(wholeYieldG(thick).usual / usual).to.be.closeTo(1.105, 0.002);
    const hot = { ...shelf, dayC: 33, nightC: 33 };
    const hothouse = { ...home, places: new Map([[hot.id, hot]]) };
    expect(heatOf(project(hothouse, radishTray(), grown()))).to.be.below(1);
    expect(heatOf(radish())).to.equal(1);
    const generous = { ...home, yields: [{ cropKey: 'radish', message: yieldMessage(150, 100), trays: 1 }] };
    expect(wholeYieldG(project(generous, radishTray(), grown())).usual).to.be.above(usual * 1.2);
  });

  it('learns a household’s factor as the exact posterior does, and shrinks its range with trays', () => {
    const messages = [130, 120, 125].map((gave) => yieldMessage(gave, 100));
    const one = { mean: messages.reduce((sum, { mean }) => sum + mean, 0) / 3, variance: 0.04 / 3 };
    const { mean, variance } = yieldBelief([{ cropKey: 'radish', message: one, trays: 3 }], 'radish');
    // Conjugate by hand: one prior of household and crop together.
    const prior = YIELD_SPREAD.household ** 2 + YIELD_SPREAD.crop ** 2;
    const precision = 1 / prior + 1 / one.variance;
    expect(mean).to.be.closeTo(one.mean / one.variance / precision, 1e-9);
    expect(variance).to.be.closeTo(1 / precision, 1e-9);
    const other = yieldBelief([{ cropKey: 'radish', message: one, trays: 3 }], 'kale');
    expect(other.mean).to.be.within(0, mean);
    const [fresh, learned] = [yieldFactor(yieldBelief(undefined, 'radish')), yieldFactor({ mean, variance })];
    expect(learned.high / learned.low).to.be.below(fresh.high / fresh.low);
  });

  it('teaches by weighed cuts alone, early ones as early ones', () => {
    const asNew = (...more: SowingEvent[]) =>
      yieldTaught(project(home, radishTray(), grown(...more), { asIfNew: true }));
    expect(asNew()).to.equal(null);
    expect(asNew(event(170, { type: 'ended', reason: 'mould' }))).to.equal(null);
    const whole = asNew(cut(160, 207, 1, true))!;
    expect(Math.exp(whole.mean)).to.be.within(1.85, 2.01);
    const parts = asNew(cut(160, 103.5, 0.5, false), cut(161, 103.5, 0.5, true))!;
    expect(parts.mean).to.be.closeTo(whole.mean, 0.01);
    // Long past its window nothing is promised, and nothing learned.
    expect(asNew(cut(900, 20, 1, true))).to.equal(null);
  });
});

describe('whether a crop is ready', () => {
  it('has a cue, three pictures and a cost of waiting for every crop there is', () => {
    for (const crop of CROPS) {
      expect(readyCue(crop), crop.key).to.be.a('string');
      expect(lateCost(crop), crop.key).to.be.a('string');
      const heights = FINDINGS.map((finding) => findingPicture(crop, finding).stems!.heightCm);
      expect(heights, crop.key).to.deep.equal([...heights].sort((a, b) => a - b));
    }
    expect(
      ['wheat', 'maize-shoot', 'pea', 'radish', 'basil'].map((key) => readyCue(cropOf(key)))
    ).to.deep.equal(['second-leaf', 'dome-lifting', 'tips', 'seed-leaves', 'true-leaf']);
  });

  it('says in grams what earlier costs, rising to its best day and nothing past its close', () => {
    const tray = project(home, radishTray(), [
      sown(),
      event(60, { type: 'uncovered' }),
      event(84, { type: 'lit' })
    ]);
    const { windowOpen, windowBest, windowClose } = tray.forecast.marks;
    let before = -1;
    for (let at = SOWN; at <= windowBest.p50; at += DAY / 4) {
      const { usual } = expectedAtG(tray, at);
      expect(usual).to.be.at.least(before);
      before = usual;
    }
    const early = readyOutlook(tray, windowOpen.p50 - 1.5 * DAY);
    expect(early.nowG).to.be.within(1, early.best.g - 5);
    expect(expectedAtG(tray, windowOpen.p50).usual).to.be.closeTo(103.5, 0.5);
    expect(expectedAtG(tray, windowBest.p50).usual).to.be.closeTo(103.5 * 1.1, 0.6);
    const late = readyOutlook(tray, windowClose.p50 + DAY);
    expect([late.nowG, late.past]).to.deep.equal([0, true]);
    expect(cutStep(tray, windowClose.p50 + DAY)).to.include({ expectedG: 0, past: true });
  });

  it('moves the window by the answer', () => {
    const tray = project(home, radishTray(), grown().slice(0, 3));
    const at = tray.forecast.marks.windowOpen.p50;
    const answered = (finding: (typeof FINDINGS)[number]) =>
      project(home, radishTray(), [
        ...grown().slice(0, 3),
        ...findingRecords(tray.crop, finding).map((body) => event((at - SOWN) / 3_600_000, body))
      ]);
    expect(answered('not-yet').forecast.marks.windowOpen.p50).to.be.above(at + DAY / 4);
    expect(answered('ready').forecast.marks.windowOpen.seen).to.equal(true);
    expect(readyOutlook(answered('past'), at).turned).to.equal(true);
  });

  it('buys time in the cool, and none in the dark that the cold does not buy', () => {
    const cellar = {
      ...steadyPlace(14),
      id: '00000000-0000-4000-8000-000000000003',
      name: 'Cellar',
      light: { kind: 'dark' } as const
    };
    const bright = { ...steadyPlace(14), id: '00000000-0000-4000-8000-000000000004', name: 'Cold lamp' };
    const household = { ...home, places: new Map([shelf, cellar, bright].map((place) => [place.id, place])) };
    const events = grown();
    const tray = project(household, radishTray(), events);
    const holds = holdsOf(household, tray, events, SOWN + 190 * HOUR);
    expect(holds.map(({ place }) => place.name)).to.have.members(['Cellar', 'Cold lamp']);
    const [one, other] = holds;
    // Ripe, it ages by warmth alone: as long in the dark as under a lamp, only paler.
    expect(one!.closesAt).to.be.closeTo(other!.closesAt, 1_800_000);
    expect(one!.buysMs).to.be.above(DAY);
    expect(holds.find(({ place }) => place.name === 'Cellar')!.dim).to.equal(true);
    expect(holdsOf({ ...home, places: new Map([[shelf.id, shelf]]) }, tray, events, SOWN)).to.deep.equal([]);
  });

  describe('in a refrigerator', () => {
    const fridge = { ...REFRIGERATOR, id: '00000000-0000-4000-8000-0000000000f1', name: 'Refrigerator' };
    const household = { ...home, places: new Map([shelf, fridge].map((place) => [place.id, place])) };
    const HOURS = 170;
    const openAt = SOWN + HOURS * HOUR;
    const ripe = (cropKey: string) =>
      [
        sown(),
        event(60, { type: 'uncovered' }),
        event(84, { type: 'lit' }),
        event(HOURS, { type: 'looked', cue: 'windowOpen', reached: true })
      ].slice(0, cropKey === 'radish' ? 4 : 3);
    const held = (hours: number, cropKey = 'radish') =>
      project(household, radishTray({ cropKey }), [
        ...ripe(cropKey),
        event(hours, { type: 'moved', placeId: fridge.id })
      ]);

    it('keeps a ripe tray for the crop’s keeping days and no longer, of every crop that bears the cold', () => {
      const { windowOpen, windowBest, windowClose } = held(HOURS + 1).forecast.marks;
      const { keepsMinD, keepsMaxD } = cropOf('radish');
      const days = (at: number) => (at - openAt) / DAY;
      expect(days(windowClose.p10)).to.be.within(keepsMinD * 0.8, keepsMaxD);
      expect(days(windowClose.p50)).to.be.within(keepsMinD, keepsMaxD);
      expect(days(windowClose.p90)).to.be.within(keepsMinD, keepsMaxD);
      expect(windowBest.p50).to.be.within(windowOpen.p50, windowClose.p10);
      for (const crop of CROPS) {
        const here = project(household, radishTray({ cropKey: crop.key }), ripe(crop.key));
        const { windowOpen: opens, windowClose: closes } = here.forecast.marks;
        const now = (opens.p50 * 3 + closes.p50) / 4;
        const [hold] = holdsOf(household, here, ripe(crop.key), now);
        if (hold) expect((hold.closesAt - now) / DAY, crop.key).to.be.at.most(crop.keepsMaxD);
        if (crop.keepAtC > 6) expect(hold, crop.key).to.equal(undefined);
      }
    });

    it('keeps a tray that is nearly over for what is left of its window', () => {
      const warm = project(household, radishTray(), ripe('radish')).forecast.marks;
      const late = openAt + (warm.windowClose.p50 - openAt) * 0.8;
      const { windowClose } = held((late - SOWN) / HOUR).forecast.marks;
      expect((windowClose.p50 - late) / DAY).to.be.below(cropOf('radish').keepsMaxD * 0.4);
    });

    it('is not offered to what is not ripe yet, and makes nothing ripe', () => {
      const young = project(household, radishTray(), ripe('radish').slice(0, 3));
      expect(holdsOf(household, young, ripe('radish').slice(0, 3), SOWN + 90 * HOUR)).to.deep.equal([]);
      expect(held(90, 'sunflower').suit.hindered).to.equal('cold');
    });
  });
});

describe('cutting piece by piece', () => {
  const state = (cutShare: number, ...pieces: number[]) => ({ cutShare, cutPieces: new Set(pieces) });

  it('takes cells of a cell tray and strips of any other, through all its containers', () => {
    expect(piecesOf(radishTray())).to.deep.equal({ kind: 'strips', each: 12, containers: 1, total: 12 });
    expect(piecesOf(radishTray({ container: cell, count: 2 }))).to.include({
      kind: 'cells',
      each: 6,
      total: 12
    });
    expect(piecesOf(radishTray({ container: cell, areaShare: 0.5 }))).to.include({ each: 3, total: 3 });
  });

  it('comes to the whole whatever the order, and never to more', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.infiniteStream(fc.integer({ min: 0, max: 999 })), (cells, chance) => {
        const setup = radishTray(cells ? { container: cell, count: 2 } : {});
        let cutShare = 0;
        const gone = new Set<number>();
        while (cutShare < 0.999) {
          const standing = standingPieces(setup, { cutShare, cutPieces: gone });
          expect(standing.length).to.be.above(0);
          const count = 1 + ((chance.next().value as number) % standing.length);
          const picked = standing.slice(0, count);
          const share = shareOfPieces(setup, { cutShare, cutPieces: gone }, picked);
          expect(share).to.be.within(0.001, 1 - cutShare + 1e-9);
          cutShare += share;
          for (const piece of picked) gone.add(piece);
        }
        expect(cutShare).to.be.closeTo(1, 1e-9);
      }),
      { numRuns: 60 }
    );
  });

  it('leaves in the drawing what is left: strips where they were cut, and the row behind of a cell', () => {
    expect(frontCut(radishTray(), state(0))).to.deep.equal([]);
    expect(frontCut(radishTray(), state(1 / 12, 3)).indexOf(1)).to.equal(3);
    expect(frontCut(radishTray({ container: cell }), state(1 / 6, 1))).to.deep.equal([0, 0.5, 0]);
    expect(frontCut(radishTray({ container: cell }), state(2 / 6, 1, 4))).to.deep.equal([0, 1, 0]);
    // What was cut by its share alone, before pieces were known, was cut from the end.
    expect(frontCut(radishTray(), state(0.5))).to.deep.equal([0, 0, 0, 0, 0, 0, 1, 1, 1, 1, 1, 1]);
    const tray = radish(cut(160, 20, 2 / 12, false, { pieces: [0, 1] }));
    expect(pictureOf(tray, SOWN + 161 * 3_600_000).cut.slice(0, 3)).to.deep.equal([1, 1, 0]);
    expect(cutStep(tray, SOWN + 161 * 3_600_000).expectedG).to.be.within(
      (103.5 * 10) / 12,
      (103.5 * 11) / 12
    );
  });

  it('refuses what cannot be: more than stands, a piece twice, a tray that failed or was never sown', () => {
    const code = (tray: ReturnType<typeof radish>, body: object) =>
      wrongCut(tray, { type: 'cut', grossG: 50, tareG: 0, share: 0.5, last: false, ...body } as never)?.code;
    expect(code(radish(), {})).to.equal(undefined);
    expect(code(radish(cut(160, 60, 0.75, false)), {})).to.equal('cut-more-than-stands');
    expect(code(radish(cut(160, 10, 1 / 12, false, { pieces: [2] })), { pieces: [2, 3] })).to.equal(
      'cut-before'
    );
    expect(code(radish(event(160, { type: 'ended', reason: 'mould' })), {})).to.equal('cut-given-up');
    expect(code(radish(cut(160, 90, 1, true)), {})).to.equal('cut-ended');
    expect(code(project(home, radishTray(), []), {})).to.equal('cut-not-sown');
    expect(code(radish(), { again: true })).to.equal('cut-no-regrowth');
  });
});

describe('a crop that grows again', () => {
  const first = [
    sown(),
    event(90, { type: 'uncovered' }),
    event(130, { type: 'lit' }),
    event(260, { type: 'looked', cue: 'windowOpen', reached: true })
  ];
  const again = cut(264, 250, 1, true, { again: true });

  it('starts from its stub with a window of its own, shorter than from seed and weaker', () => {
    const tray = project(home, pea(), [...first, again]);
    expect(tray.state.stage).to.equal('light');
    expect(tray.state.cutShare).to.equal(0);
    const opens = tray.forecast.marks.windowOpen.p50;
    expect(opens).to.be.above(again.at + 2 * DAY);
    expect(opens - again.at).to.be.below(tray.firstGrowth!.marks.windowOpen.p50 - SOWN);
    expect(wholeYieldG(tray).usual).to.be.below(wholeYieldG(project(home, pea(), first)).usual);
    const heightAt = (at: number) => pictureOf(tray, at).stems?.heightCm ?? 0;
    expect(heightAt(again.at + DAY / 8)).to.be.below(heightAt(opens) / 2);
  });

  it('is ended by its last cut, and taught of its pace and yield by its first growth alone', () => {
    const events = [
      ...first,
      again,
      event(400, { type: 'looked', cue: 'windowOpen', reached: true }),
      cut(410, 90, 1, true)
    ];
    const tray = project(home, pea(), events, { asIfNew: true });
    expect(tray.state.stage).to.equal('ended');
    expect(tray.state.cuts.map(({ growth }) => growth)).to.deep.equal([0, 1]);
    const alone = project(home, pea(), [...first, cut(264, 250, 1, true)], { asIfNew: true });
    expect(yieldTaught(tray)).to.deep.equal(yieldTaught(alone));
  });

  it('stands as it stood where that cut is taken back', () => {
    const back = project(home, pea(), [...first, again, event(265, { type: 'undone', eventId: again.id })]);
    expect(back.firstGrowth).to.equal(null);
    expect(back.forecast.marks.windowOpen.p50).to.equal(
      project(home, pea(), first).forecast.marks.windowOpen.p50
    );
  });
});
