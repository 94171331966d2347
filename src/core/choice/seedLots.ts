import { holds, isDead, leftG, useFirst, type LotStock } from '../supplies/seed/lot.ts';

/** Seed of one crop that a sowing takes. */
export interface Take {
  cropKey: string;
  seedG: number;
  /** The lot that was chosen for it; null for whichever is used first. */
  lotId: string | null;
}

/** A household's lots as sowings take from them, one sowing after the other. */
export class SeedLots {
  private readonly left: Map<string, number>;
  constructor(private readonly lots: readonly LotStock[]) {
    this.left = new Map(lots.map((lot) => [lot.id, leftG(lot)]));
  }

  /**
   * The lot for each part of one sowing: the chosen one while it holds enough, else the first to be used that does. Two parts of
   * one crop never take the same lot.
   * @returns null for a part whose crop the household has no lot of
   */
  takeFor(parts: readonly Take[]): (string | null)[] {
    const taken = new Set<string>();
    return parts.map(({ cropKey, seedG, lotId }) => {
      const here = this.lotsFor(cropKey, lotId).filter(({ id }) => !taken.has(`${id} ${cropKey}`));
      const lot = here.find(({ id }) => this.left.get(id)! >= seedG) ?? here[0];
      if (!lot) return null;
      taken.add(`${lot.id} ${cropKey}`);
      this.left.set(lot.id, this.left.get(lot.id)! - seedG);
      return lot.id;
    });
  }

  /** Lots of a crop that can be taken, the chosen one first. A mixed packet is taken only if it was chosen. */
  private lotsFor(cropKey: string, lotId: string | null): LotStock[] {
    const held = this.lots.filter((lot) => holds(lot, cropKey) && !isDead(lot));
    const chosen = held.filter(({ id }) => id === lotId);
    return [...chosen, ...useFirst(held.filter(({ id, parts }) => parts === null && id !== lotId))];
  }
}
