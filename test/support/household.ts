import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { at, rhythm, steadyPlace } from './rhythm.ts';

export const SOWN = at('2026-11-02T08:00Z');
export const shelf = steadyPlace(21);
export const cellar = { ...steadyPlace(12), id: '00000000-0000-4000-8000-000000000002', name: 'Cellar' };

/** A window that faces the midday sun, at the warmth of the shelf. */
export const sill: Place = {
  ...shelf,
  id: '00000000-0000-4000-8000-000000000003',
  name: 'Sill',
  light: { kind: 'sill', aspect: 'midday', back: false }
};

export const home: HouseholdFacts = {
  rhythm: rhythm(),
  latitudeDeg: 43.4,
  places: new Map([
    [shelf.id, shelf],
    [cellar.id, cellar]
  ])
};

/** A tray of radish on coir, sown dry. */
export const radishTray = (more: Partial<SowingSetup> = {}): SowingSetup => ({
  id: '00000000-0000-4000-8000-0000000000aa',
  cropKey: 'radish',
  container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  count: 1,
  medium: 'coir',
  areaShare: 1,
  mediumId: null,
  mix: null,
  lotId: null,
  method: DEFAULT_METHOD,
  placeId: shelf.id,
  lightPlaceId: null,
  seedsPerCm2: 2.5,
  germinationPct: null,
  seedG: 11.8,
  soakStartAt: null,
  soakEndAt: null,
  sowAt: SOWN,
  soakH: null,
  stackOf: null,
  trayNo: null,
  half: null,
  ...more
});

let made = 0;
/** An event so many hours after sowing. */
export const event = (hours: number, body: EventBody, more: Partial<SowingEvent> = {}): SowingEvent => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  at: SOWN + hours * HOUR,
  by: null,
  taskKey: null,
  body,
  ...more
});

export const sown = (): SowingEvent => event(0, { type: 'sown', waterG: 300 });
