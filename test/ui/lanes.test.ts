import { expect } from 'chai';
import type { Row } from '../../src/core/ahead/rows.ts';
import { DATES, HEADING, laneAt, lanesOf, ROW } from '../../src/ui/ahead/lanes.ts';

const row = (key: string, placeId: string) => ({ key, placeId }) as Row;
const PLACES = [
  { id: 'sill', name: 'Sill' },
  { id: 'empty', name: 'Attic' },
  { id: 'shelf', name: 'Shelf' }
];

describe('the lanes of the weeks ahead', () => {
  const lanes = lanesOf([row('a', 'shelf'), row('b', 'sill'), row('c', 'shelf')], PLACES);

  it('hold each row once, under its place, in the order it was given', () => {
    expect(lanes.map(({ rows }) => rows.map((one) => one.row.key))).to.deep.equal([['b'], [], ['a', 'c']]);
    expect(lanes.map(({ name }) => name)).to.deep.equal(['Sill', 'Attic', 'Shelf']);
  });

  it('follow each other without a gap', () => {
    expect(lanes[0]!.top).to.equal(DATES);
    for (let n = 1; n < lanes.length; n += 1) expect(lanes[n]!.top).to.equal(lanes[n - 1]!.bottom);
    expect(lanes[1]!.bottom - lanes[1]!.top).to.equal(HEADING);
    expect(lanes[2]!.rows[1]!.y).to.equal(lanes[2]!.top + HEADING + ROW);
  });

  it('are found by height, the first above all and the last under all', () => {
    expect(laneAt(lanes, -50)!.placeId).to.equal('sill');
    expect(laneAt(lanes, lanes[1]!.top)!.placeId).to.equal('empty');
    expect(laneAt(lanes, lanes[2]!.bottom - 1)!.placeId).to.equal('shelf');
    expect(laneAt(lanes, 9999)!.placeId).to.equal('shelf');
    expect(laneAt([], 10)).to.equal(undefined);
  });
});
