import { enhance as enhanceForm } from '$app/forms';
import { invalidate, invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/**
 * Loads the page's data again, once no navigation is under way. SvelteKit drops a navigation if data are reloaded during it:
 * somebody who presses a link just as the page brings itself up to date would stay where they are.
 * @param dependency what the loads to run again depend on; all of them if not given
 */
export async function reload(dependency?: string): Promise<void> {
  await navigated();
  await (dependency === undefined ? invalidateAll() : invalidate(dependency));
}

/**
 * SvelteKit's `enhance`, whose reload after a submission waits in the same way.
 * @param options `reset: false` keeps what was typed in the form
 */
export const enhance = (form: HTMLFormElement, options: { reset?: boolean } = {}) =>
  enhanceForm(form, () => async ({ update }) => {
    await navigated();
    await update(options);
  });

/** Resolves once no navigation is under way; an aborted one is over too. */
async function navigated(): Promise<void> {
  let awaited: Promise<void> | null = null;
  while (navigating.complete !== null && navigating.complete !== awaited) {
    awaited = navigating.complete;
    await awaited.catch(() => {});
  }
}
