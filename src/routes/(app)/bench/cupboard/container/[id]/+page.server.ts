import { error, fail, redirect } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { changeContainer, listKeptContainers, retireContainer } from '$server/sowings/containers.ts';
import { check } from '$shared/schemas/check.ts';
import { keptContainerSchema } from '$shared/schemas/cupboard.ts';
import { plainNumber } from '$shared/schemas/plainNumber.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const containers = await inHousehold(locals.session!.household.id, listKeptContainers);
  const container = containers.find(({ id }) => id === params.id);
  if (!container) error(404, 'There is no such container in this cupboard.');
  return { container };
};

export const actions: Actions = {
  save: async ({ request, locals, params }) => {
    const kept = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = check(keptContainerSchema, {
      id: params.id,
      name: kept.name,
      drains: kept.drains === 'yes',
      emptyG: plainNumber(kept.emptyG, 'mass'),
      reservoirMl: plainNumber(kept.reservoirMl, 'volume'),
      owned: plainNumber(kept.owned)
    });
    if (!checked.ok) return fail(422, { kept, errors: checked.errors });
    const { id, name, drains, emptyG, reservoirMl, owned } = checked.value;
    await inHousehold(locals.session!.household.id, (tx) =>
      changeContainer(tx, {
        id,
        name,
        drains,
        emptyG: emptyG ?? null,
        reservoirMl: reservoirMl ?? null,
        owned: owned ?? null
      })
    );
    redirect(303, '/bench/cupboard');
  },
  retire: async ({ locals, params }) => {
    await inHousehold(locals.session!.household.id, (tx) => retireContainer(tx, params.id));
    redirect(303, '/bench/cupboard');
  }
};
