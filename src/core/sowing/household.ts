import type { Crop } from '../crops/crop.ts';
import type { Learned } from '../growth/learned.ts';
import type { YieldLearned } from '../growth/yieldLearned.ts';
import type { Place } from '../places/place.ts';
import type { MediumStock } from '../supplies/media/medium.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { zoneOf } from '../time/zone.ts';
import type { Units } from '../units/format.ts';
import type { ThirstLearned } from '../water/thirst.ts';
import type { HouseholdFacts } from './project.ts';

/** What a household can change about itself. */
export interface HouseholdSettings {
  name: string;
  /** IANA name. */
  zone: string;
  units: Units;
  latitudeDeg: number;
  /** Minutes after midnight. */
  wakeMin: number;
  sleepMin: number;
  roundsMin: readonly number[];
  /** Its usual method. */
  methodKey: string;
}

/** What a household's trays have taught: of its crops' pace, of how fast water goes, and of its yields. */
export interface Lessons {
  learned: Learned;
  thirst: ThirstLearned;
  yields: YieldLearned;
}

/**
 * A household as its sowings are followed: plain data that is loaded once per request, sent, and patched by what writes answer.
 * {@link factsOf} prepares it for the core.
 */
export interface Household extends HouseholdSettings, Lessons {
  places: readonly Place[];
  /** Crops it added or whose figures it changed, including retired ones: old sowings may be of them. */
  ownCrops: readonly Crop[];
  /** Its own media, retired ones only while something grows on them. */
  media: readonly MediumStock[];
  /** Names of members and sitters by id. */
  members: Readonly<Record<string, string>>;
}

/**
 * When the household is up.
 * @throws RangeError where its zone is not a time zone
 */
export function rhythmOf({
  zone,
  wakeMin,
  sleepMin,
  roundsMin
}: Pick<HouseholdSettings, 'zone' | 'wakeMin' | 'sleepMin' | 'roundsMin'>): Rhythm {
  return { zone: zoneOf(zone), wakeMin, sleepMin, roundsMin };
}

/** What {@link factsOf} needs; a household that has learned nothing yet may leave its lessons out. */
type Followed = Pick<
  Household,
  'zone' | 'latitudeDeg' | 'wakeMin' | 'sleepMin' | 'roundsMin' | 'places' | 'ownCrops'
> &
  Partial<Lessons>;

/**
 * A household with its places and crops by id, as the core follows sowings by.
 * @throws RangeError where its zone is not a time zone
 */
export function factsOf(household: Followed): HouseholdFacts {
  const { latitudeDeg, places, ownCrops, learned, thirst, yields } = household;
  return {
    rhythm: rhythmOf(household),
    latitudeDeg,
    places: new Map(places.map((place) => [place.id, place])),
    ownCrops: new Map(ownCrops.map((crop) => [crop.key, crop])),
    ...(learned ? { learned } : {}),
    ...(thirst ? { thirst } : {}),
    ...(yields ? { yields } : {})
  };
}
