import { expect } from 'chai';
import fc from 'fast-check';
import { appetiteOf, muchEatenG } from '../../src/core/ahead/appetite.ts';
import { glutOf } from '../../src/core/ahead/glut.ts';
import { later, openedByG, type Opening } from '../../src/core/ahead/opening.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { assumedWords, glutWords, muchEatenWords } from '../../src/words/ahead.ts';

const METRIC = { zone: 'Europe/Madrid', units: 'metric' } as const;
const NOW = Date.parse('2026-11-26T10:00Z');
const opening = (inD: number, g: number, spreadD = 1): Opening => ({
  g,
  p10: NOW + (inD - spreadD) * DAY,
  p50: NOW + inD * DAY,
  p90: NOW + (inD + spreadD * 1.3) * DAY
});

describe('what opens', () => {
  it('opens by the spread of its window: a tenth, half and nine tenths of it where those lie', () => {
    const one = opening(8, 100);
    expect(openedByG(one, one.p10)).to.be.closeTo(10, 0.1);
    expect(openedByG(one, one.p50)).to.be.closeTo(50, 1e-6);
    expect(openedByG(one, one.p90)).to.be.closeTo(90, 0.1);
    expect(openedByG({ ...one, p50: Infinity, p90: Infinity }, NOW + 400 * DAY)).to.equal(0);
  });

  it('never closes again, and is never more than there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (inD, g, atD, more) => {
          const one = opening(inD, g);
          const [first, then] = [openedByG(one, NOW + atD * DAY), openedByG(one, NOW + (atD + more) * DAY)];
          expect(first).to.be.at.least(0);
          expect(then).to.be.within(first - 1e-9, g + 1e-9);
        }
      )
    );
  });
});

describe('a glut', () => {
  it('is none where what opens in a week is what a week eats', () => {
    expect(glutOf([opening(8, 300)], [opening(9, 300)], 90, NOW)).to.equal(null);
  });

  it('is six trays planned in one sitting, with what they come to', () => {
    const six = Array.from({ length: 6 }, (_, n) => opening(8 + n * 0.1, 200));
    const glut = glutOf(six.slice(5), six.slice(0, 5), 90, NOW)!;
    expect(glut.g).to.be.within(1100, 1200);
    expect(glut.addedG).to.be.within(150, 200);
    expect(glut.from).to.be.within(NOW, NOW + 8 * DAY);
    expect(glut.mendD).to.be.within(4, 14);
    expect(glutWords(glut, 90, NOW, METRIC)).to.match(
      /^With this, about 1\.\d+ kg will be ready .*\b\d+ g .*this sowing.*\b90 g a day.*\b630 g/
    );
  });

  it('is mended by the days that it says, and by none fewer', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 25 }), fc.integer({ min: 50, max: 400 })), {
          maxLength: 6
        }),
        fc.integer({ min: 50, max: 400 }),
        fc.integer({ min: 30, max: 150 }),
        (trays, g, appetite) => {
          const standing = trays.map(([inD, grams]) => opening(inD, grams));
          const added = [opening(9, g)];
          const glut = glutOf(added, standing, appetite, NOW);
          if (!glut) return;
          expect(glut.g).to.be.above(7 * appetite);
          if (glut.mendD === null) return;
          const begun = (days: number) => added.map((one) => later(one, days * DAY));
          expect(glutOf(begun(glut.mendD), standing, appetite, NOW)).to.equal(null);
          expect(glutOf(begun(glut.mendD - 1), standing, appetite, NOW)).not.to.equal(null);
        }
      )
    );
  });

  it('is never made by more appetite', () => {
    const standing = [opening(8, 300), opening(9, 300)];
    for (let appetite = 200; appetite > 20; appetite -= 10)
      if (glutOf([opening(10, 200)], standing, appetite, NOW))
        expect(glutOf([opening(10, 200)], standing, appetite - 10, NOW)).not.to.equal(null);
  });

  it('is not said of what is no part of it, and has no mend where one tray is too much by itself', () => {
    expect(glutOf([opening(40, 100)], [opening(8, 900)], 50, NOW)).to.equal(null);
    expect(glutOf([opening(9, 900)], [], 20, NOW)!.mendD).to.equal(null);
  });
});

describe('how much a household eats', () => {
  const eater = (id: string, g: number) => ({ id, name: id, gByWeekday: Array.from({ length: 7 }, () => g) });

  it('is a handful each while nobody has said it, what was said once somebody has, and unknown where that is nothing', () => {
    expect(appetiteOf([], 3)).to.deep.equal({ gD: 60, people: 3, assumed: true });
    const said = appetiteOf([eater('a', 40), eater('b', 15)], 3)!;
    expect(said.gD).to.be.closeTo(55, 1e-9);
    expect(said.assumed).to.equal(false);
    expect(appetiteOf([eater('a', 0)], 1)).to.equal(null);
    expect(assumedWords({ people: 1 }, METRIC)).to.equal(
      'You haven’t said how much you eat, so Brote assumes a handful a day, 20 g.'
    );
    expect(assumedWords({ people: 4 }, METRIC)).to.match(/20 g, for each of the 4 of you\.$/);
  });

  it('is asked back where it is over 500 g a person', () => {
    expect(muchEatenG([eater('all', 1400)], 3)).to.equal(null);
    expect(muchEatenG([eater('all', 1600)], 3)).to.be.closeTo(1600 / 3, 1e-9);
    expect(muchEatenG([eater('a', 600), eater('b', 300)], 1)).to.equal(null);
    expect(muchEatenWords(620, METRIC)).to.match(/^That is about 620 g a day for each person\./);
  });

  it('warns of six trays at once before anybody has said anything', () => {
    const trays = opening(8, 600);
    expect(glutOf([trays], [], appetiteOf([], 1)!.gD, NOW)).not.to.equal(null);
  });
});
