import type { OrderData, AheadData } from '$core/ahead/household.ts';
import { growableOf, orderedAs, useFirst } from '$core/ahead/household.ts';
import type { Proposed } from '$core/ahead/proposal.ts';
import { holds, leftG, type LotStock } from '$core/supplies/seed/lot.ts';
import type { Container } from '$core/supplies/containers/container.ts';
import { v4 as newId } from 'uuid';

/** Seed for each sowing from the lot that is to be used first and still holds it. */
class Lots {
  private readonly left: Map<string, number>;
  constructor(private readonly lots: readonly LotStock[]) {
    this.left = new Map(lots.map((lot) => [lot.id, leftG(lot)]));
  }

  take(cropKey: string, seedG: number): string | null {
    const here = useFirst(this.lots.filter((lot) => lot.parts === null && holds(lot, cropKey)));
    const lot = here.find(({ id }) => this.left.get(id)! >= seedG) ?? here[0];
    if (!lot) return null;
    this.left.set(lot.id, this.left.get(lot.id)! - seedG);
    return lot.id;
  }
}

const bodyOf = (
  data: AheadData,
  cropKey: string,
  of: {
    container: Container;
    count: number;
    placeId: string;
    lightPlaceId?: string | null;
    lotId: string | null;
    beginOn: string;
    order?: OrderData;
  }
) => {
  const growable = (of.order ? orderedAs(of.order, data) : growableOf(cropKey, data))!;
  const { name, shape, lengthCm, widthCm, depthCm, cells } = of.container;
  const { density } = growable;
  return {
    ids: { first: newId(), second: newId(), container: newId() },
    kind: 'one',
    parts: [{ cropKey, lotId: of.lotId, share: 1 }],
    container: { name, shape, lengthCm, widthCm, depthCm, cells },
    count: of.count,
    medium: growable.medium,
    mediumId: growable.mediumId,
    methodKey: growable.method.key,
    // What is always going is cut in strips: that is kept with the sowing.
    method: of.order?.rule.kind === 'keep' ? growable.method : null,
    placeId: of.placeId,
    lightPlaceId: of.lightPlaceId ?? null,
    density: typeof density === 'number' ? 'own' : density,
    seedsPerCm2: typeof density === 'number' ? density : null,
    ownSeedG: of.order?.ownSeedG ?? null,
    beginOn: of.beginOn
  };
};

/** What is sent for the changes of a proposal that are taken: sowings to begin, as their household sows them. */
export function beginBodies(data: AheadData, changes: readonly Proposed[], dayName: (day: number) => string) {
  const lots = new Lots(data.lots);
  return changes.flatMap(({ begin, count }) => {
    const container = begin && data.containers.find(({ id }) => id === begin.containerId);
    if (!begin || !container) return [];
    return [
      bodyOf(data, begin.cropKey, {
        container,
        count,
        placeId: begin.placeId,
        lightPlaceId: begin.lightPlaceId,
        lotId: lots.take(begin.cropKey, begin.seedG * count),
        beginOn: dayName(begin.day)
      })
    ];
  });
}

/** What is sent to begin a day of a standing order. */
export const orderBody = (data: AheadData, order: OrderData, seedG: number, beginOn: string) =>
  bodyOf(data, order.cropKey, {
    container: order.container,
    count: order.count,
    placeId: order.placeId,
    lotId: new Lots(data.lots).take(order.cropKey, seedG),
    beginOn,
    order
  });
