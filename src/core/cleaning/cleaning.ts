import type { Cleaning, SpentTo } from '../sowing/event.ts';
import type { Standing } from '../sowing/standing.ts';
import type { Projected } from '../sowing/project.ts';
import { hypochlorite, type Disinfectant, type Solution } from '../supplies/seed/disinfect.ts';
import type { Millis } from '../time/zone.ts';

/** How a container is disinfected. */
export interface Dose {
  product: Disinfectant;
  target: number;
  productPct: number;
  /** For a bowl of so much; peroxide is sprayed as it is. */
  solution: Solution | null;
  minutes: number;
}

/** One step of cleaning a container. */
export interface CleaningStep {
  step: Cleaning;
  /** Offered, and not asked for. */
  optional: boolean;
  dose: Dose | null;
  done: { at: Millis; eventId: string } | null;
}

/** An emptied container on its way back to the shelf. */
export interface ToClean {
  standing: Standing;
  steps: CleaningStep[];
  /** Something grew or rotted on it that is not to come back. */
  mouldy: boolean;
  /** Whether what is tipped out may go on the compost, or is fit for animals. */
  compost: boolean;
  fodder: boolean;
  emptiedAt: Millis;
}

/** Starting figures: what is dipped or wiped with, strength and time. The product's label decides. */
const DIP_ML = 2000;
const USUAL = { ppm: 200, minutes: 2 };
const AFTER_MOULD = { ppm: 1000, minutes: 10 };
/** Peroxide off the shelf, sprayed undiluted. */
const PEROXIDE = { pct: 3, minutes: 10 };
/** Household hypochlorite where no other strength was read off a label. */
const USUAL_PRODUCT_PCT = 5;

/** Losses after which a container is disinfected, and its medium does not go on the compost. */
const INFECTED = new Set(['mould', 'damped-off']);
const SICK_SIGHTS = new Set(['mould', 'fallen-rot']);

/** Whether a sowing was grown in its container at all, and no more stands in it. */
const isEmptied = ({ state }: Projected): boolean => state.stage === 'ended' && state.sownAt !== null;

/** Whether a container is emptied and not clean and dry yet: it does not count as free. */
export const isToClean = (sowings: readonly Projected[]): boolean =>
  sowings.some(isEmptied) &&
  sowings.every(({ state }) => state.stage === 'ended') &&
  !sowings.some(({ state }) => state.cleaned.has('dry'));

/** What was seen on it, or ended it, that is not to come back. */
const isMouldy = ({ state }: Projected): boolean =>
  (state.lost !== null && INFECTED.has(state.lost)) ||
  state.sights.some(({ sight }) => SICK_SIGHTS.has(sight));

/** Whether nothing went into its water or on its leaves that an animal should not eat. */
const isUntreated = ({ method, state }: Projected): boolean =>
  method.feed === 'none' && method.peroxide === 'none' && state.sprayed.size === 0;

/** What a container goes through once it is empty, in the order of the hands, and whether its medium may be composted. */
export function cleaningPlan(sowing: Projected): { steps: Cleaning[]; compost: boolean } {
  const { setup } = sowing;
  const mesh = setup.medium === 'mesh';
  const reservoir = mesh || Boolean(setup.container.reservoirMl);
  return {
    steps: [
      mesh ? 'scrape' : 'empty',
      ...(reservoir ? (['reservoir'] as const) : []),
      ...(mesh ? (['stain-soak'] as const) : []),
      'wash',
      'disinfect',
      'dry'
    ],
    compost: !mesh && !isMouldy(sowing)
  };
}

/** What an emptied container asks for before it is free; null where it does not. */
export function cleaningOf(standing: Standing): ToClean | null {
  const { sowings } = standing;
  if (!isToClean(sowings)) return null;
  const mouldy = sowings.some(isMouldy);
  const [first] = sowings;
  const { method, setup } = first!;
  const mesh = setup.medium === 'mesh';
  const { steps, compost } = cleaningPlan(first!);
  return {
    standing,
    mouldy,
    compost: compost && !mouldy,
    fodder: !mouldy && sowings.every(isUntreated),
    emptiedAt: Math.max(...sowings.map(({ state }) => state.endedAt!)),
    steps: steps.map((step) => ({
      step,
      // A mesh is used for months, and mould comes back from what it left behind.
      optional: step === 'stain-soak' || (step === 'disinfect' && !mouldy && !mesh),
      dose: step === 'disinfect' ? doseOf(method, mouldy || mesh) : null,
      done: sowings.map(({ state }) => state.cleaned.get(step)).find((done) => done !== undefined) ?? null
    }))
  };
}

/** A dip at the strength that the tray needs, of the product that this household works with. */
function doseOf({ disinfect, disinfectRule }: Projected['method'], strong: boolean): Dose {
  if (disinfect === 'peroxide')
    return {
      product: 'peroxide',
      target: PEROXIDE.pct,
      productPct: PEROXIDE.pct,
      solution: null,
      minutes: PEROXIDE.minutes
    };
  const { ppm, minutes } = strong ? AFTER_MOULD : USUAL;
  const productPct = disinfect === 'hypochlorite' ? disinfectRule.productPct : USUAL_PRODUCT_PCT;
  return {
    product: 'hypochlorite',
    target: ppm,
    productPct,
    // As for a kg of seed in so much water: the law knows no seed.
    solution: hypochlorite(1000, ppm, productPct, DIP_ML / 1000),
    minutes
  };
}

/** Where what is tipped out, or scraped off a mesh, goes: as its step says, and where else it may. */
export function spentTo(
  step: Cleaning,
  all: readonly Pick<ToClean, 'compost' | 'fodder'>[]
): { usual: SpentTo | null; others: SpentTo[] } {
  if (step !== 'empty' && step !== 'scrape') return { usual: null, others: [] };
  const compost = all.every((one) => one.compost);
  const fodder = all.every((one) => one.fodder);
  return {
    usual: step === 'scrape' ? null : compost ? 'compost' : 'bin',
    others: [...(fodder ? (['fodder'] as const) : []), ...(compost ? (['bin'] as const) : [])]
  };
}

/** Names a step of cleaning, for whoever ticks it. */
export const cleaningKey = (step: Cleaning): string => `clean:${step}`;

/** The steps still asked for, in order. */
export const openSteps = ({ steps }: ToClean): CleaningStep[] =>
  steps.filter(({ done, optional }) => done === null && !optional);
