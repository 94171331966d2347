import { VIEWS } from '$catalogue/views.ts';

const URLS = import.meta.glob<string>('./compiled/*/views/*.json', {
  query: '?url',
  import: 'default',
  eager: true
});

/** Where the messages of a view are fetched from: those that all views share, and its own. */
export function viewUrls(language: string, route: string | null): string[] {
  const files = [VIEWS.shared!, ...(route && VIEWS[route] ? [VIEWS[route]!] : [])];
  return files.flatMap((file) => URLS[`./compiled/${language}/views/${file}.json`] ?? []);
}
