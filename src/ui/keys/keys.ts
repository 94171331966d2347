/** What a single key does. */
export type KeyAct =
  'find' | 'help' | 'sow' | 'next' | 'previous' | 'done' | 'shelf' | 'dry' | 'right' | 'wet' | 'undo';

/** The keys, in the order in which they are explained. */
export const KEYS: readonly (readonly [key: string, act: KeyAct])[] = [
  ['/', 'find'],
  ['j', 'next'],
  ['k', 'previous'],
  ['x', 'done'],
  ['s', 'shelf'],
  ['d', 'dry'],
  ['r', 'right'],
  ['w', 'wet'],
  ['u', 'undo'],
  ['n', 'sow'],
  ['?', 'help']
];

/** What a pressed key does here; null for nothing: while somebody types, with a modifier, or where a page has taken it. */
export function actOf(
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'defaultPrevented' | 'target'>
): KeyAct | null {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return null;
  if (
    (event.target as Partial<Element> | null)?.closest?.(
      'input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable], dialog, [role=dialog]'
    )
  )
    return null;
  return KEYS.find(([key]) => key === event.key)?.[1] ?? null;
}

const OFF = 'brote.keys';

/** Whether single keys act on this device: somebody who speaks to it, or presses keys by accident, turns them off. */
export const keysAct = (): boolean => localStorage.getItem(OFF) !== 'off';
export function letKeysAct(act: boolean): void {
  if (act) localStorage.removeItem(OFF);
  else localStorage.setItem(OFF, 'off');
}
