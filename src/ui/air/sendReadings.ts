import { t } from '$messages/t.ts';
import type { Reading } from '$core/places/air/reading.ts';
import { post } from '$ui/state/ask.ts';

/** What became of readings that were sent. */
export interface SentReadings {
  taken: number;
  added: number;
  refused: { line: number; say: string; fahrenheit: number | null }[];
}

/** Sends readings of a place. @returns what became of them, or a sentence where none arrived */
export async function sendReadings(
  placeId: string,
  from: 'hand' | 'file',
  readings: readonly (Omit<Reading, 'at'> & { at: number | null })[]
): Promise<SentReadings | string> {
  const answer = await post(`/api/places/${placeId}/readings?from=${from}`, { readings });
  if (!answer || answer.status >= 500) return t('shelf.noConnectionNothingWasSent');
  const told = (await answer.json()) as SentReadings | { message: string };
  return 'message' in told ? told.message : told;
}
