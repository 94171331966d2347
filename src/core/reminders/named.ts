import type { Projected } from '../sowing/project.ts';
import type { Named } from './reminder.ts';

/** What stands in a container, as a reminder names it. */
export function namedOf(sowings: readonly Projected[]): Named {
  const { setup, place } = sowings[0]!;
  return {
    sowingId: setup.id,
    crops: sowings.map(({ crop }) => crop.name),
    of: { container: setup.container, count: setup.count, trayNo: setup.trayNo },
    placeName: place.name
  };
}
