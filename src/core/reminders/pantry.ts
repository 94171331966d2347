import { pantryOf } from '../pantry/item.ts';
import { WARN_D } from '../pantry/order.ts';
import type { Projected } from '../sowing/project.ts';
import { roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';

/**
 * What is in the pantry and goes: each once, at the first round of the day before its best is over; until it is past what it
 * keeps to.
 * @param kept sowings of which something is in the pantry
 */
export const pantryReminders = (inPantry: readonly Projected[], rhythm: Rhythm): Candidate[] =>
  inPantry.flatMap((sowing) =>
    pantryOf(sowing, rhythm.zone).items.flatMap((item): Candidate[] => {
      const { zone } = rhythm;
      const day = zone.at(zone.date(item.bestBy).subtract({ days: WARN_D }), 0);
      const dueAt = roundsBetween(rhythm, Math.max(day, item.packedAt), day + 3 * DAY)[0];
      if (dueAt === undefined) return [];
      const until: Millis = zone.at(zone.date(item.keepsTo).add({ days: 1 }), 0);
      return [
        {
          key: `keeps:${item.id}`,
          kind: 'window',
          dueAt,
          until,
          body: () => ({
            type: 'keeps',
            sowingId: item.sowingId,
            crop: item.crop.name,
            packing: item.packing,
            left: item.left,
            unit: item.unit,
            bestBy: item.bestBy,
            keepsTo: item.keepsTo
          })
        }
      ];
    })
  );
