import { t } from '$messages/t.ts';
import { error, redirect } from '@sveltejs/kit';
import { changeContainer, listContainerStock, retireContainer } from '$server/sowings/containers.ts';
import { check } from '$contract/schemas/check.ts';
import { containerStockSchema } from '$contract/schemas/cupboard.ts';
import { plainNumber, plainQuantity } from '$contract/schemas/plainNumber.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const containers = await inSession(locals, listContainerStock);
  const container = containers.find(({ id }) => id === params.id);
  if (!container) error(404, t('bench.thereNoSuchContainerCupboard'));
  return { container };
};

export const actions: Actions = {
  save: form(async ({ locals, params }, fields) => {
    const { units } = signedIn(locals).household;
    const before = (await inSession(locals, listContainerStock)).find(({ id }) => id === params.id);
    const checked = check(containerStockSchema, {
      id: params.id,
      name: fields.name,
      drains: fields.drains === 'yes',
      emptyG: plainQuantity(fields.emptyG, 'mass', units, before?.emptyG),
      reservoirMl: plainQuantity(fields.reservoirMl, 'volume', units, before?.reservoirMl),
      owned: plainNumber(fields.owned)
    });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { id, name, drains, emptyG, reservoirMl, owned } = checked.value;
    await inSession(locals, (tx) =>
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
  }),
  retire: form(async ({ locals, params }) => {
    await inSession(locals, (tx) => retireContainer(tx, params.id));
    redirect(303, '/bench/cupboard');
  })
};
