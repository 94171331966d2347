import { t } from '$messages/t.ts';
import type { Place } from '$core/places/place.ts';
import type { Projected } from '$core/sowing/project.ts';
import type { Journal, Recording } from '$ui/state/journal.svelte.ts';
import { cropNames } from '$words/containers.ts';

/** Records that a container was moved: two halves are one container, and move together. */
export const moveContainer = (
  journal: Journal,
  sowings: readonly Pick<Projected, 'setup' | 'crop'>[],
  { id, name }: Pick<Place, 'id' | 'name'>
): Promise<Recording> =>
  journal.recordAll(
    sowings.map(({ setup }) => ({ sowingId: setup.id, body: { type: 'moved', placeId: id } })),
    t('shelf.cropnamesMovedName', { cropNames: cropNames(sowings), name })
  );
