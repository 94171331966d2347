import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** A message that so many views use, or their frame, comes once for all of them. */
const SHARED_BY = 8;

const ALIAS: Readonly<Record<string, string>> = {
  $ui: 'src/ui',
  $words: 'src/words',
  $contract: 'src/contract',
  $core: 'src/core',
  $messages: 'src/messages'
};

const IMPORT = /(?:from|import)\s*\(?\s*'([^']+)'/g;
/** A key as it is written, or all that begin so where it goes on with something computed, or names a group. */
const USED = /\b(?:t|rich)\(\s*(?:'([^']+)'|`([^`$]*)\$\{)|\btable\(\s*'([^']+)'|<Rich\s+id="([^"]+)"/g;

/** What a module uses of the catalogue: keys, and beginnings of keys. */
interface Uses {
  keys: Set<string>;
  beginnings: Set<string>;
}

const modules = new Map<string, { uses: Uses; imports: string[] }>();

function read(path: string): { uses: Uses; imports: string[] } {
  const known = modules.get(path);
  if (known) return known;
  const text = readFileSync(path, 'utf8');
  const uses: Uses = { keys: new Set(), beginnings: new Set() };
  for (const [, key, beginning, group, rich] of text.matchAll(USED)) {
    if (key ?? rich) uses.keys.add((key ?? rich)!);
    if (beginning) uses.beginnings.add(beginning);
    if (group) uses.beginnings.add(`${group}.`);
  }
  const imports = [...text.matchAll(IMPORT)].flatMap(([, name]) => resolved(name!, path) ?? []);
  const found = { uses, imports };
  modules.set(path, found);
  return found;
}

function resolved(name: string, from: string): string | null {
  const [alias, ...rest] = name.split('/');
  const path = name.startsWith('.')
    ? join(dirname(from), name)
    : ALIAS[alias!]
      ? join(ALIAS[alias!]!, ...rest)
      : null;
  return path && existsSync(path) && /\.(ts|svelte)$/.test(path) ? path : null;
}

function usedFrom(entries: string[]): Set<string> {
  const [keys, beginnings] = [new Set<string>(), new Set<string>()];
  const seen = new Set<string>();
  const open = [...entries];
  for (let path = open.pop(); path; path = open.pop()) {
    if (seen.has(path)) continue;
    seen.add(path);
    const { uses, imports } = read(path);
    for (const key of uses.keys) keys.add(key);
    for (const beginning of uses.beginnings) beginnings.add(beginning);
    open.push(...imports);
  }
  return new Set([...keys, ...[...beginnings].map((beginning) => `${beginning}*`)]);
}

/** The route ids of all views with the files of their own, the layouts around them included. */
function views(): { route: string; files: string[] }[] {
  const found: { route: string; files: string[] }[] = [];
  const walk = (folder: string, route: string) => {
    const names = readdirSync(folder, { withFileTypes: true });
    if (names.some(({ name }) => name === '+page.svelte'))
      found.push({ route: route || '/', files: [join(folder, '+page.svelte')] });
    for (const entry of names)
      if (entry.isDirectory()) walk(join(folder, entry.name), `${route}/${entry.name}`);
  };
  walk('src/routes', '');
  return found;
}

/**
 * Which messages each view needs, by the modules it is made of, and which all of them share: what stands around every
 * view, and what many use.
 * @param all every key of the catalogue
 */
export function keysByRoute(all: string[]): {
  shared: string[];
  byRoute: Record<string, string[]>;
  /** Keys that some module puts together from parts. */
  computed: ReadonlySet<string>;
} {
  modules.clear();
  const isUsed = (used: Set<string>) => {
    const beginnings = [...used].flatMap((one) => (one.endsWith('*') ? [one.slice(0, -1)] : []));
    return (key: string) => used.has(key) || beginnings.some((beginning) => key.startsWith(beginning));
  };
  const frame = isUsed(
    usedFrom([
      'src/routes/+layout.svelte',
      'src/routes/+error.svelte',
      'src/routes/(app)/+layout.svelte',
      'src/hooks.client.ts'
    ])
  );
  const needed = views().map(({ route, files }) => ({ route, keys: all.filter(isUsed(usedFrom(files))) }));
  const times = new Map<string, number>();
  for (const { keys } of needed) for (const key of keys) times.set(key, (times.get(key) ?? 0) + 1);
  const isShared = (key: string) => frame(key) || (times.get(key) ?? 0) >= SHARED_BY;
  const beginnings = [...modules.values()].flatMap(({ uses }) => [...uses.beginnings]);
  return {
    computed: new Set(all.filter((key) => beginnings.some((beginning) => key.startsWith(beginning)))),
    shared: all.filter(isShared),
    byRoute: Object.fromEntries(
      needed.map(({ route, keys }) => [route, keys.filter((key) => !isShared(key))])
    )
  };
}
