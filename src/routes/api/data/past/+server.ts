import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import { findCrop } from '$core/crops/library.ts';
import type { PastSowing } from '$core/notebook/past/pastSowing.ts';
import { check } from '$contract/schemas/check.ts';
import { pastSchema } from '$contract/schemas/past.ts';
import { NoPlace, pastTeaches, takePast, type PastPart } from '$server/app/takePast.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

const wrong = (message: string) => json({ code: 'wrong', message }, { status: 422 });

/** Imports a part of a list of past sowings, or tells what it would teach. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const checked = check(pastSchema, await readJson(request));
  if (!checked.ok) return wrong(Object.values(checked.errors)[0] ?? '');
  const { dry, ...part } = checked.value as unknown as PastPart & { dry: boolean };
  const own = await inSession(locals, ownCropsOf);
  const unknown = part.sowings.find(({ cropKey }: PastSowing) => !findCrop(cropKey, own));
  if (unknown) return wrong(t('api.thereNoCropCropkeyAny', { cropKey: unknown.cropKey }));
  try {
    if (dry) return json({ taught: await inSession(locals, (tx) => pastTeaches(tx, session, part)) });
    return json({ added: await inSession(locals, (tx) => takePast(tx, session, part)) });
  } catch (error) {
    if (!(error instanceof NoPlace)) throw error;
    return wrong(t('api.placeNotOnYourShelf'));
  }
});
