import { t } from '$messages/t.ts';
import type { ClientInit, HandleClientError } from '@sveltejs/kit';
import { readFirstView } from '$messages/inBrowser.ts';

export const init: ClientInit = readFirstView;

/** What went wrong in the browser, told plainly; what a lost network did is told as that. */
export const handleError: HandleClientError = ({ error, message }) => {
  console.warn(error);
  const lost = error instanceof TypeError && (!navigator.onLine || /fetch|load|network/i.test(error.message));
  return { message: lost ? t('app.offline.unseen') : message };
};
