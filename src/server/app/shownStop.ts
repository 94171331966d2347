import { picturesOf, type Picture } from '../../core/picture/picture.ts';
import type { Stop } from '../../core/steps/walk.ts';
import { cropNames } from '../../words/containers.ts';
import { picturesWords } from '../../words/pictureWords.ts';
import type { cardWords } from '../../words/steps/steps.ts';
import type { HouseholdStanding } from './householdStanding.ts';

/** What a page outside the household shows of a stop, whoever reads it. */
export interface ShownStop {
  key: string;
  name: string;
  pictures: readonly [Picture, Picture?];
  /** What the pictures show, in words. */
  picture: string;
}

/** A stop as it is shown, and what the words of its steps depend on. */
export function shownStop(
  stop: Stop,
  { household, now }: Pick<HouseholdStanding, 'household' | 'now'>
): { shown: ShownStop; on: Parameters<typeof cardWords>[1] } {
  const sowings = stop.parts.map(({ projected }) => projected);
  const { setup } = sowings[0]!;
  const own = household.media.find(({ id }) => id === setup.mediumId) ?? null;
  const name = cropNames(sowings);
  const pictures = picturesOf(sowings, now);
  return {
    shown: { key: stop.key, name, pictures, picture: picturesWords(name, pictures, household.units) },
    on: { now, locale: household, containers: setup.count, medium: { kind: setup.medium, own } }
  };
}
