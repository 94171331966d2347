import type { Action } from 'svelte/action';

/** How far each key goes among the buttons of a toolbar; to an end by an infinite step. */
const STEPS: Record<string, number> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
  Home: -Infinity,
  End: Infinity
};

/** Which button a key leads to from the one at `at`, of so many; an arrow goes round at the ends, null for another key. */
export function stepped(key: string, at: number, many: number): number | null {
  const by = STEPS[key];
  if (by === undefined || many === 0) return null;
  if (!Number.isFinite(by)) return by < 0 ? 0 : many - 1;
  return (at + by + many) % many;
}

/**
 * Makes the buttons of a toolbar one stop of the Tab key, with arrow keys, Home and End among them (the toolbar pattern of
 * the ARIA practices). The stop is the button that was used last, or else the first that is pressed, or the first.
 */
export const oneStop: Action<HTMLElement> = (node) => {
  let last: HTMLElement | null = null;
  const buttons = () => [...node.querySelectorAll<HTMLButtonElement>('button:not(:disabled)')];
  function settle() {
    const all = buttons();
    const stop =
      all.find((one) => one === last) ??
      all.find((one) => one.getAttribute('aria-pressed') === 'true') ??
      all[0];
    for (const one of all) one.tabIndex = one === stop ? 0 : -1;
  }
  function focused({ target }: FocusEvent) {
    last = (target as Element).closest('button');
    settle();
  }
  function pressed(event: KeyboardEvent) {
    const all = buttons();
    const to = stepped(event.key, all.indexOf(document.activeElement as HTMLButtonElement), all.length);
    if (to === null || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    all[to]!.focus();
  }
  node.addEventListener('focusin', focused);
  node.addEventListener('keydown', pressed);
  // Buttons come and go, and one that is disabled is no stop.
  const changes = new MutationObserver(settle);
  changes.observe(node, { childList: true, subtree: true, attributeFilter: ['disabled'] });
  settle();
  return {
    destroy() {
      changes.disconnect();
      node.removeEventListener('focusin', focused);
      node.removeEventListener('keydown', pressed);
    }
  };
};
