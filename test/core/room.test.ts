import { expect } from 'chai';
import fc from 'fast-check';
import { boardCm, shortagesOf, type Stand } from '../../src/core/ahead/room.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { NOW, shelf } from '../support/ahead.ts';

const dark = { ...shelf, id: 'cellar', name: 'Cellar', light: { kind: 'dark' as const } };
const sill = { ...shelf, id: 'sill', name: 'Sill' };
const stand = (from: number, days: number, more: Partial<Stand> = {}): Stand => ({
  placeId: shelf.id,
  size: 'tray',
  count: 1,
  frontCm: 27,
  widthCm: 18,
  from: NOW + from * DAY,
  until: NOW + (from + days) * DAY,
  ...more
});
const short = (
  wanted: Stand,
  stands: readonly Stand[],
  { place = shelf, owned = null as number | null, needsLight = true, places = [shelf, dark, sill] } = {}
) => shortagesOf([{ ...wanted, placeId: place.id }], needsLight, { places, stands, owned });

// 90 cm wide and 40 deep: two rows of three trays.
const FULL = Array.from({ length: 6 }, (_, n) => stand(0, 5 + n));

describe('room for a sowing', () => {
  it('is a board of rows by its deepest tray', () => {
    expect(boardCm(shelf, 18)).to.equal(2 * 92);
    expect(boardCm(shelf, 30)).to.equal(92);
    expect(boardCm(shelf, 99)).to.equal(92);
  });

  it('is there where nothing stands, and where what stands is gone by then', () => {
    expect(short(stand(0, 10), [])).to.deep.equal([]);
    expect(short(stand(12, 10), FULL)).to.deep.equal([]);
    expect(short(stand(0, 10), FULL.slice(1))).to.deep.equal([]);
  });

  it('is told to be short, with the first day that goes and where else it goes', () => {
    const [board, ...more] = short(stand(0, 10), FULL);
    expect(more).to.deep.equal([]);
    expect(board!.kind).to.equal('board');
    expect(board!.laterMs).to.equal(5 * DAY);
    expect(board!.elsewhere.map(({ id }) => id)).to.deep.equal(['sill']);
    // What roots in the dark alone may stand in the cellar.
    expect(short(stand(0, 10), FULL, { needsLight: false })[0]!.elsewhere.length).to.equal(2);
    // What comes later counts as well: all the while it stands.
    const coming = FULL.map((one) => ({ ...one, from: NOW + 4 * DAY, until: NOW + 9 * DAY }));
    expect(short(stand(0, 10), coming).map(({ kind }) => kind)).to.deep.equal(['board']);
  });

  it('says that a place is dark, where it needs light', () => {
    const [light] = short(stand(0, 10, { placeId: dark.id }), [], { place: dark });
    expect(light).to.deep.include({ kind: 'light', laterMs: null });
    expect(light!.elsewhere.map(({ id }) => id)).to.deep.equal(['shelf', 'sill']);
    expect(short(stand(0, 10, { placeId: dark.id }), [], { place: dark, needsLight: false })).to.deep.equal(
      []
    );
  });

  it('counts containers over all places, and never where nobody has counted', () => {
    const there = [stand(0, 6, { placeId: sill.id })];
    expect(short(stand(2, 10), there)).to.deep.equal([]);
    const [container] = short(stand(2, 10), there, { owned: 1 });
    expect(container).to.deep.include({ kind: 'container', laterMs: 4 * DAY });
    expect(short(stand(2, 10), there, { owned: 2 })).to.deep.equal([]);
    // More than there are goes on no day.
    expect(short(stand(2, 10, { count: 3 }), there, { owned: 2 })[0]!.laterMs).to.equal(null);
  });

  it('is there on the day that is named, whatever stands', () => {
    const stands = fc.array(
      fc.record({ from: fc.integer({ min: -5, max: 20 }), days: fc.integer({ min: 2, max: 15 }) }),
      { maxLength: 14 }
    );
    fc.assert(
      fc.property(stands, fc.integer({ min: 1, max: 4 }), (made, owned) => {
        const all = made.map(({ from, days }) => stand(from, days));
        for (const { kind, laterMs } of short(stand(0, 10), all, { owned })) {
          if (laterMs === null) continue;
          const then = stand(laterMs / DAY, 10);
          expect(short(then, all, { owned }).map((one) => one.kind)).not.to.include(kind);
          expect(laterMs).to.be.above(0);
        }
      })
    );
  });
});
