import type { Place } from '../places/place.ts';
import { mostWeightG } from '../shelf/load.ts';
import type { Standing } from '../sowing/standing.ts';
import type { Container, ContainerStock } from '../supplies/containers/container.ts';
import { sizeKey } from '../supplies/containers/sizes.ts';
import type { AheadInput } from './build.ts';
import type { PartSeed } from './growable.ts';
import type { Resource, Use } from './problem.ts';
import { boardCm, daysTaken, frontCm, standOf, standsOf, type Stand } from './room.ts';

/** What there is of board, containers and seed, day by day. */
export class Resources {
  readonly all: Resource[] = [];
  private readonly index = new Map<string, number>();

  constructor(
    private readonly input: Pick<AheadInput, 'places' | 'containers' | 'growables' | 'horizon' | 'context'>
  ) {
    const { places, containers, growables, horizon } = input;
    const always = (amount: number) => new Float64Array(horizon.days).fill(amount);
    const widest = Math.max(18, ...containers.map(({ widthCm }) => widthCm));
    for (const place of places) {
      const cm = boardCm(place, widest);
      this.add({
        kind: 'board',
        id: place.id,
        name: place.name,
        total: cm,
        free: always(cm)
      });
      const { ratedG = null } = place;
      // Where somebody looked at the rating and says that it holds, that is theirs to say.
      if (ratedG !== null && !place.ratingSure)
        this.add({ kind: 'load', id: place.id, name: place.name, total: ratedG, free: always(ratedG) });
    }
    for (const { owned, inUse, ...container } of containers)
      this.add({
        kind: 'container',
        id: sizeKey(container),
        name: container.name,
        total: owned ?? Math.max(1, inUse),
        free: always(owned ?? Math.max(1, inUse))
      });
    for (const { crop, seedG } of growables.flatMap(({ parts }) => parts))
      if (seedG !== null)
        this.add({
          kind: 'seed',
          id: crop.key,
          name: crop.name,
          total: seedG,
          free: new Float64Array([seedG])
        });
  }

  /** Whether all containers together might not find room on one board. */
  get mightBeFull(): boolean {
    const fronts = this.input.containers.reduce(
      (sum, container) => sum + frontCm(container, this.containers(container)),
      0
    );
    return this.all.some(({ kind, free }) => kind === 'board' && Math.min(...free) < fronts);
  }

  private add(resource: Resource): void {
    const key = `${resource.kind} ${resource.id}`;
    if (this.index.has(key)) return;
    this.index.set(key, this.all.length);
    this.all.push(resource);
  }

  private at(kind: Resource['kind'], id: string): number | undefined {
    return this.index.get(`${kind} ${id}`);
  }

  /** How many of a kind there are at most on any day. */
  containers(container: Container): number {
    const at = this.at('container', sizeKey(container));
    return at === undefined ? 0 : Math.max(0, ...this.all[at]!.free);
  }

  /** What stands or is planned in one container takes, and until when. */
  of(standing: Standing): Use[] {
    const { horizon, context } = this.input;
    const weightG = standing.sowings.reduce((sum, half) => sum + mostWeightG(half), 0);
    const whole = standOf(standing);
    const taken = standsOf(standing).flatMap((stand): [Resource['kind'], string, number, Stand][] => [
      ['board', stand.placeId, stand.frontCm, stand],
      ['load', stand.placeId, weightG, stand]
    ]);
    // Its seed was taken from its lot when it was planned.
    return [...taken, ['container', whole.size, whole.count, whole] as const].flatMap(
      ([kind, id, amount, stand]): Use[] => {
        const resource = this.at(kind, id);
        const [from, until] = daysTaken(stand, horizon, context.rhythm);
        return resource === undefined ? [] : [{ resource, from, until, amount }];
      }
    );
  }

  /** What one container of a crop would take, place by place. */
  wanted(
    stays: readonly { place: Place; from: number; until: number }[],
    container: ContainerStock,
    { seed, loadG }: { seed: readonly PartSeed[]; loadG: number }
  ): Use[] {
    const whole = { from: stays[0]!.from, until: stays.at(-1)!.until };
    const uses = stays.map(({ place, from, until }): Use => ({
      resource: this.at('board', place.id)!,
      from,
      until,
      amount: frontCm(container, 1)
    }));
    uses.push({ resource: this.at('container', sizeKey(container))!, ...whole, amount: 1 });
    for (const { place, from, until } of stays) {
      const load = this.at('load', place.id);
      if (load !== undefined) uses.push({ resource: load, from, until, amount: loadG });
    }
    for (const { cropKey, g } of seed) {
      const stock = this.at('seed', cropKey);
      if (stock !== undefined) uses.push({ resource: stock, from: 0, until: 1, amount: g });
    }
    return uses;
  }

  take({ resource, from, until, amount }: Use): void {
    const { free } = this.all[resource]!;
    for (let day = from; day < Math.min(until, free.length); day += 1) free[day]! -= amount;
  }
}
