import { blend, blendKey } from '../crops/blend.ts';
import { findCrop } from '../crops/library.ts';
import { areaShares } from '../crops/shares.ts';
import type { Prices } from '../costs/prices.ts';
import { pantryOf, type PantryItem } from '../pantry/item.ts';
import { factsOf, type Household } from '../sowing/household.ts';
import { lightPlaceFor } from '../sowing/carried.ts';
import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import { projectInSteps } from '../sowing/projectInSteps.ts';
import { movedTo } from '../sowing/reach.ts';
import { readLog, storyOf, type SowingRecord } from '../sowing/record.ts';
import type { SowingSetup } from '../sowing/sowing.ts';
import type { ContainerStock } from '../supplies/containers/container.ts';
import { ofSize } from '../supplies/containers/sizes.ts';
import { DEFAULT_METHOD, findMethod } from '../supplies/methods/ready.ts';
import { isGrass } from '../crops/traits.ts';
import { holds, isDead, leftG, useFirst } from '../supplies/seed/lot.ts';
import { finished } from '../time/inSteps.ts';
import { AS_USUAL, seedOfCrop, type ChoiceData, type PartData, type SeedData } from '../choice/choiceData.ts';
import type { HouseholdOptions } from '../choice/resolve.ts';
import { fondness, nobodyEats, type Eater, type Taste } from './appetite.ts';
import type { Period } from '../away/period.ts';
import type { AheadInput } from './build.ts';
import type { Growable, GrowablePart } from './growable.ts';
import { horizonFrom } from './horizon.ts';
import type { Moved } from './offers.ts';
import type { Variety } from './variety.ts';
import { layDrafts, type OrderDraft, type Rule, type StandingOrder } from './standingOrder.ts';

/** What an order says of each of its sowings; the rest is as usual. */
type OrderChoice = Pick<
  ChoiceData,
  'parts' | 'shareOf' | 'container' | 'count' | 'medium' | 'mediumId' | 'methodKey' | 'placeId' | 'ownSeedG'
>;

/** A standing order as it is kept and sent. */
export interface OrderData extends OrderChoice {
  id: string;
  rule: Rule;
  fromDay: string;
  /** Days that were begun or left out. */
  done: readonly string[];
}

/** A sowing of an order, as it would be chosen now. */
export const choiceOfOrder = (order: OrderChoice): ChoiceData => ({
  ...AS_USUAL,
  ...order,
  kind: order.parts.length > 1 ? 'blended' : 'one'
});

/** All that the weeks ahead follow from, plain enough to be sent, to a page and to its worker. */
export interface AheadData extends HouseholdOptions {
  household: Household;
  /** Under way and planned. */
  records: readonly SowingRecord[];
  /** Those of which something is in the pantry. */
  inPantry: readonly SowingRecord[];
  containers: readonly ContainerStock[];
  eaters: readonly Eater[];
  tastes: readonly Taste[];
  variety: Variety;
  away: readonly Period[];
  daysOff: readonly number[];
  orders: readonly OrderData[];
  /** The last sowing of each crop and of each blend. */
  latest: readonly SowingSetup[];
  /** Planned sowings that stay as they are. */
  locked: readonly string[];
  prices: Prices;
}

/** The weeks ahead as they stand, before anything is proposed. */
export interface Ahead {
  facts: HouseholdFacts;
  input: AheadInput;
  /** What standing orders lay, those that go and those that do not. */
  drafts: OrderDraft[];
  /** Whether seed is kept count of at all. */
  countsSeed: boolean;
  moved: Moved;
}

/** What standing orders lay, and what it follows from. */
export interface OrdersAhead {
  facts: HouseholdFacts;
  context: AheadInput['context'];
  horizon: AheadInput['horizon'];
  /** Under way and planned. */
  underWay: Projected[];
  drafts: OrderDraft[];
}

/**
 * What a household's standing orders lay into the weeks ahead, in small steps.
 * @param sowings its sowings as they stand; worked out where not given
 */
export function* ordersOf(
  data: AheadData,
  sowings?: readonly Projected[]
): Generator<void, OrdersAhead, void> {
  const { household, now } = data;
  const facts = factsOf(household);
  const context = { ...facts, now };
  const horizon = horizonFrom(facts.rhythm, now);
  const orders = data.orders.flatMap((order): StandingOrder[] => {
    const place = facts.places.get(order.placeId);
    const growable = orderedAs(order, data);
    if (!place || !growable) return [];
    const here = { latitudeDeg: household.latitudeDeg, zone: facts.rhythm.zone, startAt: now };
    const lightPlace = lightPlaceFor(growable.crop, null, facts.places.values(), here);
    return [{ ...order, growable, place, lightPlace, done: new Set(order.done) }];
  });
  const all = sowings ?? (yield* projectInSteps(facts, data.records.map(storyOf)));
  const underWay = all.filter(({ state }) => state.stage !== 'ended');
  const drafts = yield* layDrafts(orders, {
    context,
    horizon,
    away: data.away,
    sowings: underWay,
    owned: (container) => ofSize(container, data.containers)?.owned ?? null
  });
  return { facts, context, horizon, underWay, drafts };
}

/** Works out what a household's weeks ahead follow from. */
export const aheadOf = (data: AheadData, sowings?: readonly Projected[]): Ahead =>
  finished(aheadInSteps(data, sowings));

/** The same in small steps. */
export function* aheadInSteps(data: AheadData, sowings?: readonly Projected[]): Generator<void, Ahead, void> {
  const { now } = data;
  const { facts, context, horizon, underWay, drafts } = yield* ordersOf(data, sowings);
  const pantry = yield* pantryInSteps(data, facts);
  const laid = drafts.flatMap(({ orderId, day, planned }): Projected[] =>
    planned ? [{ ...planned.projected, setup: { ...planned.setup, id: `${orderId} ${day}` } }] : []
  );
  return {
    facts,
    drafts,
    countsSeed: data.lots.length > 0,
    moved: ({ setup }, to) => {
      const record = data.records.find((one) => one.setup.id === setup.id);
      return record ? movedTo(facts, record.setup, readLog(record), to, now) : null;
    },
    input: {
      context,
      horizon,
      eaters: data.eaters,
      tastes: data.tastes,
      variety: data.variety,
      away: data.away,
      daysOff: data.daysOff,
      places: data.household.places,
      containers: data.containers,
      growables: growablesOf(data),
      sowings: [...underWay, ...laid],
      locked: new Set([...data.locked, ...laid.map(({ setup }) => setup.id)]),
      pantry,
      prices: data.prices
    }
  };
}

/** What is in each household's pantry, which is the same whatever of its sowings is moved. */
const pantries = new WeakMap<readonly SowingRecord[], readonly PantryItem[]>();

function* pantryInSteps(
  { inPantry }: AheadData,
  facts: HouseholdFacts
): Generator<void, readonly PantryItem[], void> {
  const had = pantries.get(inPantry);
  if (had) return had;
  const sowings = yield* projectInSteps(facts, inPantry.map(storyOf));
  const items = sowings.flatMap((one) => pantryOf(one, facts.rhythm.zone).items);
  pantries.set(inPantry, items);
  return items;
}

/** The seed of a sowing again, from the lots it was taken from. */
const seedAgain = ({ cropKey, mix, lotId }: SowingSetup): SeedData =>
  mix
    ? {
        parts: mix.map((part) => ({
          cropKey: part.cropKey,
          lotId: part.lotId,
          share: part.seedG,
          variety: part.variety
        })),
        shareOf: 'weight'
      }
    : { parts: [{ cropKey, lotId, share: 1 }], shareOf: 'weight' };

const keyOf = ({ parts }: SeedData): string => blendKey(parts.map(({ cropKey }) => cropKey));

/** How each crop and each blend was last sown, by its key; of what was only planned so far, as it is planned. */
function lastSetups({ latest, records }: AheadData): ReadonlyMap<string, SowingSetup> {
  const last = new Map<string, SowingSetup>();
  for (const setup of [...latest, ...records.map((record) => record.setup)]) {
    const key = keyOf(seedAgain(setup));
    if (!last.has(key)) last.set(key, setup);
  }
  return last;
}

/**
 * What a household may be proposed: crops that it has seed of, likes, or has sown or planned before, and blends that it has
 * sown or planned, each as it sows it. What nobody eats is left out.
 */
export function growablesOf(data: AheadData): Growable[] {
  const last = lastSetups(data);
  const again = [...last.values()].map(seedAgain);
  const keys = new Set([
    ...data.lots.filter(({ parts }) => parts === null).map(({ cropKey }) => cropKey),
    ...data.tastes.map(({ cropKey }) => cropKey),
    ...data.eaters.flatMap(({ liked = [] }) => liked),
    ...again.filter(({ parts }) => parts.length === 1).map(keyOf)
  ]);
  const blends = again.filter(({ parts }) => parts.length > 1);
  const fondOf = (key: string) => fondness(key, data.eaters, data.tastes);
  return (
    [...[...keys].sort().map(seedOfCrop), ...blends]
      .filter((seed) => !nobodyEats(fondOf(keyOf(seed))))
      .flatMap((seed) => growableOf(seed, data, last) ?? [])
      // Seed of a packet that was bought mixed is counted for no crop: how often the blend could be sown is not known.
      .filter(({ parts }) => parts.every(({ lot }) => !lot?.parts))
      // Cereal grasses are cut for juice, and no handful of greens: proposed to those who like them.
      .filter(({ crop, parts }) => parts.every((part) => !isGrass(part.crop)) || fondOf(crop.key).liked > 0)
  );
}

/**
 * Seed as its household sows it: as it did last, or by its usual method.
 * @param lasts how all of its crops were last sown, where that is at hand already
 */
export function growableOf(seed: SeedData, data: AheadData, lasts = lastSetups(data)): Growable | null {
  const parts = seed.parts.flatMap((part) => growablePart(part, data) ?? []);
  if (parts.length < seed.parts.length) return null;
  const shares = areaShares(
    parts.map(({ crop }) => crop),
    parts.map(({ share }) => share),
    seed.shareOf
  );
  const last = lasts.get(keyOf(seed));
  const method =
    (last && findMethod(last.method.key, [...data.methods])) ??
    findMethod(data.household.methodKey, [...data.methods]);
  return {
    crop: blend(
      parts.map(({ crop }, nth) => ({ crop, areaShare: shares[nth]! })),
      method?.taking
    ),
    parts,
    shareOf: seed.shareOf,
    medium: last?.medium ?? 'coir',
    mediumId: last?.mediumId ?? null,
    method: method ?? DEFAULT_METHOD,
    density: last?.seedsPerCm2 ?? 'usual'
  };
}

/** @returns null where its crop is not known any more */
function growablePart({ cropKey, lotId, share }: PartData, data: AheadData): GrowablePart | null {
  const crop = findCrop(cropKey, [...data.household.ownCrops]);
  if (!crop) return null;
  const held = data.lots.filter((lot) => holds(lot, cropKey) && !isDead(lot));
  const own = held.filter(({ parts }) => parts === null);
  const chosen = held.find((lot) => lot.id === lotId && leftG(lot) > 0);
  return {
    crop,
    lot: chosen ?? useFirst(own)[0] ?? null,
    share,
    // Of a crop that no lot is kept of, nobody counts the seed.
    seedG: own.length > 0 ? own.reduce((sum, lot) => sum + leftG(lot), 0) : null
  };
}

/** Seed as a standing order lays it: of what is always going there is cut all along, whatever its method says. */
export function orderedAs(order: OrderData, data: AheadData): Growable | null {
  const growable = growableOf(order, data);
  if (!growable) return null;
  const method = findMethod(order.methodKey, [...data.methods]) ?? growable.method;
  return {
    ...growable,
    medium: order.medium,
    mediumId: order.mediumId,
    method: order.rule.kind === 'keep' ? { ...method, taking: 'strip' } : method
  };
}
