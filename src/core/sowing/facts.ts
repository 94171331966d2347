import type { Place } from '../places/place.ts';
import type { Crop } from '../crops/crop.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { zoneOf } from '../time/zone.ts';
import type { ThirstLearned } from '../water/thirst.ts';
import type { Learned } from '../growth/learned.ts';
import type { YieldLearned } from '../growth/yieldLearned.ts';
import type { HouseholdFacts } from './project.ts';

/** The settings of a household that the core needs, plain enough to be stored and sent. */
export interface HouseholdData {
  /** IANA name. */
  zone: string;
  latitudeDeg: number;
  wakeMin: number;
  sleepMin: number;
  roundsMin: readonly number[];
}

/** What a household keeps, plain enough to be stored and sent. */
export interface HouseholdBookData {
  places: readonly Place[];
  ownCrops?: readonly Crop[];
  learned?: Learned;
  thirst?: ThirstLearned;
  yields?: YieldLearned;
}

/**
 * When the household is up.
 * @throws RangeError where its zone is not a time zone
 */
export function rhythmOf({ zone, wakeMin, sleepMin, roundsMin }: Omit<HouseholdData, 'latitudeDeg'>): Rhythm {
  return { zone: zoneOf(zone), wakeMin, sleepMin, roundsMin };
}

/** What the core must know of a household and its places to follow its sowings. */
export function factsOf(
  household: HouseholdData,
  { places, ownCrops = [], learned, thirst, yields }: HouseholdBookData
): HouseholdFacts {
  return {
    rhythm: rhythmOf(household),
    latitudeDeg: household.latitudeDeg,
    places: new Map(places.map((place) => [place.id, place])),
    ownCrops: new Map(ownCrops.map((crop) => [crop.key, crop])),
    ...(learned ? { learned } : {}),
    ...(thirst ? { thirst } : {}),
    ...(yields ? { yields } : {})
  };
}
