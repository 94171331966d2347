import * as yup from 'yup';
import { checkContainer } from '../../core/supplies/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '../../core/supplies/containers/container.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { MOST_PARTS } from '../../core/crops/blend.ts';
import { MOST_IN_STACK } from '../../core/shelf/stack.ts';
import { problemWords } from '../../words/problems.ts';
import { methodSchema } from './method.ts';
import { id, key, nameText, number, optionalDay } from './primitives.ts';
import { placeSchema } from './place.ts';

const size = number('Give each size as a number.').required('Give each size as a number.');
/** More seed than this is no home sowing. */
export const MOST_SEED_G = 5000;
/** Longer than this no seed lies in water and lives. */
export const MOST_SOAK_H = 72;
/** What a stack is answered with that is higher than a grower may go. */
export const TOO_HIGH_STACK =
  'That stack presses its lowest tray with over 1.5 times what the crop bears: choose fewer trays.';
export const MUCH_SEED = 'Over 5 kg of seed is no home sowing: check the sizes.';

const optionalId = () => id().nullable().default(null);
const containerSchema = yup
  .object({
    name: nameText(60, 'Keep the name under 60 letters.').required(
      'Name the container, such as “Blue tray”.'
    ),
    shape: yup
      .string()
      .oneOf(['rectangle', 'round', 'cells'] as const)
      .required(),
    lengthCm: size,
    widthCm: size,
    depthCm: size,
    cells: size
  })
  .required()
  .test('size', '', (value, context) => {
    const [field, found] = Object.entries(checkContainer(value as Container))[0] ?? [];
    return field && found
      ? context.createError({ path: `container.${field}`, message: problemWords(found) })
      : true;
  });

/** One crop of what is sown, with its lot and its share. */
const part = yup
  .object({
    cropKey: key('Choose a crop.').required('Choose a crop.'),
    lotId: optionalId(),
    share: number('Each crop needs a share.')
      .moreThan(0, 'Each crop needs a share.')
      .max(1000, 'At most 1000 parts of a crop.')
      .default(1)
  })
  .required();

/** The crops of one sowing: several kinds of one crop may be blended, each from its own lot. */
export const parts = () =>
  yup
    .array()
    .of(part)
    .required('Choose a crop.')
    .min(1, 'Choose a crop.')
    .max(MOST_PARTS, 'At most six crops in one mix.')
    .test(
      'apart',
      'This crop is in the mix already, of the same lot: choose another.',
      (sent) =>
        new Set(sent?.map((one) => `${(one as typeof one | null)?.cropKey}|${one?.lotId ?? ''}`)).size ===
        (sent?.length ?? 0)
    );

export const shareOf = () =>
  yup
    .string()
    .oneOf(['weight', 'count'] as const, 'Choose how shares are counted.')
    .default('weight');

/** A new sowing as it is sent: what was chosen. The server works out what it comes to. */
export const newSowingSchema = yup.object({
  /** Made by the page, so that sending it again makes nothing more. The second is of the other half. */
  ids: yup.object({ first: id().required(), second: id().required(), container: id().required() }).required(),
  kind: yup
    .string()
    .oneOf(['one', 'halves', 'blended'] as const, 'Choose how the crops share the container.')
    .required('Choose how the crops share the container.'),
  parts: parts().test(
    'of-kind',
    'One crop stands alone, halves are two, and a blend has two crops or more.',
    (sent, { parent }) => {
      const { kind } = parent as { kind?: string };
      const count = sent?.length ?? 0;
      return kind === 'one' ? count === 1 : kind === 'halves' ? count === 2 : count >= 2;
    }
  ),
  shareOf: shareOf(),
  staggered: yup.boolean().default(false),
  container: containerSchema,
  count: number('How many of them?')
    .integer('Containers come whole: give a whole number.')
    .min(SIZE_BOUNDS.count[0], 'At least one container.')
    .max(SIZE_BOUNDS.count[1], `At most ${SIZE_BOUNDS.count[1]} in one sowing: make two of it.`)
    .required('How many of them?'),
  medium: yup
    .string()
    .typeError('Choose a medium.')
    .oneOf(MEDIA, 'Choose a medium.')
    .required('Choose a medium.'),
  mediumId: optionalId(),
  methodKey: key('Choose a method.').required('Choose a method.'),
  /** Where this sowing differs from its method: the method as it is to be for it. */
  method: methodSchema.nullable().default(null),
  placeId: id('Choose a place.').required('Choose a place.'),
  /** Of what sprouts in the dark, where it is carried as it comes to light; null for where it grows fastest. */
  lightPlaceId: optionalId(),
  newPlace: placeSchema.nullable().default(null),
  density: yup
    .string()
    .oneOf(['sparse', 'usual', 'dense', 'own'] as const, 'Choose a density.')
    .required('Choose a density.'),
  /** Of one's own, where the density is. */
  seedsPerCm2: number('Give the density in seeds per cm².')
    .moreThan(0, 'The density must be more than 0.')
    .max(60, 'No seed lies closer than 60 to the cm².')
    .nullable()
    .default(null)
    .when('density', { is: 'own', then: (schema) => schema.required('Give the density.') }),
  /** Grams of one's own for all of it. */
  ownSeedG: number('Give the seed in g.')
    .moreThan(0, 'Seed must weigh more than 0 g.')
    .max(MOST_SEED_G, MUCH_SEED)
    .nullable()
    .default(null),
  germinationPct: number('Give the germination in percent, or leave it out.')
    .moreThan(0, 'Seed of which nothing sprouts cannot be sown: choose another lot.')
    .max(100, 'Germination is at most 100 %.')
    .nullable()
    .default(null),
  /** Hours of soaking of one's own, 0 for none; null for the crop's own. */
  soakH: number('Give the soak in hours, or 0 for none.')
    .min(0, 'A soak is not shorter than 0 hours.')
    .max(MOST_SOAK_H, `No seed is soaked for over ${MOST_SOAK_H} hours.`)
    .nullable()
    .default(null),
  /** Trays in a stack, where the grower chose how many; null for as many as the seed at the bottom bears. */
  stackOf: number('Give the trays in a stack as a whole number.')
    .integer('Give the trays in a stack as a whole number.')
    .min(1, 'A stack has at least one tray.')
    .max(MOST_IN_STACK, TOO_HIGH_STACK)
    .nullable()
    .default(null),
  /** `YYYY-MM-DD` in the household's zone; null to start now. */
  readyBy: optionalDay('This is not a date: choose one from the calendar.'),
  /** `YYYY-MM-DD`, the day that it is begun on; null for as soon as it can be, or for what its ready day asks. */
  beginOn: optionalDay('This is not a date: choose one from the calendar.'),
  /** What the page showed, g a sowing: where it would be other now, that is said before anything is kept. */
  shownSeedG: yup.array().of(number('Give the seed in g.').required()).max(2).nullable().default(null)
});
