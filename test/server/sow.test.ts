import { householdOptions } from '../../src/server/app/householdOptions.ts';
import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import fc from 'fast-check';
import { CROPS, findCrop } from '../../src/core/crops/library.ts';
import { MEDIA } from '../../src/core/supplies/media/medium.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { differences } from '../../src/core/steps/differences.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { factsOf } from '../../src/core/sowing/household.ts';
import { project } from '../../src/core/sowing/project.ts';
import type { Step } from '../../src/core/steps/step.ts';
import { AS_USUAL } from '../../src/core/choice/choiceData.ts';
import { sow, type NewSowing } from '../../src/server/app/sow.ts';
import { sowAgain } from '../../src/server/app/sowAgain.ts';
import { saveLot } from '../../src/server/cupboard/lots.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { addPlace } from '../../src/server/households/places.ts';
import { findSowing } from '../../src/server/sowings/sowings.ts';
import { newSowingSchema } from '../../src/contract/schemas/sowing.ts';
import { check } from '../../src/contract/schemas/check.ts';
import { workOut, type Draft } from '../../src/ui/sow/draft.ts';
import { newIds, sowBody } from '../../src/ui/sow/sowBody.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { tin } from '../support/lot.ts';
import { steadyPlace } from '../support/rhythm.ts';
import { household, sessionOf } from '../support/settings.ts';

/** Grams that a protocol has somebody weigh, line by line, and sow. */
const gramsOf = (steps: readonly Step[]) => ({
  weighed: steps.flatMap(({ body }) => (body.kind === 'weigh' ? body.seed.map(({ seedG }) => seedG) : [])),
  sown: steps.flatMap(({ body }) => (body.kind === 'sow' ? [body.seedG] : []))
});

describe('a sowing that is shown', () => {
  let database: TestDatabase;
  let home: { id: string; placeId: string };
  const cupboard = {
    ...steadyPlace(19),
    id: randomUUID(),
    name: 'Cupboard',
    light: { kind: 'dark' }
  } as const;
  const sill = {
    ...steadyPlace(16),
    id: randomUUID(),
    name: 'Sill',
    light: { kind: 'sill', aspect: 'away', back: false }
  } as const;
  const lots = new Map<string, string>();
  const session = () => sessionOf(home.id);
  before(async () => {
    database = await freshDatabase();
    home = await household('Upstairs');
    await inHousehold(home.id, async (tx) => {
      for (const place of [cupboard, sill]) await addPlace(tx, home.id, place);
      for (const [index, { key }] of CROPS.entries()) {
        const id = randomUUID();
        lots.set(key, id);
        await saveLot(
          tx,
          home.id,
          {
            id,
            cropKey: key,
            name: `Tin of ${key}`,
            weighedG: 40_000,
            price: null,
            packetG: null,
            boughtOn: null,
            parts: null,
            bestBefore: null,
            // A third off the packet, a third by a test, a third of which nobody knows.
            packetPct: index % 3 === 0 ? 61 + (index % 35) : null,
            test: index % 3 === 1 ? { sprouted: 30 + (index % 20), tested: 60 } : null
          },
          Date.now()
        );
      }
    });
  });
  after(() => database.drop());

  const keys = CROPS.map(({ key }) => key);
  const drafts = fc
    .record({
      kind: fc.constantFrom('one', 'halves', 'blended' as const),
      crops: fc.uniqueArray(fc.constantFrom(...keys), { minLength: 4, maxLength: 4 }),
      parts: fc.integer({ min: 2, max: 4 }),
      dark: fc.boolean(),
      toSill: fc.boolean(),
      withLot: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
      share: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
      shareOf: fc.constantFrom('weight', 'count' as const),
      staggered: fc.boolean(),
      lengthCm: fc.integer({ min: 8, max: 60 }),
      widthCm: fc.integer({ min: 8, max: 40 }),
      shape: fc.constantFrom('rectangle', 'round', 'cells' as const),
      count: fc.integer({ min: 1, max: 6 }),
      medium: fc.constantFrom(...MEDIA),
      method: fc.constantFrom(...READY_METHODS),
      density: fc.constantFrom('sparse', 'usual', 'dense', 'own' as const),
      ownDensity: fc.integer({ min: 3, max: 80 }).map((tenths) => String(tenths / 10)),
      germination: fc.constantFrom('', '', '88', '47,5'),
      soak: fc.constantFrom('', '', '0', '5,5'),
      stack: fc.constantFrom('', '', '1', '2'),
      ownSeedG: fc.option(
        fc.integer({ min: 10, max: 900 }).map((tenths) => tenths / 10),
        { nil: null }
      )
    })
    .map((made): Draft => ({
      kind: made.kind as Draft['kind'],
      parts: made.crops
        .slice(0, made.kind === 'one' ? 1 : made.kind === 'halves' ? 2 : made.parts)
        .map((cropKey, index) => ({
          cropKey,
          lotId: made.withLot[index] ? lots.get(cropKey)! : '',
          share: String(made.share[index])
        })),
      shareOf: made.shareOf as Draft['shareOf'],
      staggered: made.staggered,
      container: {
        name: 'Tray',
        shape: made.shape as Draft['container']['shape'],
        lengthCm: made.lengthCm,
        widthCm: made.shape === 'round' ? made.lengthCm : made.widthCm,
        depthCm: 5,
        cells: made.shape === 'cells' ? 4 : 1
      },
      containerName: '',
      count: String(made.count),
      medium: made.medium,
      mediumId: '',
      methodKey: made.method.key,
      method: null,
      placeId: made.dark ? cupboard.id : home.placeId,
      lightPlaceId: made.toSill ? sill.id : '',
      newPlace: null,
      density: made.density as Draft['density'],
      ownDensity: made.ownDensity,
      germination: made.germination,
      ownSeedG: made.ownSeedG,
      soak: made.soak,
      stack: made.stack,
      when: 'now',
      readyBy: ''
    }));

  /** What the page would send for a draft, by the schema that both sides have. */
  function sentOf(draft: Draft, worked: ReturnType<typeof workOut>): NewSowing {
    const checked = check(newSowingSchema, sowBody(draft, worked, newIds()));
    if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
    return checked.value;
  }

  it('is stored as it is shown, to the gram, and weighed so step by step', async () => {
    const options = await inHousehold(home.id, householdOptions);
    await fc.assert(
      fc.asyncProperty(drafts, async (draft) => {
        const worked = workOut(draft, { ...options, containers: [], now: Date.now() });
        // What cannot be is said, and not sent.
        fc.pre(Object.keys(worked.wrong).length === 0);
        fc.pre(worked.sowings.every(({ setup }) => setup.seedG < 5000));
        const { ids } = await inHousehold(home.id, (tx) => sow(tx, session(), sentOf(draft, worked)));
        expect(ids).to.have.length(worked.sowings.length);
        const facts = factsOf(options.household);
        for (const [index, shown] of worked.sowings.entries()) {
          const record = await inHousehold(home.id, (tx) => findSowing(tx, ids[index]!));
          const { setup } = record!;
          expect(setup.seedG).to.be.closeTo(shown.setup.seedG, 1e-6);
          expect(setup.seedsPerCm2).to.be.closeTo(shown.setup.seedsPerCm2, 1e-9);
          expect(setup.areaShare).to.equal(shown.setup.areaShare);
          expect(setup.lightPlaceId).to.equal(shown.setup.lightPlaceId);
          expect(setup.mix?.map(({ cropKey }) => cropKey)).to.deep.equal(
            shown.setup.mix?.map(({ cropKey }) => cropKey)
          );
          expect(setup.mix?.reduce((sum, { seedG }) => sum + seedG, 0) ?? setup.seedG).to.be.closeTo(
            shown.setup.seedG,
            1e-6
          );
          // The headline, the steps on the page and the steps of what is stored weigh the same.
          const stored = gramsOf(stepsOf(project(facts, setup, [])));
          const onPage = gramsOf(stepsOf(shown.projected));
          for (const grams of [stored, onPage]) {
            expect(grams.weighed.reduce((sum, g) => sum + g, 0)).to.be.closeTo(shown.setup.seedG, 1e-6);
            expect(grams.sown.reduce((sum, g) => sum + g, 0)).to.be.closeTo(shown.setup.seedG, 1e-6);
          }
          expect(
            differences(stepsOf(shown.projected), stepsOf(project(facts, setup, []))).filter(
              ({ change }) => change !== 'time'
            )
          ).to.deep.equal([]);
          stored.weighed.forEach((g, line) => expect(g).to.be.closeTo(onPage.weighed[line]!, 1e-6));
          if (draft.ownSeedG !== null && draft.kind !== 'halves')
            expect(shown.setup.seedG).to.be.closeTo(draft.ownSeedG, 1e-6);
        }
        // A household has room for so many.
        await inHousehold(home.id, async (tx) => {
          await tx`update sowings set ended_at = now()`;
          await tx`update containers set retired_at = now()`;
        });
      }),
      { numRuns: 60 }
    );
  });

  it('says so where it would be another by now, and keeps nothing', async () => {
    const options = await inHousehold(home.id, householdOptions);
    const [draft] = fc.sample(drafts, { numRuns: 1, seed: 7 });
    const one: Draft = {
      ...draft!,
      kind: 'one',
      parts: [draft!.parts[0]!],
      ownSeedG: null,
      density: 'usual',
      count: '1'
    };
    const worked = workOut(one, { ...options, containers: [], now: Date.now() });
    const sent = { ...sentOf(one, worked), shownSeedG: [worked.sowings[0]!.setup.seedG * 1.1] };
    const failed = await inHousehold(home.id, (tx) => sow(tx, session(), sent)).catch(
      (error: unknown) => error
    );
    expect(failed).to.include({ field: 'ownSeedG', status: 409 });
    expect(await inHousehold(home.id, (tx) => findSowing(tx, sent.ids.first))).to.equal(null);
  });

  it('as halves is kept in one piece or not at all', async () => {
    const halves = (cropKey: string): NewSowing => ({
      ...sentOfHalves(),
      parts: [
        { cropKey: 'radish', lotId: null, share: 1 },
        { cropKey, lotId: null, share: 1 }
      ]
    });
    const sentOfHalves = (): NewSowing => {
      const checked = check(newSowingSchema, {
        ids: { first: randomUUID(), second: randomUUID(), container: randomUUID() },
        kind: 'halves',
        parts: [
          { cropKey: 'radish', lotId: null, share: 1 },
          { cropKey: 'pea', lotId: null, share: 1 }
        ],
        container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
        count: 1,
        medium: 'coir',
        methodKey: 'press-and-wait',
        placeId: home.placeId,
        density: 'usual'
      });
      if (!checked.ok) throw new Error(JSON.stringify(checked.errors));
      return checked.value;
    };
    const bad = halves('no-such-crop');
    expect(
      await inHousehold(home.id, (tx) => sow(tx, session(), bad)).catch((error: unknown) => error)
    ).to.include({
      field: 'parts.1.cropKey'
    });
    expect(await inHousehold(home.id, (tx) => findSowing(tx, bad.ids.first))).to.equal(null);
    const good = halves('pea');
    const first = await inHousehold(home.id, (tx) => sow(tx, session(), good));
    const again = await inHousehold(home.id, (tx) => sow(tx, session(), good));
    expect([first, again]).to.deep.equal([
      { ids: [good.ids.first, good.ids.second], added: true },
      { ids: [good.ids.first, good.ids.second], added: false }
    ]);
    expect(findCrop('pea')).not.to.equal(undefined);
  });

  it('again of a blend of two lots takes each part from a lot of its own, though one has run out', async () => {
    const small = randomUUID();
    const lot = tin({ id: small, name: 'Small tin', weighedG: 6 });
    await inHousehold(home.id, (tx) => saveLot(tx, home.id, lot, Date.now()));
    const blend: NewSowing = {
      ...AS_USUAL,
      ids: newIds(),
      kind: 'blended',
      parts: [
        { cropKey: 'radish', lotId: small, share: 1 },
        { cropKey: 'radish', lotId: lots.get('radish')!, share: 1 }
      ],
      shareOf: 'weight',
      container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
      count: 1,
      medium: 'coir',
      mediumId: null,
      methodKey: 'press-and-wait',
      placeId: home.placeId,
      newPlace: null,
      shownSeedG: null
    };
    const { ids } = await inHousehold(home.id, (tx) => sow(tx, session(), blend));
    const again = await inHousehold(home.id, (tx) =>
      sowAgain(tx, session(), { sowingId: ids[0]!, ids: newIds() })
    );
    const record = await inHousehold(home.id, (tx) => findSowing(tx, again.ids[0]!));
    const taken = record!.setup.mix!.map(({ lotId }) => lotId);
    expect(new Set(taken).size).to.equal(2);
    expect(taken).to.include(lots.get('radish'));
  });
});
