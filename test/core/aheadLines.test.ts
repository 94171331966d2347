import { expect } from 'chai';
import { buildProblem } from '../../src/core/ahead/build.ts';
import { greedy } from '../../src/core/ahead/greedy.ts';
import { standsNow } from '../../src/core/ahead/problem.ts';
import { darkSharesOf, oversOf, usesOf, type Occupancy } from '../../src/core/ahead/uses.ts';
import { linesOf } from '../../src/core/ahead/lines.ts';
import type { Proposed } from '../../src/core/ahead/proposal.ts';
import { DAY } from '../../src/core/time/zone.ts';
import { dayIndex } from '../../src/core/ahead/horizon.ts';
import { rowsOf } from '../../src/core/ahead/rows.ts';
import { project } from '../../src/core/sowing/project.ts';
import { overWords } from '../../src/words/ahead.ts';
import { aheadInput, NOW, RHYTHM, shelf } from '../support/ahead.ts';
import { radishTray } from '../support/household.ts';

const change = (
  kind: Proposed['kind'],
  key: string,
  day: number,
  { crop = 'Radish', container = 'Tray', count = 1 } = {}
) =>
  ({
    kind,
    count,
    row: { key, crops: [crop], container, count, beginsAt: NOW + day * DAY }
  }) as unknown as Proposed;

describe('the lines of a proposal', () => {
  it('are a move where the same crop in the same container goes to another day', () => {
    const out = change('leave-out', 'a', 4);
    const [line, ...more] = linesOf([change('begin', 'new 1', 7), out]);
    expect(more).to.deep.equal([]);
    expect(line).to.include({ kind: 'move', key: 'new 1', instead: out });
    expect(line!.changes.map(({ kind }) => kind)).to.deep.equal(['leave-out', 'begin']);
  });

  it('are no move of another crop, container or number, nor of weeks', () => {
    for (const other of [
      change('leave-out', 'a', 4, { crop: 'Pea' }),
      change('leave-out', 'a', 4, { container: 'Pot' }),
      change('leave-out', 'a', 4, { count: 2 }),
      change('leave-out', 'a', 30)
    ])
      expect(linesOf([change('begin', 'new 1', 7), other]).map(({ kind }) => kind)).to.have.members([
        'begin',
        'leave-out'
      ]);
  });

  it('hold every change once, the nearest moved, by the days on which they come', () => {
    const changes = [
      change('leave-out', 'a', 2),
      change('begin', 'new 1', 3),
      change('leave-out', 'b', 6),
      change('begin', 'new 2', 12, { crop: 'Pea' })
    ];
    const lines = linesOf(changes);
    expect(lines.map(({ kind, instead }) => [kind, instead?.row.key])).to.deep.equal([
      ['move', 'a'],
      ['leave-out', undefined],
      ['begin', undefined]
    ]);
    expect(lines.flatMap((line) => line.changes)).to.have.members(changes);
  });
});

describe('how full it is', () => {
  const use = (shares: number[]): Occupancy => ({
    kind: 'container',
    id: 'tray',
    name: 'Tray',
    total: 5,
    shares
  });

  it('is over where more is on the list than there is, each stretch once', () => {
    const overs = oversOf([use([0, 1, 1.5, 2, 1, 1.25]), use([1, 1.0000001, 0])]);
    expect(overs.map(({ from, until }) => [from, until])).to.deep.equal([
      [2, 3],
      [5, 5]
    ]);
  });

  it('goes by what is begun, and by what is only proposed', () => {
    const { problem } = buildProblem(aheadInput());
    const none = usesOf(problem, standsNow(problem));
    expect(none.every(({ shares }) => shares.every((share) => share === 0))).to.equal(true);
    const { counts } = greedy(problem);
    const planned = usesOf(problem, counts);
    expect(planned.some(({ shares }) => Math.max(...shares) > 0)).to.equal(true);
    expect(oversOf(planned)).to.deep.equal([]);
    expect(planned.every(({ kind }) => kind === 'board' || kind === 'container')).to.equal(true);
  });

  it('says which of what is planned is too much, how much there is, and what to do', () => {
    const use: Occupancy = {
      kind: 'container',
      id: 'tray',
      name: 'Tray',
      total: 2,
      shares: [1, 1.5, 1.5, 1]
    };
    const [over] = oversOf([use]);
    const name = (day: number): string => `day ${day}`;
    const rows = ['Radish', 'Pea shoots', 'Radish'].map((crop) => ({ crops: [crop], count: 1 }));
    expect(overWords(over!, rows, name)).to.equal(
      'From day 1 to day 2 you would need 3 × Tray and have 2. Move radish or pea shoots to another day, or choose another container.'
    );
    const board = { ...over!, use: { ...use, kind: 'board' as const, name: 'Shelf' } };
    expect(overWords(board, [], name)).to.equal(
      'From day 1 to day 2 Shelf has no room for all that is planned there. Move one of them to another day or place.'
    );
  });

  it('is in the dark until the day on which it comes to light, and never fuller there than the board', () => {
    const facts = { rhythm: RHYTHM, latitudeDeg: 43.4, places: new Map([[shelf.id, shelf]]) };
    const setups = ['radish', 'pea', 'maize-shoot', 'lettuce'].map((cropKey, index) =>
      radishTray({ id: `s${index}`, cropKey, placeId: shelf.id, sowAt: NOW + index * DAY })
    );
    const sowings = setups.map((setup) => project(facts, setup, []));
    const input = aheadInput({ sowings });
    const { problem } = buildProblem({ ...input, growables: [] });
    const board = usesOf(problem, standsNow(problem)).find(
      ({ kind, id }) => kind === 'board' && id === shelf.id
    )!;
    const rows = rowsOf(sowings, () => ({ kind: 'planned', locked: false, order: null }));
    const dark = darkSharesOf(board, rows, input.horizon, RHYTHM);
    dark.forEach((share, day) => expect(share, String(day)).to.be.at.most(board.shares[day]! + 1e-9));
    const days = (cropKey: string) => {
      const row = rows[setups.findIndex((setup) => setup.cropKey === cropKey)]!;
      const of = darkSharesOf(board, [row], input.horizon, RHYTHM);
      return [of.filter((share) => share > 0).length, row] as const;
    };
    const [radish, row] = days('radish');
    const litOn = dayIndex(input.horizon, RHYTHM, row.litAt);
    expect(radish).to.equal(litOn - dayIndex(input.horizon, RHYTHM, row.startAt));
    expect(days('lettuce')[0], 'in light from sowing on').to.equal(0);
    expect(days('maize-shoot')[0], 'dark to the end').to.be.above(7);
    expect(
      darkSharesOf({ id: 'rack', total: 100 }, rows, input.horizon, RHYTHM).every((share) => share === 0)
    ).to.equal(true);
  });
});
