import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  statSync,
  writeFileSync
} from 'node:fs';
import { dirname, join } from 'node:path';
import { newest } from './newest.ts';
import { Plain } from './say.ts';
import { parametersOf } from './messageParameters.ts';
import { keysByRoute } from './messageRoutes.ts';
import { PSEUDO } from '../../src/messages/pseudo.ts';
import { packed, type Compiled, type Element } from '../../src/messages/packed.ts';

const SOURCE = 'src/messages';
/** What is compiled from the catalogues. */
const CATALOGUE = 'src/messages/compiled';

type Compilation = Record<string, string | Element[]>;

const travelling = (message: string | Element[]): Compiled =>
  typeof message === 'string' ? message : packed(message);

const languages = (): string[] =>
  readdirSync(SOURCE, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() && entry.name !== 'compiled' ? [entry.name] : []
  );

/** Text needs no parts around it. */
const plain = (elements: Element[]): string | Element[] =>
  elements.every(({ type }) => type === 0) ? elements.map(({ value }) => value).join('') : elements;

function compile(language: string, pseudo = false): Compilation {
  const folder = join(SOURCE, language);
  const files = readdirSync(folder).map((name) => join(folder, name));
  const done = spawnSync(
    'node',
    [
      'node_modules/@formatjs/cli/bin/formatjs',
      'compile',
      '--ast',
      ...(pseudo ? ['--pseudo-locale', PSEUDO] : []),
      ...files
    ],
    { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 }
  );
  if (done.status !== 0) throw new Plain(`The messages in ${folder} cannot be compiled:\n${done.stderr}`);
  const parsed = JSON.parse(done.stdout) as Record<string, Element[]>;
  return Object.fromEntries(Object.entries(parsed).map(([key, elements]) => [key, plain(elements)]));
}

/** Writes a file where its content changed, and in one step: a build beside this one reads it whole. */
function write(path: string, content: string): void {
  if (existsSync(path) && readFileSync(path, 'utf8') === content) return;
  mkdirSync(dirname(path), { recursive: true });
  const half = `${path}.${process.pid}`;
  writeFileSync(half, content);
  renameSync(half, path);
}

/** A route's file: its id has signs that no file name may have. */
const fileOf = (route: string): string => route.replace(/[^a-z]+/gi, '-').replace(/^-|-$/g, '') || 'root';

type Branch = { [name: string]: Branch | 'string' };

/**
 * The type of the messages without parameters, by the parts of their keys.
 * @throws Plain where the key of one message is the beginning of another's
 */
function treeOf(messages: Compilation): string {
  const tree: Branch = {};
  for (const [key, message] of Object.entries(messages)) {
    const names = key.split('.');
    const last = names.pop()!;
    let at = tree;
    for (const name of names) {
      const next = (at[name] ??= {});
      if (next === 'string')
        throw new Plain(`The message ${key} needs another key: part of it is a message too.`);
      at = next;
    }
    if (typeof message === 'string') at[last] = 'string';
  }
  return `export type Tree = ${JSON.stringify(tree, null, 1).replaceAll('"string"', 'string')};\n`;
}

/** Compiles every catalogue: typed keys, all messages for the server, and for each view the messages that it uses. */
function compileMessages(): void {
  const compiled: Record<string, Compilation> = Object.fromEntries(
    languages().map((language) => [language, compile(language)])
  );
  compiled[PSEUDO] = compile('en', true);
  const english = compiled.en!;
  const typed = Object.keys(english)
    .sort()
    .map((key) => `  '${key}': ${parametersOf(english[key]!)};`);
  write(
    `${CATALOGUE}/keys.ts`,
    `/** The parameters of each message; null for none. */\nexport interface Messages {\n${typed.join('\n')}\n}\nexport type MessageKey = keyof Messages;\n${treeOf(english)}`
  );
  for (const [language, messages] of Object.entries(compiled))
    for (const [key, message] of Object.entries(messages)) {
      if (!(key in english)) throw new Plain(`${language} has a message ${key} that English lacks.`);
      const [own, meant] = [parametersOf(message), parametersOf(english[key]!)];
      if (own !== meant) throw new Plain(`The message ${key} takes ${meant}, but ${own} in ${language}.`);
    }
  const { shared, byRoute, computed } = keysByRoute(Object.keys(english));
  // A view's scripts and its messages name each message by a number, but for those whose key they put together.
  const shortKeys = Object.fromEntries(
    Object.keys(english)
      .sort()
      .flatMap((key, n) => (computed.has(key) ? [] : [[key, n.toString(36)]]))
  );
  write(`${CATALOGUE}/shortKeys.json`, JSON.stringify(shortKeys));
  const routes = ['shared', ...Object.keys(byRoute)];
  for (const [language, messages] of Object.entries(compiled)) {
    const all = Object.fromEntries(
      Object.entries(messages).map(([key, message]) => [key, travelling(message)])
    );
    write(`${CATALOGUE}/${language}/every.json`, JSON.stringify(all));
    // A browser has one language: what a regional one leaves to its own language comes in the same file.
    const own = compiled[language.split('-')[0]!] ?? english;
    const said = { ...english, ...own, ...messages };
    for (const route of routes) {
      const keys = route === 'shared' ? shared : byRoute[route]!;
      const chosen = keys.map((key) => [shortKeys[key] ?? key, travelling(said[key]!)]);
      write(
        `${CATALOGUE}/${language}/views/${fileOf(route)}.json`,
        JSON.stringify(Object.fromEntries(chosen))
      );
    }
  }
  const names = Object.keys(compiled);
  write(
    `${CATALOGUE}/every.ts`,
    `${names.map((name, n) => `import language${n} from './${name}/every.json' with { type: 'json' };`).join('\n')}\nexport const MESSAGES: Record<string, never> = { ${names.map((name, n) => `'${name}': language${n}`).join(', ')} } as never;\n`
  );
  write(
    `${CATALOGUE}/views.ts`,
    `/** The file of messages of each view, by its route. */\nexport const VIEWS: Readonly<Record<string, string>> = ${JSON.stringify(Object.fromEntries(routes.map((route) => [route, fileOf(route)])), null, 2)};\n`
  );
}

/** Compiles the catalogues if they changed, or what uses them. */
export function ensureMessages(): void {
  const stamp = `${CATALOGUE}/compiled`;
  const changed = Math.max(...['src', 'commands/lib'].map((path) => newest(path, CATALOGUE)));
  if (existsSync(stamp) && statSync(stamp).mtimeMs > changed) return;
  compileMessages();
  writeFileSync(stamp, '');
}
