import type { Crop } from '../crops/crop.ts';
import type { Packing, Spoil, Washing } from '../sowing/event.ts';
import type { Cut, AfterCut, SowingState } from '../sowing/reduce.ts';
import type { Projected } from '../sowing/project.ts';
import type { Zone } from '../time/zone.ts';
import type { Millis } from '../time/zone.ts';
import { isTurned, packedDays } from './keeping.ts';

/** What an amount of something is counted in. */
export type PantryUnit = 'g' | 'mL';

/** Something in the pantry: what one cut gave, or what was made of a part of it. Amounts in its own unit. */
export interface PantryItem {
  /** Of the event that it came of. */
  id: string;
  sowingId: string;
  crop: Crop;
  cutAt: Millis;
  packedAt: Millis;
  packing: Exclude<Packing, 'plate'>;
  washing: Washing;
  unit: PantryUnit;
  made: number;
  left: number;
  /** The size of a portion; null where it is not portioned. */
  portion: number | null;
  /** Best eaten by the first, and not kept past the second: days of the household. */
  bestBy: Millis;
  keepsTo: Millis;
}

/** Where all that was cut of a sowing went, g of fresh greens: what was pressed or dried counts as what it was made of. */
export interface Fate {
  eatenG: number;
  givenG: number;
  thrownG: number;
  keptG: number;
  /** Cut before anybody asked how it is kept. */
  untoldG: number;
  spoils: Partial<Record<Spoil, number>>;
}

export const unitOfPacking = (packing: Packing): PantryUnit =>
  packing === 'juice' || packing === 'frozen-juice' ? 'mL' : 'g';

/** What the item that something is taken from is counted in: what was packed anew may be juice, what was cut is greens. */
export const unitTaken = ({ afterCut }: Pick<SowingState, 'afterCut'>, from: string): PantryUnit => {
  const packed = afterCut.find(({ eventId }) => eventId === from)?.body;
  return packed?.type === 'packed' ? unitOfPacking(packed.packing) : 'g';
};

/** An item with how much fresh green one unit of it stands for. */
interface Traced extends PantryItem {
  freshPer: number;
}

export interface Pantry {
  items: PantryItem[];
  fate: Fate;
}

/** Less than this is nothing left. */
const NOTHING = 0.05;

const pantries = new WeakMap<Projected, Pantry>();

/**
 * What is in the pantry of a sowing and where the rest went, by its events in their order. Nothing is taken that was not
 * there: of what is more than an item holds, what it holds is taken.
 */
export function pantryOf(sowing: Projected, zone: Zone): Pantry {
  let pantry = pantries.get(sowing);
  if (!pantry) pantries.set(sowing, (pantry = workedOut(sowing, zone)));
  return pantry;
}

function workedOut({ setup, crop, state }: Projected, zone: Zone): Pantry {
  const items = new Map<string, Traced>();
  const fate: Fate = { eatenG: 0, givenG: 0, thrownG: 0, keptG: 0, untoldG: 0, spoils: {} };
  const cutOf = (cut: Cut): void => {
    const { handling, netG, at, eventId } = cut;
    if (handling === null) fate.untoldG += netG;
    else if (handling.packing === 'plate') fate.eatenG += netG;
    else
      items.set(eventId, {
        id: eventId,
        sowingId: setup.id,
        crop,
        cutAt: at,
        packedAt: at,
        packing: handling.packing,
        washing: handling.washing,
        unit: 'g',
        made: netG,
        left: netG,
        portion: null,
        freshPer: 1,
        ...datesOf(crop, handling.packing, handling.washing, { cutAt: at, packedAt: at }, zone)
      });
  };
  const followCut = ({ eventId, at, body }: AfterCut): void => {
    const from = items.get(body.from);
    if (!from) return;
    // What next to nothing would be left of is taken whole: nothing is lost to rounding.
    const amount = from.left - body.amount < NOTHING ? from.left : body.amount;
    if (amount <= 0) return;
    from.left -= amount;
    const freshG = amount * from.freshPer;
    if (body.type === 'taken') fate[body.to === 'eaten' ? 'eatenG' : 'givenG'] += freshG;
    else if (body.type === 'thrown') {
      fate.thrownG += freshG;
      fate.spoils[body.reason] = (fate.spoils[body.reason] ?? 0) + freshG;
    } else {
      const { packing, washing, made, portion = null } = body;
      items.set(eventId, {
        ...from,
        id: eventId,
        packedAt: at,
        packing,
        washing,
        unit: unitOfPacking(packing),
        made,
        left: made,
        portion,
        freshPer: made > 0 ? freshG / made : 0,
        ...datesOf(crop, packing, washing, { cutAt: from.cutAt, packedAt: at }, zone)
      });
    }
  };
  const facts = [
    ...state.cuts.map((cut) => ({ at: cut.at, order: 0, take: () => cutOf(cut) })),
    ...state.afterCut.map((one) => ({ at: one.at, order: 1, take: () => followCut(one) }))
  ].sort((a, b) => a.at - b.at || a.order - b.order);
  for (const { take } of facts) take();
  const left = [...items.values()].filter((item) => item.left > 0);
  fate.keptG = left.reduce((sum, item) => sum + item.left * item.freshPer, 0);
  return { items: left.map(({ freshPer: _, ...item }) => item), fate };
}

/** Whole days of the household, counted from the day of the cut, or of what it was turned into. */
function datesOf(
  crop: Crop,
  packing: Exclude<Packing, 'plate'>,
  washing: Washing,
  { cutAt, packedAt }: { cutAt: Millis; packedAt: Millis },
  zone: Zone
): { bestBy: Millis; keepsTo: Millis } {
  const { minD, maxD } = packedDays(crop, packing, washing);
  const day = zone.date(isTurned(packing) ? packedAt : cutAt);
  // Noon of a day names it in any zone's clock changes.
  const on = (days: number): Millis => zone.at(day.add({ days }), NOON_MIN);
  return { bestBy: on(minD), keepsTo: on(maxD) };
}

const NOON_MIN = 720;
