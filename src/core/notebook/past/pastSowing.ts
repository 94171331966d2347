import type { LossReason } from '../../sowing/event.ts';
import type { MediumKind } from '../../supplies/media/medium.ts';
import type { Millis } from '../../time/zone.ts';

/** What a past sowing grew in: a container of the household, or a size in cm; with a length alone, a round one of that diameter. */
export type PastContainer = { id: string } | { lengthCm: number; widthCm: number | null };

/** One past sowing as a list tells it; null for what the list does not tell. */
export interface PastSowing {
  cropKey: string;
  sownAt: Millis;
  openedAt: Millis | null;
  cutAt: Millis | null;
  cutG: number | null;
  seedG: number | null;
  container: PastContainer | null;
  count: number;
  medium: MediumKind | null;
  placeId: string | null;
  lost: LossReason | null;
  note: string | null;
  /** How many lines before it in its list say the very same: two trays alike are two sowings. */
  copy: number;
}

/** Sowings that are sent at once. */
export const PAST_PART = 100;

/** Bounds outside of which a figure of a past sowing is a slip or a wrong unit. */
export const PAST_BOUNDS = { cutG: 50_000, seedG: 5_000, count: 60, note: 2000 } as const;
