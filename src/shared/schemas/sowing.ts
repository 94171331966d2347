import * as yup from 'yup';
import { checkContainer } from '../../core/containers/check.ts';
import { SIZE_BOUNDS, type Container } from '../../core/containers/container.ts';
import { MEDIA } from '../../core/medium/medium.ts';
import { MOST_PARTS } from '../../core/mix/mix.ts';
import { methodSchema } from './method.ts';
import { id, key, moment, number, optionalDay, text } from './primitives.ts';
import { placeSchema } from './place.ts';

const size = number('Give each size as a number.').required('Give each size as a number.');
const optionalId = () => id().nullable().default(null);
const containerSchema = yup
  .object({
    name: text(60, 'Keep the name under 60 letters.').required('Name the container, such as “Blue tray”.'),
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
    const [field, message] = Object.entries(checkContainer(value as Container))[0] ?? [];
    return field ? context.createError({ path: `container.${field}`, message }) : true;
  });

/** A new sowing as it is sent: what was chosen, and what it came to. The server computes it again. */
export const newSowingSchema = yup.object({
  id: id().required(),
  containerId: id().required(),
  cropKey: key('Choose a crop.').required('Choose a crop.'),
  /** Parts of blended seed; null for one crop. */
  mix: yup
    .array()
    .of(
      yup
        .object({
          cropKey: key('Choose a crop.').required('Choose a crop.'),
          areaShare: number('Each crop needs a share.')
            .moreThan(0, 'Each crop needs a share.')
            .max(1, 'The shares must make the whole.')
            .required('Each crop needs a share.'),
          lotId: optionalId()
        })
        .required()
    )
    .min(2, 'A mix has two crops or more.')
    .max(MOST_PARTS, 'At most six crops in one mix.')
    .test('whole', 'The shares must make the whole.', (parts) =>
      !parts ? true : Math.abs(parts.reduce((sum, part) => sum + part.areaShare, 0) - 1) < 1e-6
    )
    .nullable()
    .default(null),
  container: containerSchema,
  count: number('How many of them?')
    .integer('Containers come whole: give a whole number.')
    .min(SIZE_BOUNDS.count[0], 'At least one container.')
    .max(SIZE_BOUNDS.count[1], `At most ${SIZE_BOUNDS.count[1]} in one sowing: make two of it.`)
    .required('How many of them?'),
  /** Half of a tray of two halves is 0.5. */
  areaShare: number('Give the share of the tray.')
    .moreThan(0, 'Give the share of the tray.')
    .max(1, 'No more than the whole tray can be sown.')
    .default(1),
  lotId: optionalId(),
  mediumId: optionalId(),
  medium: yup.string().oneOf(MEDIA, 'Choose a medium.').required('Choose a medium.'),
  methodKey: key('Choose a method.').required('Choose a method.'),
  /** Where this sowing differs from its method: the method as it is to be for it. */
  method: methodSchema.nullable().default(null),
  placeId: id('Choose a place.').required('Choose a place.'),
  newPlace: placeSchema.nullable().default(null),
  seedsPerCm2: number('Give the density in seeds per cm².')
    .moreThan(0, 'The density must be more than 0.')
    .max(60, 'No seed lies closer than 60 to the cm².')
    .required('Give the density.'),
  germinationPct: number('Give the germination in percent, or leave it out.')
    .moreThan(0, 'Seed of which nothing sprouts cannot be sown: choose another lot.')
    .max(100, 'Germination is at most 100 %.')
    .nullable()
    .default(null),
  seedG: number('Give the seed in g.')
    .moreThan(0, 'Seed must weigh more than 0 g.')
    .max(5000, 'Over 5 kg of seed is no home sowing: check the sizes.')
    .required(),
  /** Milliseconds; not started before, as the later half of a staggered tray is not. */
  notBefore: moment().nullable().default(null),
  /** `YYYY-MM-DD` in the household's zone; null to start now. */
  readyBy: optionalDay('This is not a date: choose one from the calendar.')
});
