import { airAt } from '../../src/core/places/air/airAt.ts';
import { BIN_MS, binIndex, packAir, type AirBin } from '../../src/core/places/air/series.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { HouseholdFacts } from '../../src/core/sowing/project.ts';
import { DAY, type Millis } from '../../src/core/time/zone.ts';
import { THIRST_SPREAD } from '../../src/core/water/thirst.ts';
import { SPREAD } from '../../src/core/growth/spread.ts';
import type { Chance } from '../../src/server/demo/chance.ts';
import { rhythm } from '../support/rhythm.ts';

/** A household whose pace, thirst and air nobody has told Brote. */
export interface HiddenHousehold {
  /** H and h, on the log scale. */
  pace: number;
  cropPace: number;
  /** ln of its factor on water loss. */
  thirst: number;
  /** Whether a sensor stands there, and whether trays are weighed. */
  sensor: boolean;
  scale: boolean;
  /** Its one place, with all its air for as long as the study goes on. */
  truth: HouseholdFacts;
  /** Turns the fan away. */
  stillAir(): void;
  /** What Brote knows at a moment: readings up to then, with their noise. */
  known(at: Millis): HouseholdFacts;
}

export const START = Date.parse('2026-10-05T06:00Z');
const STUDY_D = 120;
/** How far off a cheap sensor is, in degC, and a cheap hygrometer, in percent. */
const SENSOR_SD = { tempC: 0.4, humidityPct: 3 };

/** Draws a household from what the model takes households to be. */
export function hiddenHousehold(chance: Chance): HiddenHousehold {
  // A flat in November, a little cooler than what packets count days for, and cooler at night.
  const dayC = 19.3 + chance.uniform() * 1.2;
  const nightC = dayC - 1.5 - chance.uniform() * 1.5;
  const sensor = chance.uniform() < 0.5;
  const scale = chance.uniform() < 0.3;
  const bare: Place = {
    id: chance.id(),
    name: 'Shelf',
    light: { kind: 'lamp', ppfd: 220, hours: 14 },
    dayC,
    nightC,
    humidityPct: 50,
    movingAir: chance.uniform() < 0.3
  };
  const trueBins: AirBin[] = [];
  for (let at = START - DAY; at < START + STUDY_D * DAY; at += BIN_MS) {
    const byDay = at % DAY >= 6 * 3_600_000 && at % DAY < 22 * 3_600_000;
    trueBins.push({
      index: binIndex(at),
      tempC: (byDay ? dayC : nightC) + chance.normal(0.8),
      humidityPct: Math.min(95, Math.max(20, 50 + chance.normal(6)))
    });
  }
  const readBins = trueBins.map((bin) => ({
    ...bin,
    tempC: bin.tempC + chance.normal(SENSOR_SD.tempC),
    humidityPct: bin.humidityPct! + chance.normal(SENSOR_SD.humidityPct)
  }));
  let still = false;
  const facts = (place: Place): HouseholdFacts => ({
    rhythm: rhythm(),
    latitudeDeg: 43.4,
    places: new Map([[place.id, { ...place, movingAir: place.movingAir && !still }]])
  });
  const trueAirs = packAir(trueBins);
  let cached: { index: number; facts: HouseholdFacts } | null = null;
  const household: HiddenHousehold = {
    pace: chance.normal(SPREAD.household),
    cropPace: chance.normal(SPREAD.crop),
    thirst: chance.normal(THIRST_SPREAD.household),
    sensor,
    scale,
    truth: facts({ ...bare, air: trueAirs }),
    stillAir() {
      still = true;
      cached = null;
      household.truth = facts({ ...bare, air: trueAirs });
    },
    known(at) {
      if (!sensor) return facts(bare);
      const index = binIndex(at);
      if (cached?.index !== index)
        cached = {
          index,
          facts: facts({
            ...bare,
            air: packAir(readBins.filter((bin) => bin.index < index && bin.index > index - 280))
          })
        };
      return cached.facts;
    }
  };
  return household;
}

/** The air that truly lay over its trays. */
export const trueAir = ({ truth }: HiddenHousehold, at: Millis) => airAt([...truth.places.values()][0]!, at);
