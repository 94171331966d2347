import { observe, without, type Gaussian } from '../stats/gaussian.ts';

/** Standard deviations on the log scale of how much faster or slower water goes than the figures say. */
export const THIRST_SPREAD = {
  /** The household: its air, its mediums, its hygrometer (docs/model.md, 6). */
  household: 0.3,
  /** One sowing: how thick it stands, where exactly (starting figure). */
  sowing: 0.1
} as const;

/** What trays taught of a household's water: those that ended together, those under way one by one. */
export interface ThirstLearned {
  ended: Gaussian | null;
  underWay: readonly { sowingId: string; message: Gaussian }[];
}

const PRIOR: Gaussian = { mean: 0, variance: THIRST_SPREAD.household ** 2 };

interface Known {
  belief: Gaussian;
  messages: number;
  own: ReadonlyMap<string, Gaussian>;
}

/** Worked out once for all the sowings of a page. */
const known = new WeakMap<ThirstLearned, Known>();

function knownOf(learned: ThirstLearned): Known {
  let found = known.get(learned);
  if (!found) {
    const own = new Map(learned.underWay.map(({ sowingId, message }) => [sowingId, message]));
    const messages = [...(learned.ended ? [learned.ended] : []), ...own.values()];
    found = { belief: messages.reduce(observe, PRIOR), messages: messages.length, own };
    known.set(learned, found);
  }
  return found;
}

/** What the household believes of its factor on water loss, leaving out what one sowing said itself. */
export function thirstBelief(learned: ThirstLearned | undefined, exceptId?: string): Gaussian {
  if (!learned) return PRIOR;
  const { belief, messages, own } = knownOf(learned);
  const mine = exceptId === undefined ? undefined : own.get(exceptId);
  if (!mine) return belief;
  return messages === 1 ? PRIOR : without(belief, mine);
}

/** Known so well, and so far off, a household's factor is worth saying (starting figures). */
const SAID = { variance: 0.04, percent: 5 };

/** How much faster water goes here than the figures say, in percent; negative for slower. Null while it is not worth saying. */
export function thirstSaid(learned: ThirstLearned | undefined): number | null {
  const { mean, variance } = thirstBelief(learned);
  const percent = Math.round((Math.exp(mean) - 1) * 100);
  return variance > SAID.variance || Math.abs(percent) < SAID.percent ? null : percent;
}

/** What one sowing starts from: the household's factor and what this sowing may differ by. */
export const sowingThirst = ({ mean, variance }: Gaussian): Gaussian => ({
  mean,
  variance: variance + THIRST_SPREAD.sowing ** 2
});

/** What a new household's sowing starts from. */
export const NEW_THIRST = sowingThirst(PRIOR);

/**
 * What a sowing said of the household's factor: what it came to believe of its own, with what it began with
 * taken out, widened by what a sowing differs by. Null while it said next to nothing.
 * @param began that it was followed from
 */
export function thirstMessage(began: Gaussian, own: Gaussian): Gaussian | null {
  const precision = 1 / own.variance - 1 / began.variance;
  if (precision < 0.02 / began.variance) return null;
  return {
    mean: (own.mean / own.variance - began.mean / began.variance) / precision,
    variance: 1 / precision + THIRST_SPREAD.sowing ** 2
  };
}
