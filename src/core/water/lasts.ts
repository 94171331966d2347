import { usualAir } from '../places/air/airAt.ts';
import type { Place } from '../places/place.ts';
import type { Container } from '../supplies/containers/container.ts';
import { MEDIA, mediumDepthCm, type MediumKind } from '../supplies/media/medium.ts';
import { capacityG, FULL_SHARE, lossGPerDay, poolG, reservoirG } from './bucket.ts';

/** From how much of what it holds, down to what, a tray is reckoned to last (docs/model.md, 6). */
const DRY_SHARE = 0.1;

/** What a tray stands on and in, and how far apart the household's rounds are. */
export interface Setting {
  medium: MediumKind;
  container: Pick<Container, 'depthCm' | 'reservoirMl'>;
  place: Place;
  gapH: number;
}

/** How long a full tray lasts in full leaf, hours: by an area alone, for all of it dries alike. */
export function lastsH({ medium, container, place, gapH }: Setting): number {
  const area = 100;
  const loss = lossGPerDay(area, 'lastThird', { ...usualAir(place), movingAir: place.movingAir });
  const reservoirMl = container.reservoirMl ?? null;
  const held =
    capacityG(area, mediumDepthCm(medium, container.depthCm), medium) +
    // A reservoir of its own has its own litres, and lasts longer than any gap.
    reservoirG(area, medium, null) +
    poolG(area, { medium, reservoirMl }, (loss * gapH) / 24);
  return reservoirMl ? Infinity : ((held * (FULL_SHARE - DRY_SHARE)) / loss) * 24;
}

/** What would make a tray last from one round to the next. */
export type Mend =
  | { kind: 'round'; gapH: number }
  | { kind: 'place'; place: Place; lastsH: number }
  | { kind: 'medium'; medium: MediumKind; lastsH: number };

/** A tray that does not last from one round to the next, with what would mend it. */
export interface TooShort {
  lastsH: number;
  gapH: number;
  mends: Mend[];
}

/** A second round halves the longest gap at best: one in the morning, one in the evening. */
const TWO_ROUNDS_H = 14;

/** Whether a full tray lasts the longest gap between the household's rounds, said before it is sown; null where it does. */
export function tooShort(setting: Setting, places: readonly Place[]): TooShort | null {
  const lasts = lastsH(setting);
  const { gapH, place, medium } = setting;
  if (lasts >= gapH) return null;
  const mends: Mend[] = [];
  if (gapH > TWO_ROUNDS_H && lastsH({ ...setting, gapH: TWO_ROUNDS_H }) >= TWO_ROUNDS_H)
    mends.push({ kind: 'round', gapH: TWO_ROUNDS_H });
  const better = places
    .filter(({ id, light }) => id !== place.id && light.kind !== 'dark')
    .map((other) => ({ kind: 'place', place: other, lastsH: lastsH({ ...setting, place: other }) }) as const)
    .filter((one) => one.lastsH >= gapH)
    .sort((a, b) => b.lastsH - a.lastsH);
  const deeper = MEDIA.filter((kind) => kind !== medium)
    .map((kind) => ({ kind: 'medium', medium: kind, lastsH: lastsH({ ...setting, medium: kind }) }) as const)
    .filter((one) => one.lastsH >= gapH)
    .sort((a, b) => a.lastsH - b.lastsH);
  return { lastsH: lasts, gapH, mends: [...mends, ...better.slice(0, 1), ...deeper.slice(0, 2)] };
}
