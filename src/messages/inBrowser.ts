import { language, readLanguageFrom, register, type Compilation } from './t.ts';

/** Whether the view that the page names is still to be drawn. */
let isFirstView = false;

const fetched = new Map<string, Promise<void>>();

/** Fetches messages once; a fetch that failed is tried again. */
function fetchMessages(url: string): Promise<void> {
  const known = fetched.get(url);
  if (known) return known;
  const fetching = fetch(url).then(async (answer) => {
    if (!answer.ok) throw new TypeError(`The messages could not be fetched: ${answer.status}`);
    register(language(), (await answer.json()) as Compilation);
  });
  fetched.set(url, fetching);
  fetching.catch(() => fetched.delete(url));
  return fetching;
}

/** Fetches the messages of the first view, which the page names, before it is drawn again. */
export async function readFirstView(): Promise<void> {
  readLanguageFrom(() => document.documentElement.lang);
  const named = [...document.querySelectorAll<HTMLLinkElement>('link[data-messages]')];
  isFirstView = true;
  await Promise.all(named.map((link) => fetchMessages(link.getAttribute('href')!)));
}

/** Fetches the messages of a view that is about to be shown; those of the first one have come with its page. */
export async function readView(route: string | null): Promise<void> {
  if (isFirstView) {
    isFirstView = false;
    return;
  }
  const { viewUrls } = await import('./viewUrls.ts');
  await Promise.all(viewUrls(language(), route).map(fetchMessages));
}
