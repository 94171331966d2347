import type { SeedData } from '$core/choice/choiceData.ts';
import { figure } from '$core/units/format.ts';
import { readNumber } from '$core/units/parseQuantity.ts';
import type { SeedDraft } from '$ui/sow/draft.ts';

/** The seed of an order as its form has it. */
export const draftOf = ({ parts, shareOf }: SeedData): SeedDraft => ({
  kind: parts.length > 1 ? 'blended' : 'one',
  parts: parts.map(({ cropKey, lotId, share }) => ({ cropKey, lotId: lotId ?? '', share: figure(share) })),
  shareOf
});

/** The seed that a form has, by keys: an empty key and NaN for what is not chosen yet. */
export const seedOfDraft = ({ kind, parts, shareOf }: SeedDraft): SeedData => ({
  parts: (kind === 'one' ? parts.slice(0, 1) : parts).map(({ cropKey, lotId, share }) => ({
    cropKey,
    lotId: kind === 'one' ? null : lotId || null,
    share: kind === 'one' ? 1 : (readNumber(share) ?? NaN)
  })),
  shareOf
});
