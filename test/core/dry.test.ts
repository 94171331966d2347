import { expect } from 'chai';
import fc from 'fast-check';
import { cropOf } from '../../src/core/crops/library.ts';
import { pictureOf } from '../../src/core/picture/picture.ts';
import { project } from '../../src/core/sowing/project.ts';
import { isCuttable } from '../../src/core/steps/cut.ts';
import { MEDIA, type MediumKind } from '../../src/core/supplies/media/medium.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { longestGapH } from '../../src/core/time/rhythm.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { capacityG, lossGPerDay, poolG } from '../../src/core/water/bucket.ts';
import { mayBeLost } from '../../src/core/water/dry.ts';
import { dryIfMissedH, lastsH, mediumLastsH, tooShort } from '../../src/core/water/lasts.ts';
import { trackOf, waterAt } from '../../src/core/water/level.ts';
import { tooShortWords } from '../../src/words/lasting.ts';
import { NEW_THIRST } from '../../src/core/water/thirst.ts';
import { asked } from '../support/asking.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const air = { tempC: 21, humidityPct: 50, movingAir: false };
const container = { depthCm: 5 };
const crop = cropOf('radish');
const on = (medium: MediumKind) => ({
  crop,
  medium,
  container,
  place: shelf,
  gapH: 24,
  method: DEFAULT_METHOD
});

describe('a thin medium', () => {
  it('holds, loses and lasts by the reference values', () => {
    expect(capacityG(450, 1, 'hemp-mat')).to.be.closeTo(202.5, 1e-9);
    expect(lossGPerDay(450, 'canopy', air)).to.be.closeTo(117.5, 0.06);
    expect(202.5 + poolG(450, { medium: 'hemp-mat', reservoirMl: null }, 500)).to.be.closeTo(337.5, 1e-9);
    expect(lastsH(on('hemp-mat'))).to.be.closeTo(48.3, 0.1);
    expect(mediumLastsH(on('hemp-mat'))).to.be.closeTo(28.9, 0.1);
  });

  it('has a pool from first light on, no deeper than what goes until somebody comes by again', () => {
    const mat = project(home, radishTray({ medium: 'hemp-mat' }), [
      sown(),
      event(48, { type: 'uncovered' }),
      event(77, { type: 'lit' })
    ]);
    const track = trackOf(mat);
    expect(track.belowG(SOWN + 76 * HOUR)).to.equal(0);
    // As much as goes there, where the household loses a deviation more than is expected.
    const most = Math.exp(Math.sqrt(NEW_THIRST.variance));
    const gap = (most * lossGPerDay(450, 'lastThird', air) * longestGapH(home.rhythm)) / 24;
    expect(track.belowG(SOWN + 78 * HOUR)).to.be.closeTo(Math.min(135, gap), 0.1);
    expect(waterAt(mat, SOWN + 78 * HOUR).isPool).to.equal(true);
    expect(trackOf(project(home, radishTray(), [sown()])).belowG(SOWN + 78 * HOUR)).to.equal(0);
  });

  it('is poured under, at every round where it needs that, and is never believed to run over', () => {
    const { steps } = asked(90, [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })], {
      medium: 'hemp-mat'
    });
    const water = steps.find(({ body }) => body.kind === 'water')!.body;
    expect(water).to.include({ kind: 'water', how: 'below' });
  });
});

describe('whether a tray lasts from one round to the next', () => {
  it('is said before it is sown, with what would mend it', () => {
    expect(tooShort(on('coir'), [])).to.equal(null);
    const hot = { ...shelf, id: 'hot', name: 'Over the radiator', dayC: 27, nightC: 27, humidityPct: 35 };
    const paper = tooShort({ ...on('paper'), place: hot }, [hot, shelf])!;
    expect(paper.lastsH).to.be.below(24);
    const words = tooShortWords(paper);
    expect(words).to.match(/^In full leaf it lasts about \d+ h here, and your rounds are up to 24 h apart/);
    expect(words).to.include('What would help');
    expect(tooShortWords(null)).to.equal('');
  });

  it('comes through a round that is missed, or it is said that it would not', () => {
    const bare = { ...on('none'), gapH: 14 };
    expect(lastsH(bare)).to.be.above(14);
    expect(dryIfMissedH({ ...bare, medium: 'coir' })).to.equal(0);
    expect(tooShort({ ...bare, crop: cropOf('mizuna') }, [])).to.equal(null);
    const lettuce = tooShort({ ...bare, crop: cropOf('lettuce') }, [])!;
    expect(lettuce.missed!.dryH).to.be.above(12);
    expect(tooShortWords(lettuce)).to.match(
      /If you miss one, it may stand dry for \d+ h, and it bears about 12 h/
    );
    const hot = { ...shelf, id: 'hot', name: 'Over the radiator', dayC: 27, nightC: 27, humidityPct: 35 };
    expect(tooShort({ ...on('none'), place: hot }, [])!.missed, 'one round a day is too few').to.equal(null);
    // A full tray of coir bridges two days of one round for radish, and not for lettuce, which wilts within half a day.
    expect(tooShort({ ...on('coir'), crop: cropOf('radish') }, [])).to.equal(null);
    const once = tooShort({ ...on('coir'), crop: cropOf('lettuce') }, [])!;
    expect(once.missed!.dryH).to.be.above(once.missed!.bearsH);
    expect(once.mends[0]).to.deep.equal({ kind: 'round', gapH: 14 });
  });

  it('every mend that is offered does what it says', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MEDIA),
        fc.constantFrom('radish', 'lettuce', 'mizuna'),
        fc.integer({ min: 15, max: 32 }),
        fc.integer({ min: 25, max: 75 }),
        fc.constantFrom(12, 14, 24),
        (medium, key, dayC, humidityPct, gapH) => {
          const place = { ...shelf, id: 'here', dayC, nightC: dayC, humidityPct };
          const setting = {
            method: DEFAULT_METHOD,
            crop: cropOf(key),
            medium,
            container,
            place,
            gapH
          };
          const short = tooShort(setting, [place, shelf]);
          if (!short) return;
          if (short.missed) expect(short.missed.dryH).to.be.above(short.missed.bearsH);
          else expect(short.lastsH).to.be.below(gapH);
          for (const mend of short.mends)
            if (mend.kind === 'medium')
              expect(tooShort({ ...setting, medium: mend.medium }, [])).to.equal(null);
            else if (mend.kind === 'place')
              expect(tooShort({ ...setting, place: mend.place }, [])).to.equal(null);
            else expect(tooShort({ ...setting, gapH: mend.gapH }, [])).to.equal(null);
        }
      )
    );
  });

  it('knows the longest gap of a day, over midnight as well', () => {
    expect(longestGapH({ roundsMin: [450] })).to.equal(24);
    expect(longestGapH({ roundsMin: [450, 1230] })).to.equal(13);
  });
});

describe('a tray that nobody watered', () => {
  const lit = [sown(), event(48, { type: 'uncovered' }), event(77, { type: 'lit' })];
  const tray = (...more: Parameters<typeof project>[2]) =>
    project(home, radishTray({ medium: 'hemp-mat' }), [...lit, ...more]);
  const at = (hours: number) => SOWN + hours * HOUR;

  it('is drawn hanging, asked after first, and never ready to cut, once it has been dry for longer than it bears', () => {
    const dry = tray();
    expect(mayBeLost(dry, at(90))).to.equal(false);
    expect(mayBeLost(dry, at(200))).to.equal(true);
    expect(isCuttable(dry, at(200))).to.equal(false);
    expect(pictureOf(dry, at(200)).stems!.hang).to.equal(1);
    expect(pictureOf(dry, at(80)).stems!.hang).to.equal(0);
    const { notes, steps } = asked(200, lit, { medium: 'hemp-mat' });
    expect(notes[0]!.kind).to.equal('may-be-lost');
    expect(steps.some(({ body }) => body.kind === 'cut')).to.equal(false);
  });

  it('stands again by one look, or by water', () => {
    const stands = tray(event(199, { type: 'felt', moisture: 'right' }));
    expect(mayBeLost(stands, at(200))).to.equal(false);
    expect(isCuttable(stands, at(200))).to.equal(true);
    expect(mayBeLost(tray(event(199, { type: 'watered', waterG: 150 })), at(200))).to.equal(false);
  });

  it('is asked to be touched while it is believed nearly dry', () => {
    const kinds = (hours: number) => asked(hours, lit, { medium: 'hemp-mat' }).notes.map(({ kind }) => kind);
    expect([100, 104, 108, 112, 116, 120].some((hours) => kinds(hours).includes('touch-it'))).to.equal(true);
    expect(kinds(80)).not.to.include('touch-it');
  });

  it('bears longer where its crop does, and under a lid', () => {
    const lostAt = (cropKey: string): number => {
      const sowing = project(home, radishTray({ medium: 'hemp-mat', cropKey }), lit);
      for (let hours = 77; hours < 400; hours += 3) if (mayBeLost(sowing, at(hours))) return hours;
      return Infinity;
    };
    expect(lostAt('cress-garden')).to.be.below(lostAt('mustard'));
    expect(lostAt('mustard')).to.be.below(lostAt('radish'));
    const covered = project(home, radishTray({ medium: 'hemp-mat' }), [sown()]);
    expect(mayBeLost(covered, at(200))).to.equal(false);
  });
});
