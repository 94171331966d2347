import type { HandleClientError } from '@sveltejs/kit';

/** What went wrong in the browser, told plainly; what a lost network did is told as that. */
export const handleError: HandleClientError = ({ error, message }) => {
  console.warn(error);
  const lost = error instanceof TypeError && (!navigator.onLine || /fetch|load|network/i.test(error.message));
  return { message: lost ? NO_NETWORK : message };
};

const NO_NETWORK =
  'There is no network, and this page was not opened on this device before. What you touched is kept, and sent later.';
