import { browser } from '$app/environment';
import { readView } from '$messages/inBrowser.ts';
import type { LayoutLoad } from './$types';

/** A view's messages come before it does. The server has them all. */
export const load: LayoutLoad = async ({ route }) => {
  if (browser) await readView(route.id);
};
