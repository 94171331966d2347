import { IntlMessageFormat } from 'intl-messageformat';
import type { MessageKey, Messages, Tree } from '$catalogue/keys.ts';
import { PSEUDO } from './pseudo.ts';
import { unpacked, type Compiled, type Part } from './packed.ts';

export type Compilation = Readonly<Record<string, Compiled>>;

/** What a message is given; nothing for one without parameters. */
export type Params<K extends MessageKey> = Messages[K] extends null ? [] : [params: Messages[K]];

const catalogues = new Map<string, Record<string, Compiled>>();
const formats = new Map<string, IntlMessageFormat>();

/** Adds messages of a language to those that can be said. */
export function register(language: string, messages: Compilation): void {
  catalogues.set(language, { ...catalogues.get(language), ...messages });
}

let languageOf: () => string = () => 'en';
/** Says where the reader's language is found: on the server it goes by the request, in a browser by the document. */
export function readLanguageFrom(source: () => string): void {
  languageOf = source;
}
/** The language of whoever reads, as a BCP 47 tag. */
export const language = (): string => languageOf();

const fallbacks = new Map<string, readonly string[]>();
/** The languages in which a message is looked for: a regional one has only what differs from its own language. */
function fallbacksOf(tag: string): readonly string[] {
  let found = fallbacks.get(tag);
  if (!found) fallbacks.set(tag, (found = [...new Set([tag, tag.split('-')[0]!, 'en'])]));
  return found;
}

/** A message, and the reader's language: its figures go by that, whichever language the message was found in. */
function find(key: string): { tag: string; compiled: Compiled } {
  const tag = language();
  for (const each of fallbacksOf(tag)) {
    const compiled = catalogues.get(each)?.[key];
    if (compiled !== undefined) return { tag, compiled };
  }
  throw new Error(`The message “${key}” is not loaded in ${tag}.`);
}

function formatOf(key: string, tag: string, compiled: Part[]): IntlMessageFormat {
  const id = `${tag} ${key}`;
  let format = formats.get(id);
  if (!format) {
    format = new IntlMessageFormat(unpacked(compiled) as never, tagFor(tag));
    formats.set(id, format);
  }
  return format;
}

/** Numbers and dates of plain English go by the 24 h clock and day before month; the pseudo-language is English too. */
const FORMATTED_AS: Readonly<Record<string, string>> = { en: 'en-GB', [PSEUDO]: 'en-GB' };
const tagFor = (tag: string): string => FORMATTED_AS[tag] ?? tag;

/** The tag by which `Intl` formats numbers, dates and lists for whoever reads. */
export const formattedAs = (): string => tagFor(language());

/**
 * A message in the reader's language.
 * @throws Error where its part of the catalogue is not loaded
 * @example t('round.lead.need', { trays: 3 }) // 3 trays need you
 */
export function t<K extends MessageKey>(key: K, ...[params]: Params<K>): string {
  const { tag, compiled } = find(key);
  if (typeof compiled === 'string') return compiled;
  return String(formatOf(key, tag, compiled).format(params as never));
}

/** A piece of a message: text, and the tag around it; null for none. */
export interface Piece {
  text: string;
  tag: string | null;
}

/** A message with tags in it, such as `Not yours? <signIn>Sign in</signIn>`, in the pieces that it is drawn from. */
export function rich<K extends MessageKey>(key: K, ...[params]: Params<K>): Piece[] {
  const { tag, compiled } = find(key);
  if (typeof compiled === 'string') return [{ text: compiled, tag: null }];
  const tags = Object.fromEntries(
    compiled.flatMap((part) =>
      Array.isArray(part) && Array.isArray(part[1])
        ? [[part[0], (inner: string[]): Piece => ({ text: inner.join(''), tag: part[0] })]]
        : []
    )
  );
  const parts = formatOf(key, tag, compiled).format<Piece>({
    ...(params as object | undefined),
    ...tags
  } as never);
  return (Array.isArray(parts) ? parts : [parts]).map((part) =>
    typeof part === 'object' ? part : { text: String(part), tag: null }
  );
}

/** What stands in the catalogue at a path. */
type At<Tree, Path extends string> = Path extends `${infer First}.${infer Rest}`
  ? First extends keyof Tree
    ? At<Tree[First], Rest>
    : never
  : Path extends keyof Tree
    ? Tree[Path]
    : never;

/**
 * The messages whose keys begin with a prefix, each read when it is asked for: a module may hold a table of them, and the
 * words are still in the language of whoever reads. A name that has no message is undefined, as in any object.
 * @example const STEP_NAMES = table('steps.step'); STEP_NAMES.soak // Soak
 */
export function table<const P extends string>(prefix: P): At<Tree, P> {
  const isThere = (key: string): boolean =>
    fallbacksOf(language()).some((tag) => catalogues.get(tag)?.[key] !== undefined);
  const below = (path: string): string[] =>
    fallbacksOf(language())
      .flatMap((tag) => Object.keys(catalogues.get(tag) ?? {}))
      .filter((key) => key.startsWith(`${path}.`));
  const names = (): string[] => [
    ...new Set(below(prefix).map((key) => key.slice(prefix.length + 1).split('.')[0]!))
  ];
  const read = (name: string | symbol): unknown => {
    if (typeof name === 'symbol') return undefined;
    const key = `${prefix}.${name}`;
    if (isThere(key)) return t(key as never);
    return below(key).length > 0 ? table(key) : undefined;
  };
  return new Proxy({} as never, {
    get: (_, name) => read(name),
    has: (_, name) => names().includes(String(name)),
    ownKeys: names,
    getOwnPropertyDescriptor: (_, name) => ({ configurable: true, enumerable: true, value: read(name) })
  });
}
