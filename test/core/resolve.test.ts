import { factsOf } from '../../src/core/sowing/household.ts';
import { householdWith } from '../support/householdWith.ts';
import { expect } from 'chai';
import fc from 'fast-check';
import { AS_USUAL, type ChoiceData, type PartData } from '../../src/core/choice/choiceData.ts';
import { SeedLots } from '../../src/core/choice/seedLots.ts';
import { plannedProblems, resolve, type HouseholdOptions } from '../../src/core/choice/resolve.ts';
import type { ProblemKind } from '../../src/core/problem.ts';
import { planSowing } from '../../src/core/sowing/planSowing.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { tin } from '../support/lot.ts';
import { at, steadyPlace } from '../support/rhythm.ts';

const NOW = at('2026-11-23T15:00Z');
const shelf = steadyPlace(21, 18);
const cupboard = {
  ...steadyPlace(21, 18),
  id: 'cupboard',
  name: 'Cupboard',
  light: { kind: 'dark' as const }
};
const options: HouseholdOptions = {
  household: householdWith({ places: [shelf, cupboard] }),
  containers: [{ name: 'Blue', shape: 'rectangle', lengthCm: 30, widthCm: 20, depthCm: 5, cells: 1 }],
  media: [{ id: 'mine', name: 'Mine', kind: 'coir', swellLKg: null, parts: null }],
  methods: READY_METHODS,
  lots: [
    tin({ id: 'good', cropKey: 'radish' }),
    tin({ id: 'dead', cropKey: 'radish', test: { sprouted: 0, tested: 20 } })
  ],
  now: NOW
};
const context = { ...factsOf(options.household), now: NOW };
const part = (cropKey: string, more: Partial<PartData> = {}): PartData => ({
  cropKey,
  lotId: null,
  share: 1,
  ...more
});
const data = (more: Partial<ChoiceData> = {}): ChoiceData => ({
  ...AS_USUAL,
  kind: 'one',
  parts: [part('radish', { lotId: 'good' })],
  shareOf: 'weight',
  container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  count: 1,
  medium: 'coir',
  mediumId: 'mine',
  methodKey: READY_METHODS[0]!.key,
  placeId: shelf.id,
  ...more
});
const found = (more: Partial<ChoiceData>): [field: string, code: ProblemKind][] => {
  const resolved = resolve(data(more), options);
  return resolved.ok ? [] : resolved.problems.map(({ field, problem }) => [field, problem.code]);
};
const blend = (...parts: PartData[]) => ({ kind: 'blended' as const, parts });

describe('a choice', () => {
  const WRONG: [more: Partial<ChoiceData>, field: string, code: ProblemKind][] = [
    [{ parts: [] }, 'parts', 'parts-of-kind'],
    [{ parts: [part('radish'), part('pea')] }, 'parts', 'parts-of-kind'],
    [{ kind: 'halves' }, 'parts', 'parts-of-kind'],
    [{ parts: [part('moonweed')] }, 'parts.0.cropKey', 'no-crop'],
    [blend(part('pea'), part('pea')), 'parts.1.cropKey', 'crop-twice'],
    [blend(part('pea'), part('kale', { share: NaN })), 'parts.1.share', 'no-share'],
    [{ parts: [part('radish', { lotId: 'gone' })] }, 'parts.0.lotId', 'lot-gone'],
    [{ parts: [part('pea', { lotId: 'good' })] }, 'parts.0.lotId', 'lot-gone'],
    [{ parts: [part('radish', { lotId: 'dead' })] }, 'parts.0.lotId', 'lot-dead'],
    [{ container: { ...data().container, lengthCm: 0 } }, 'container.lengthCm', 'size-out-of-bounds'],
    [{ container: { ...data().container, name: ' BLUE' } }, 'container.name', 'name-of-another'],
    [{ count: 1.5 }, 'count', 'count-outside'],
    [{ mediumId: 'gone' }, 'medium', 'medium-gone'],
    [{ methodKey: 'gone' }, 'methodKey', 'method-gone'],
    [{ method: { ...READY_METHODS[0]!, darkness: 'days', darkDays: NaN } }, 'darkDays', 'method-figure'],
    [{ method: { ...READY_METHODS[0]!, dome: 'rim', domeCm: 40 } }, 'domeCm', 'method-figure'],
    [{ placeId: '' }, 'placeId', 'no-place'],
    [{ placeId: 'gone' }, 'placeId', 'place-gone'],
    [{ lightPlaceId: 'gone' }, 'lightPlaceId', 'place-gone'],
    [{ lightPlaceId: 'cupboard' }, 'lightPlaceId', 'place-dark'],
    [{ density: 'own' }, 'seedsPerCm2', 'density-outside'],
    [{ density: 'own', seedsPerCm2: 61 }, 'seedsPerCm2', 'density-outside'],
    [{ ownSeedG: 0 }, 'ownSeedG', 'seed-outside'],
    [{ germinationPct: 0 }, 'germinationPct', 'germination-none'],
    [{ germinationPct: 101 }, 'germinationPct', 'germination-outside'],
    [{ soakH: -1 }, 'soakH', 'soak-outside'],
    [{ stackOf: 0 }, 'stackOf', 'stack-outside'],
    [{ readyBy: '' }, 'readyBy', 'no-day'],
    [{ readyBy: '2027-02-29' }, 'readyBy', 'no-such-day'],
    [{ readyBy: '2026-11-22' }, 'readyBy', 'day-passed'],
    [{ beginOn: '2027-02-29' }, 'beginOn', 'no-such-day']
  ];
  it('is answered with what is wrong with each of its fields, and with nothing else', () => {
    expect(found({})).to.deep.equal([]);
    for (const [more, field, code] of WRONG)
      expect(found(more), `${field}: ${code}`).to.deep.equal([[field, code]]);
  });

  it('is told of all its problems at once', () => {
    expect(found({ count: 0, placeId: 'gone', methodKey: 'gone' }).map(([field]) => field)).to.deep.equal([
      'count',
      'placeId',
      'methodKey'
    ]);
  });

  it('takes seed of a dead lot where somebody says what sprouts, and several lots of one crop', () => {
    expect(found({ parts: [part('radish', { lotId: 'dead' })], germinationPct: 40 })).to.deep.equal([]);
    expect(found(blend(part('radish'), part('radish', { lotId: 'good' })))).to.deep.equal([]);
    // Or two varieties that somebody named.
    expect(found(blend(part('pea', { variety: 'Tall' }), part('pea', { variety: 'Dwarf' })))).to.deep.equal(
      []
    );
    expect(found(blend(part('pea', { variety: 'Tall' }), part('pea', { variety: 'tall ' })))).to.have.length(
      1
    );
  });

  it('is the same sent as it was made', () => {
    const choices = fc.record({
      kind: fc.constant('blended' as const),
      parts: fc.uniqueArray(
        fc.record({
          cropKey: fc.constantFrom('radish', 'pea', 'kale'),
          lotId: fc.constant(null),
          share: fc.double({ min: 0.1, max: 10, noNaN: true })
        }),
        { minLength: 2, maxLength: 3, selector: ({ cropKey }) => cropKey }
      ),
      count: fc.integer({ min: 1, max: 4 }),
      density: fc.constantFrom('sparse', 'usual', 'dense' as const),
      soakH: fc.option(fc.double({ min: 0, max: 12, noNaN: true })),
      beginOn: fc.option(fc.constantFrom('2026-11-24', '2028-02-29'))
    });
    fc.assert(
      fc.property(choices, (more) => {
        const made = data(more);
        const sent = JSON.parse(JSON.stringify(made)) as ChoiceData;
        const [here, there] = [resolve(made, options), resolve(sent, options)];
        expect(there).to.deep.equal(here);
        if (!here.ok) throw new Error('It should be whole.');
        expect(plannedProblems(planSowing(here.choice, context))).to.deep.equal([]);
      })
    );
  });

  it('that only its plan shows to be impossible is refused by its plan', () => {
    const planned = (more: Partial<ChoiceData>) => {
      const resolved = resolve(data(more), options);
      if (!resolved.ok) throw new Error('It should be whole.');
      return plannedProblems(planSowing(resolved.choice, context)).map(({ field, problem }) => [
        field,
        problem.code
      ]);
    };
    expect(planned({ readyBy: '2026-11-24' })).to.deep.equal([['readyBy', 'day-too-near']]);
    const large = { ...data().container, lengthCm: 150, widthCm: 150, name: 'Table' };
    expect(planned({ container: large, count: 60, parts: [part('pea')] })).to.deep.equal([
      ['ownSeedG', 'seed-outside']
    ]);
    expect(
      planned({ stackOf: 7, methodKey: 'stack-and-light', parts: [part('arugula')], count: 7 })
    ).to.deep.equal([['stackOf', 'stack-too-high']]);
  });
});

describe('seed for several sowings', () => {
  const lot = (id: string, more: Partial<ReturnType<typeof tin>> = {}) =>
    tin({ id, cropKey: 'basil', weighedG: 10, ...more });
  const take = (lotId: string | null, seedG = 4, cropKey = 'basil') => ({ cropKey, seedG, lotId });

  it('comes from the chosen lot while that holds enough, then from the one to be used first', () => {
    const lots = new SeedLots([
      lot('new', { bestBefore: '2030-01-01' }),
      lot('old', { bestBefore: '2027-01-01' })
    ]);
    expect([1, 2, 3, 4].map(() => lots.takeFor([take('new')])[0])).to.deep.equal([
      'new',
      'new',
      'old',
      'old'
    ]);
    // Both are short by now: what was chosen is named, with what it is short of.
    expect(lots.takeFor([take('new')])).to.deep.equal(['new']);
    expect(lots.takeFor([take(null, 4, 'pea')])).to.deep.equal([null]);
  });

  it('comes from another lot for each part of one crop, and from no mixed packet that nobody chose', () => {
    const packet = lot('packet', { parts: [{ cropKey: 'basil', share: 1 }] });
    const lots = () => new SeedLots([lot('a'), lot('b'), packet]);
    expect(lots().takeFor([take(null), take(null), take(null)])).to.deep.equal(['a', 'b', null]);
    expect(lots().takeFor([take('b'), take('b')])).to.deep.equal(['b', 'a']);
    expect(lots().takeFor([take('packet'), take('packet', 4, 'basil')])[0]).to.equal('packet');
    const dead = lot('a', { test: { sprouted: 0, tested: 20 } });
    expect(new SeedLots([dead]).takeFor([take('a')])).to.deep.equal([null]);
  });
});
