import { viewUrls } from '$messages/viewUrls.ts';

/** What the head of a page says of its messages: where they are, so that they come along with its scripts. */
export const messageLinks = (language: string, route: string | null): string =>
  viewUrls(language, route)
    // eslint-disable-next-line brote/no-prose -- HTML
    .map((url) => `<link rel="preload" as="fetch" crossorigin="anonymous" href="${url}" data-messages />`)
    .join('\n    ');
