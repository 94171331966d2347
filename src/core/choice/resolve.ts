import { findCrop } from '../crops/library.ts';
import { problem, type Problem } from '../problem.ts';
import { isStackTooHigh, MOST_IN_STACK } from '../shelf/stack.ts';
import { checkContainer } from '../supplies/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '../supplies/containers/container.ts';
import { isNameOfAnother } from '../supplies/containers/sizes.ts';
import { figuresOutside, METHOD_FIGURES, type Method } from '../supplies/methods/method.ts';
import type { MediumStock } from '../supplies/media/medium.ts';
import { holds, isDead, type LotStock } from '../supplies/seed/lot.ts';
import { zoneOf, type Millis } from '../time/zone.ts';
import { aimOf, beginningOn } from '../sowing/aim.ts';
import { lightPlaceFor } from '../sowing/carried.ts';
import { rhythmOf, type Household } from '../sowing/household.ts';
import {
  MOST_SEED_G,
  MOST_SEEDS_PER_CM2,
  MOST_SHARE,
  MOST_SOAK_H,
  type ChoiceData,
  type PartData
} from './choiceData.ts';
import type { Aim } from '../sowing/plan.ts';
import type { ChosenPart, PlannedSowing, SowingChoice } from '../sowing/planSowing.ts';

/** A household with all that it has to choose from. */
export interface HouseholdOptions {
  household: Pick<
    Household,
    'places' | 'ownCrops' | 'latitudeDeg' | 'zone' | 'wakeMin' | 'sleepMin' | 'roundsMin'
  >;
  containers: readonly Container[];
  /** Those that are not retired. */
  media: readonly MediumStock[];
  methods: readonly Method[];
  lots: readonly LotStock[];
  now: Millis;
}

/** What is wrong with one field of a choice, by its path in {@link ChoiceData}: `parts.0.cropKey`. */
export interface FieldProblem {
  field: string;
  problem: Problem;
}

export type Resolved = { ok: true; choice: SowingChoice } | { ok: false; problems: FieldProblem[] };

/**
 * What a choice stands for, by the one set of rules that forms and the server share.
 * @returns the choice with its crops, lots, places and method; or all that is wrong with it, the first of a field first
 */
export function resolve(data: ChoiceData, options: HouseholdOptions): Resolved {
  const problems: FieldProblem[] = [...partProblems(data, options), ...figureProblems(data)];
  const wrong = (field: string, is: Problem): null => {
    problems.push({ field, problem: is });
    return null;
  };
  for (const [field, is] of Object.entries(checkContainer(data.container))) wrong(`container.${field}`, is);
  const { container, methodKey } = data;
  if (isNameOfAnother(container, options.containers))
    wrong('container.name', problem('name-of-another', { name: container.name }));
  if (data.mediumId && !options.media.some(({ id }) => id === data.mediumId))
    wrong('medium', problem('medium-gone'));
  const place =
    options.household.places.find(({ id }) => id === data.placeId) ??
    wrong('placeId', problem(data.placeId === '' ? 'no-place' : 'place-gone'));
  for (const is of lightPlaceProblems(data, options)) wrong('lightPlaceId', is);
  const method =
    data.method ??
    options.methods.find(({ key }) => key === methodKey) ??
    wrong('methodKey', problem('method-gone'));
  for (const figure of data.method ? figuresOutside(data.method) : []) {
    const [low, high] = METHOD_FIGURES[figure].bounds;
    wrong(figure, problem('method-figure', { low, high }));
  }
  const aim = aimIn(data, options, wrong);
  if (problems.length > 0 || !place || !method || !aim) return { ok: false, problems };
  const parts = data.parts.map((part) => chosenPart(part, options));
  return {
    ok: true,
    choice: {
      kind: data.kind,
      parts,
      shareOf: data.shareOf,
      staggered: data.staggered,
      container,
      count: data.count,
      medium: data.medium,
      mediumId: data.mediumId,
      method,
      place,
      lightPlace: lightPlaceFor(parts[0]!.crop, data.lightPlaceId, options.household.places, {
        latitudeDeg: options.household.latitudeDeg,
        zone: zoneOf(options.household.zone),
        startAt: options.now
      }),
      density: data.density === 'own' ? data.seedsPerCm2! : data.density,
      ownSeedG: data.ownSeedG,
      germinationPct: data.germinationPct,
      soakH: data.soakH,
      stackOf: data.stackOf,
      aim
    }
  };
}

const chosenPart = (
  { cropKey, lotId, share, variety }: PartData,
  { household, lots }: HouseholdOptions
): ChosenPart => ({
  crop: findCrop(cropKey, household.ownCrops)!,
  lot: lots.find(({ id }) => id === lotId) ?? null,
  share,
  ...(variety?.trim() ? { variety: variety.trim() } : {})
});

/** Whether two parts are the same seed: one crop, from one lot, and no names that tell them apart. */
const isSame = (one: PartData, other: PartData): boolean =>
  one.cropKey === other.cropKey && one.lotId === other.lotId && varietyOf(one) === varietyOf(other);

const varietyOf = ({ variety = '' }: PartData): string => variety.trim().toLowerCase();

const PARTS_OF = { one: [1, 1], halves: [2, 2], blended: [2, Infinity] } as const;

function partProblems(
  { kind, parts, germinationPct }: ChoiceData,
  { household, lots }: HouseholdOptions
): FieldProblem[] {
  const [least, most] = PARTS_OF[kind];
  if (parts.length < least || parts.length > most)
    return [{ field: 'parts', problem: problem('parts-of-kind') }];
  return parts.flatMap((part, nth): FieldProblem[] => {
    const at = (field: keyof PartData, is: Problem) => ({ field: `parts.${nth}.${field}`, problem: is });
    if (!findCrop(part.cropKey, household.ownCrops)) return [at('cropKey', problem('no-crop'))];
    const found: FieldProblem[] = [];
    if (parts.findIndex((one) => isSame(one, part)) < nth) found.push(at('cropKey', problem('crop-twice')));
    if (kind === 'blended' && !within(part.share, 0, MOST_SHARE))
      found.push(at('share', problem('no-share', { high: MOST_SHARE })));
    const lot = lots.find(({ id }) => id === part.lotId);
    if (part.lotId !== null && !(lot && holds(lot, part.cropKey)))
      found.push(at('lotId', problem('lot-gone')));
    else if (lot && germinationPct === null && isDead(lot)) found.push(at('lotId', problem('lot-dead')));
    return found;
  });
}

/** Whether a figure is over one bound and up to another; what cannot be read is not. */
const within = (value: number, over: number, most: number): boolean => value > over && value <= most;

function figureProblems({
  count,
  density,
  seedsPerCm2,
  ownSeedG,
  germinationPct,
  soakH,
  stackOf
}: ChoiceData): FieldProblem[] {
  const [fewest, most] = SIZE_BOUNDS.count;
  const judged: [field: string, isGood: boolean, is: Problem][] = [
    [
      'count',
      Number.isInteger(count) && count >= fewest && count <= most,
      problem('count-outside', { low: fewest, high: most })
    ],
    [
      'seedsPerCm2',
      density !== 'own' || within(seedsPerCm2 ?? NaN, 0, MOST_SEEDS_PER_CM2),
      problem('density-outside', { high: MOST_SEEDS_PER_CM2 })
    ],
    [
      'ownSeedG',
      ownSeedG === null || within(ownSeedG, 0, MOST_SEED_G),
      problem('seed-outside', { kg: MOST_SEED_G / 1000 })
    ],
    [
      'germinationPct',
      germinationPct === null || within(germinationPct, 0, 100),
      problem(germinationPct === 0 ? 'germination-none' : 'germination-outside')
    ],
    [
      'soakH',
      soakH === null || (soakH >= 0 && soakH <= MOST_SOAK_H),
      problem('soak-outside', { high: MOST_SOAK_H })
    ],
    [
      'stackOf',
      stackOf === null || (Number.isInteger(stackOf) && stackOf >= 1 && stackOf <= MOST_IN_STACK),
      problem('stack-outside', { high: MOST_IN_STACK })
    ]
  ];
  return judged.flatMap(([field, isGood, is]) => (isGood ? [] : [{ field, problem: is }]));
}

function lightPlaceProblems({ lightPlaceId }: ChoiceData, { household }: HouseholdOptions): Problem[] {
  if (lightPlaceId === null) return [];
  const place = household.places.find(({ id }) => id === lightPlaceId);
  if (!place) return [problem('place-gone')];
  return place.light.kind === 'dark' ? [problem('place-dark', { name: place.name })] : [];
}

function aimIn(
  { readyBy, beginOn }: ChoiceData,
  { household, now }: HouseholdOptions,
  wrong: (field: string, is: Problem) => null
): Aim | null {
  const rhythm = rhythmOf(household);
  if (beginOn !== null) return beginningOn(beginOn, rhythm, now) ?? wrong('beginOn', problem('no-such-day'));
  const aim = aimOf(readyBy, rhythm);
  if (!aim) return wrong('readyBy', problem(readyBy === '' ? 'no-day' : 'no-such-day'));
  return aim.kind === 'by' && aim.at < now ? wrong('readyBy', problem('day-passed')) : aim;
}

/** What is wrong with what was chosen that only its plan tells. */
export function plannedProblems(planned: readonly PlannedSowing[]): FieldProblem[] {
  const judged: [field: string, isWrong: boolean, is: Problem][] = [
    ['readyBy', planned.some(({ plan }) => plan.earliestAt !== null), problem('day-too-near')],
    [
      'ownSeedG',
      planned.some(({ setup: { seedG } }) => !within(seedG, 0, MOST_SEED_G)),
      problem('seed-outside', { kg: MOST_SEED_G / 1000 })
    ],
    ['stackOf', planned.some(({ projected }) => isStackTooHigh(projected)), problem('stack-too-high')]
  ];
  return judged.flatMap(([field, isWrong, is]) => (isWrong ? [{ field, problem: is }] : []));
}
