import type { OrderData, AheadData } from '$core/ahead/household.ts';
import { growablesOf, orderedAs } from '$core/ahead/household.ts';
import type { Growable, PartSeed } from '$core/ahead/growable.ts';
import type { Proposed } from '$core/ahead/proposal.ts';
import { SeedLots } from '$core/choice/seedLots.ts';
import { AS_USUAL, type ChoiceData } from '$core/choice/choiceData.ts';
import { newIds, type FormIds } from '$ui/sow/sowBody.ts';

/** A choice with the ids it is sent with. */
type Body = ChoiceData & { ids: FormIds };

const bodyOf = (
  { parts, shareOf, density, medium, mediumId, method }: Growable,
  lots: SeedLots,
  of: Pick<ChoiceData, 'container' | 'count' | 'placeId' | 'lightPlaceId' | 'ownSeedG'> & {
    beginOn: string;
    /** Of each part, for all of it. */
    seed: readonly PartSeed[];
    order: OrderData | null;
  }
): Body => {
  const taken = lots.takeFor(
    parts.map(({ crop, lot }, nth) => ({
      cropKey: crop.key,
      seedG: of.seed[nth]?.g ?? 0,
      lotId: lot?.id ?? null
    }))
  );
  const { name, shape, lengthCm, widthCm, depthCm, cells } = of.container;
  return {
    ...AS_USUAL,
    ids: newIds(),
    kind: parts.length > 1 ? 'blended' : 'one',
    parts: parts.map(({ crop, share, variety }, nth) => ({
      cropKey: crop.key,
      lotId: taken[nth]!,
      share,
      variety
    })),
    shareOf,
    container: { name, shape, lengthCm, widthCm, depthCm, cells },
    count: of.count,
    medium,
    mediumId,
    methodKey: method.key,
    // What is always going is cut in strips: that is kept with the sowing.
    method: of.order?.rule.kind === 'keep' ? method : null,
    placeId: of.placeId,
    lightPlaceId: of.lightPlaceId,
    density: typeof density === 'number' ? 'own' : density,
    seedsPerCm2: typeof density === 'number' ? density : null,
    ownSeedG: of.ownSeedG,
    beginOn: of.beginOn
  };
};

/** What is sent for the changes of a proposal that are taken: sowings to begin, as their household sows them. */
export function beginBodies(data: AheadData, changes: readonly Proposed[], dayName: (day: number) => string) {
  const lots = new SeedLots(data.lots);
  const growables = new Map(growablesOf(data).map((one) => [one.crop.key, one]));
  return changes.flatMap(({ begin, count }) => {
    const container = begin && data.containers.find(({ id }) => id === begin.containerId);
    const growable = begin && growables.get(begin.cropKey);
    if (!begin || !container || !growable) return [];
    return [
      bodyOf(growable, lots, {
        container,
        count,
        placeId: begin.placeId,
        lightPlaceId: begin.lightPlaceId,
        seed: begin.seed.map((part) => ({ ...part, g: part.g * count })),
        ownSeedG: null,
        beginOn: dayName(begin.day),
        order: null
      })
    ];
  });
}

/**
 * What is sent to begin a day of a standing order.
 * @param seed of each part, as it was laid
 * @returns null where a crop of it is not known any more
 */
export function orderBody(data: AheadData, order: OrderData, seed: readonly PartSeed[], beginOn: string) {
  const growable = orderedAs(order, data);
  return (
    growable &&
    bodyOf(growable, new SeedLots(data.lots), {
      container: order.container,
      count: order.count,
      placeId: order.placeId,
      lightPlaceId: null,
      ownSeedG: order.ownSeedG,
      seed,
      beginOn,
      order
    })
  );
}
