import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { storyJson } from '$server/data/storyJson.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** One sowing with all that happened to it, to be read by people and programs. */
export const GET: RequestHandler = api(async ({ locals, params }) => {
  signedIn(locals);
  const story = await inSession(locals, (tx) => storyJson(tx, params.id));
  if (!story) error(404, t('tray.thereNoSuchTrayHere'));
  return new Response(`${JSON.stringify(story, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="sowing.json"'
    }
  });
});
