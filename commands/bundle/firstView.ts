import type { Rolldown } from 'vite';

/** The round is opened first; the layouts and SvelteKit's own start stand around every page. */
const FIRST =
  /\/src\/routes\/(?:\(app\)\/round\/\+page|\(app\)\/\+layout|\+layout)\.(?:svelte|ts)$|\/client\/entry\.js$/;

const answers = new WeakMap<Rolldown.ChunkingContext, Map<string, boolean>>();

/**
 * Names the modules that the first view needs, so that they come in one file and nothing else with them: what
 * other views share is not fetched before it.
 * @returns `first` for a module that the round imports, by whatever way; null for all others
 */
export function firstView(id: string, modules: Rolldown.ChunkingContext): 'first' | null {
  const known = answers.get(modules) ?? new Map<string, boolean>();
  answers.set(modules, known);
  const seen = new Set([id]);
  for (const at of seen) {
    if (known.get(at) ?? FIRST.test(at)) {
      known.set(id, true);
      return 'first';
    }
    if (!known.has(at)) for (const importer of modules.getModuleInfo(at)?.importers ?? []) seen.add(importer);
  }
  for (const at of seen) known.set(at, false);
  return null;
}
