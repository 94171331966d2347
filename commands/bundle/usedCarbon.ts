import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';

const CARBON = 'node_modules/carbon-components-svelte/src';
/** Classes, elements and attributes that a source names; a name cut off by `${` begins many. */
const NAME = /[A-Za-z][\w-]*/g;

const sources = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(svelte|html)$/.test(name))
    .map((name) => join(folder, name));

/** The components of Carbon that our own import, and those that these import. */
function usedComponents(ours: string[]): string[] {
  const at = new Map(sources(CARBON).map((path) => [path.split('/').at(-1)!.replace('.svelte', ''), path]));
  const used = new Set<string>();
  const visit = (path: string) => {
    if (used.has(path)) return;
    used.add(path);
    for (const [, from] of readFileSync(path, 'utf8').matchAll(/from "(\.[^"]+\.svelte)"/g))
      visit(join(dirname(path), from!));
  };
  for (const path of ours)
    for (const [, names] of readFileSync(path, 'utf8').matchAll(
      /import \{([^}]+)\} from 'carbon-components-svelte'/g
    ))
      for (const name of names!.split(',')) {
        const path = at.get(name.trim());
        if (path) visit(path);
      }
  return [...used];
}

/** Drops the rules of Carbon's stylesheet for components that no page shows, and its other themes. */
export function usedCarbon(): Plugin {
  return {
    name: 'brote:used-carbon',
    enforce: 'pre',
    async transform(css, id) {
      if (!id.endsWith('carbon-components-svelte/css/all.css')) return null;
      const ours = sources('src');
      const written = [...ours, ...usedComponents(ours)].map((path) => readFileSync(path, 'utf8')).join('\n');
      const names = new Set(written.match(NAME));
      const begun = [...names].filter((name) => /^bx--.*-$/.test(name));
      const [purged] = await new PurgeCSS().purge({
        content: [{ raw: [...names].join(' '), extension: 'txt' }],
        css: [{ raw: css }],
        defaultExtractor: (text) => text.split(' '),
        keyframes: true,
        variables: false,
        safelist: { standard: begun.map((name) => new RegExp(`^${name}`)) },
        blocklist: [/^\[theme=/]
      });
      return { code: purged!.css, map: null };
    }
  };
}
