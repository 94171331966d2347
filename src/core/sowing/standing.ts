import type { Projected } from './project.ts';

/** What stands in one container, or in several alike: one sowing, or two halves of it. It is carried, covered and watered as one. */
export interface Standing {
  /** The sowing's id, or for halves that of their container. */
  key: string;
  /** At least one. */
  sowings: readonly Projected[];
}

/** Sowings by the containers that they stand in, in the order given. */
export function standingOf(sowings: readonly Projected[]): Standing[] {
  const containers = new Map<string, Projected[]>();
  for (const sowing of sowings) {
    const key = sowing.setup.half?.trayId ?? sowing.setup.id;
    const there = containers.get(key);
    if (there) there.push(sowing);
    else containers.set(key, [sowing]);
  }
  // The half that was chosen first bears the container's id, and is named first wherever the container is.
  const first = ({ setup }: Projected) => (setup.id === setup.half?.trayId ? 0 : 1);
  return [...containers].map(([key, halves]) => ({
    key,
    sowings: halves.sort((one, other) => first(one) - first(other))
  }));
}
