import { untrack } from 'svelte';
import { browser } from '$app/environment';
import { page } from '$ui/state/hydrated.svelte.ts';

/** What was typed into or chosen in a field before the page's scripts had come: they would begin with it empty. */
export const typedBefore = (name: string): string =>
  browser && !untrack(() => page.hydrated)
    ? (document.querySelector<HTMLInputElement | HTMLSelectElement>(`form [name="${CSS.escape(name)}"]`)
        ?.value ?? '')
    : '';
