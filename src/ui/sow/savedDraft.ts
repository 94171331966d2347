import type { Draft } from './draft.ts';

/** A form that was begun and not sent, with when it was last changed. */
export interface SavedDraft {
  at: number;
  draft: Draft;
}

/** What a household's form is kept under, in this window alone; another shape of it has another number. */
const keyOf = (householdId: string): string => `brote.draft.4.${householdId}`;

/** Keeps a form as it stands; one that is as it was first shown is not worth keeping. */
export function saveDraft(householdId: string, draft: Draft, first: Draft, at: number): void {
  if (JSON.stringify(draft) === JSON.stringify(first)) return;
  sessionStorage.setItem(keyOf(householdId), JSON.stringify({ at, draft } satisfies SavedDraft));
}

/** The form that was begun; null for none, or for one that cannot be read any more. */
export function readDraft(householdId: string): SavedDraft | null {
  try {
    const saved = JSON.parse(sessionStorage.getItem(keyOf(householdId)) ?? 'null') as SavedDraft | null;
    return saved && typeof saved.at === 'number' && saved.draft ? saved : null;
  } catch {
    return null;
  }
}

/** It was sent, or is begun afresh. */
export const dropDraft = (householdId: string): void => sessionStorage.removeItem(keyOf(householdId));
