import { expect } from 'chai';
import type { Place } from '../../src/core/places/place.ts';
import { sureWaterings, type Stop } from '../../src/core/steps/walk.ts';
import { cutOf, inColumns } from '../../src/ui/round/columns.ts';

/** A stop with so many steps; none needs nothing. */
const stop = (key: string, steps: number): Stop =>
  ({
    key,
    parts: [{ ask: { look: null, staysCoveredUntil: null, notes: [] } }],
    steps: Array.from({ length: steps }, () => ({}))
  }) as unknown as Stop;
const at = (id: string, ...stops: Stop[]) => ({ place: { id } as Place, stops });

describe('the two columns of a round', () => {
  it('follow the walk, and go on with a place that is cut in two', () => {
    const groups = [at('top', stop('a', 1), stop('b', 1), stop('c', 1)), at('sill', stop('d', 1))];
    const read = inColumns(groups, 2).map((column) =>
      column.map(({ place, stops, continued }) => [place.id, stops.map(({ key }) => key).join(), continued])
    );
    expect(read).to.deep.equal([
      [['top', 'a,b', false]],
      [
        ['top', 'c', true],
        ['sill', 'd', false]
      ]
    ]);
  });

  it('are about equally tall', () => {
    const alike = at('top', ...['a', 'b', 'c', 'd', 'e', 'f'].map((key) => stop(key, 1)));
    expect(cutOf([alike], 0)).to.equal(3);
    // One tray that needs a great deal weighs as much as four that need nothing.
    const uneven = at('top', stop('a', 3), ...['b', 'c', 'd', 'e'].map((key) => stop(key, 0)));
    expect(cutOf([uneven], 0)).to.equal(1);
    // The washing-up comes last.
    expect(cutOf([alike], 12)).to.be.above(3);
  });

  it('have a place’s waterings taken together, but for a tray that is to be felt first', () => {
    const watered = (key: string, kind: string, note?: string) =>
      ({
        key,
        parts: [{ ask: { notes: note ? [{ kind: note }] : [] } }],
        steps: [
          { key, body: { kind }, of: [{ records: {} }] },
          { key: `${key} turn`, body: { kind: 'turn' }, of: [{ records: {} }] }
        ]
      }) as unknown as Stop;
    const stops = [
      watered('a', 'water'),
      watered('b', 'water', 'unsure'),
      watered('c', 'mist'),
      watered('d', 'water')
    ];
    expect(sureWaterings(stops).map(({ key }) => key)).to.deep.equal(['a', 'd']);
  });

  it('are one where there is one tray, and none where there is none', () => {
    expect(cutOf([at('top', stop('a', 2))], 0)).to.equal(1);
    expect(cutOf([], 0)).to.equal(0);
    expect(inColumns([], 0)).to.deep.equal([[], []]);
  });
});
