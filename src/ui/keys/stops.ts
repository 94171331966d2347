import type { KeyAct } from './keys.ts';

const heading = (stop: HTMLElement) => stop.querySelector<HTMLElement>(':is(h2, h3) a');
/** Trays on a page, in walking order, as far as they have something to go to. */
const stops = (): HTMLElement[] =>
  [...document.querySelectorAll<HTMLElement>('main article')].filter((stop) => heading(stop));

/** The tray that has the focus, or the first. */
const current = (): HTMLElement | null =>
  document.activeElement?.closest<HTMLElement>('main article') ??
  document.querySelector<HTMLElement>('main article');

/** Goes a tray on or back; from nowhere to the first. */
function go(by: 1 | -1): void {
  const all = stops();
  const at = all.findIndex((stop) => stop.contains(document.activeElement));
  const to = all[at < 0 ? 0 : Math.min(all.length - 1, Math.max(0, at + by))];
  if (!to) return;
  heading(to)?.focus();
  to.scrollIntoView({ block: 'nearest' });
}

/** Does at a tray what its own buttons do; nothing where it has none. */
export function actAtStop(act: KeyAct): void {
  switch (act) {
    case 'next':
      return go(1);
    case 'previous':
      return go(-1);
    case 'done':
      return current()?.querySelector<HTMLElement>('.tick:not(:disabled)')?.click();
    case 'shelf': {
      const place = current()?.closest<HTMLElement>('section[data-place]')?.dataset.place;
      return document.querySelector<HTMLElement>(`[data-key=shelf][data-place="${place}"]`)?.click();
    }
    case 'undo':
      return document.querySelector<HTMLElement>('[data-key=undo]')?.click();
    default:
      return current()?.querySelector<HTMLElement>(`[data-key=${act}]`)?.click();
  }
}
