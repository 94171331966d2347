import { text } from '@sveltejs/kit';
import { anyHousehold } from '$server/sessions/sessions.ts';

/** For whoever watches the server: answers when the database does. */
export const GET = async () => {
  await anyHousehold();
  return text('brote');
};
