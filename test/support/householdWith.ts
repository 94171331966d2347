import type { Household } from '../../src/core/sowing/household.ts';

/** A household in Madrid that has learned nothing yet, with whatever else is said of it. */
export const householdWith = (more: Partial<Household> = {}): Household => ({
  name: 'Upstairs',
  zone: 'Europe/Madrid',
  units: 'metric',
  latitudeDeg: 43.4,
  wakeMin: 420,
  sleepMin: 1350,
  roundsMin: [450, 1230],
  methodKey: 'press-and-wait',
  places: [],
  ownCrops: [],
  media: [],
  members: {},
  learned: { ended: [], underWay: [] },
  thirst: { ended: null, underWay: [] },
  yields: [],
  ...more
});
