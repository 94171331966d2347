import type { EventBody, Handling, Washing } from '../sowing/event.ts';
import { evenPortion, PORTION } from './amounts.ts';

/** How greens lie until they are pressed, the same hour. */
export const UNTIL_PRESSED: Handling['packing'] = 'open-bag';

/**
 * What pressing all of a cut to juice records, beside the cut itself.
 * @param cutId of the event of the cut
 * @param netG what was cut
 * @param juiceMl what it gave; portions of it come out even
 */
export const pressedBody = (
  cutId: string,
  netG: number,
  juiceMl: number,
  washing: Washing
): Extract<EventBody, { type: 'packed' }> => ({
  type: 'packed',
  from: cutId,
  amount: netG,
  packing: 'juice',
  washing,
  made: juiceMl,
  portion: evenPortion(juiceMl, PORTION.juiceMl)
});

/** Whether a crop is pressed for its juice: a grass, cut green. */
export const isJuiced = ({ family }: { family: string }): boolean => family === 'Poaceae';
