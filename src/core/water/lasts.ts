import type { Crop } from '../crops/crop.ts';
import { usualAir } from '../places/air/airAt.ts';
import type { Place } from '../places/place.ts';
import type { Container } from '../supplies/containers/container.ts';
import { hasPool } from '../supplies/media/below.ts';
import type { Method } from '../supplies/methods/method.ts';
import { poursADay } from '../supplies/methods/path.ts';
import { MEDIA, mediumDepthCm, type MediumKind } from '../supplies/media/medium.ts';
import { capacityG, FULL_SHARE, hasReservoir, lossGPerDay, poolG, poolPartG, reservoirG } from './bucket.ts';
import { BEARS_H } from './dry.ts';

/** A tray may lose so many times what is expected of it (starting figure). */
const LOSES_UP_TO = 1.6;
/** A tray that lives from a pool dries this much faster still once that is gone (starting figure). */
const DRIES_FASTER = 2.2;
/** From how much of what it holds, down to what, a tray is reckoned to last (docs/model.md, 6). */
const DRY_SHARE = 0.1;

/** What grows in a tray, what it stands on and in, and how far apart the household's rounds are. */
export interface Setting {
  crop: Pick<Crop, 'droughtRisk'>;
  medium: MediumKind;
  container: Pick<Container, 'depthCm' | 'reservoirMl'>;
  /** How deep its medium lies, and how it is watered where it is a mat. */
  method: Pick<Method, 'mediumDepth' | 'matWater'>;
  place: Place;
  gapH: number;
}

/** All is reckoned on so much, for all of it dries alike. */
const AREA_CM2 = 100;

const mediumOf = ({ medium, container, method }: Setting): number =>
  capacityG(AREA_CM2, mediumDepthCm(medium, container.depthCm, method.mediumDepth), medium);

/** Whether a pool may stand below it. A mat that drains after each watering has none. */
const isPooled = ({ medium, method }: Setting): boolean =>
  hasPool(medium) && poursADay(medium, method.matWater) === 0;

const lossG = ({ place }: Setting): number =>
  lossGPerDay(AREA_CM2, 'lastThird', { ...usualAir(place), movingAir: place.movingAir });

/** The most that may stand below it, g: of a reservoir of its own, more than any gap takes. */
function belowG(setting: Setting, gapLossG: number): number {
  const { medium, container } = setting;
  const reservoirMl = container.reservoirMl ?? null;
  if (reservoirMl) return Infinity;
  const pool = isPooled(setting) ? poolG(AREA_CM2, { medium, reservoirMl }, gapLossG) : 0;
  return reservoirG(AREA_CM2, medium, null) + pool;
}

/** How long a full tray lasts in full leaf, hours, with as much below it as may stand there. */
export const lastsH = (setting: Setting): number =>
  (((mediumOf(setting) + belowG(setting, Infinity)) * (FULL_SHARE - DRY_SHARE)) / lossG(setting)) * 24;

/** The same with nothing below its medium. */
export const mediumLastsH = (setting: Setting): number =>
  ((mediumOf(setting) * (FULL_SHARE - DRY_SHARE)) / lossG(setting)) * 24;

/** How long it may stand dry where one round is missed, hours. 0 over a reservoir. */
export function dryIfMissedH(setting: Setting): number {
  const { crop, medium, gapH, container } = setting;
  if (hasReservoir({ medium, container })) return 0;
  const loss = lossG(setting);
  const gap = (loss * gapH) / 24;
  const mediumG = mediumOf(setting);
  const isPool = isPooled(setting);
  const given =
    mediumG * FULL_SHARE + (isPool ? Math.min(belowG(setting, gap), poolPartG(crop, mediumG, gap)) : 0);
  const lasts = (given / loss) * 24;
  const dryH = 2 * gapH - lasts / LOSES_UP_TO;
  return Math.max(0, dryH, isPool ? DRIES_FASTER * (2 * gapH - lasts) : 0);
}

/** Whether it comes through from one round to the next, and through one that is missed. */
const bridges = (setting: Setting): boolean =>
  lastsH(setting) >= setting.gapH && dryIfMissedH(setting) <= BEARS_H[setting.crop.droughtRisk];

/** What would make a tray last from one round to the next. */
export type Mend =
  | { kind: 'round'; gapH: number }
  | { kind: 'place'; place: Place; lastsH: number }
  | { kind: 'medium'; medium: MediumKind; lastsH: number };

/** A tray that does not last from one round to the next, or not through one that is missed, with what would mend it. */
export interface TooShort {
  lastsH: number;
  gapH: number;
  /** Where it lasts from round to round and not through a missed one: how long it then stands dry, and what it bears. */
  missed: { dryH: number; bearsH: number } | null;
  mends: Mend[];
}

/** A second round halves the longest gap at best: one in the morning, one in the evening. */
const TWO_ROUNDS_H = 14;

/** Whether a full tray lasts the longest gap between the household's rounds, said before it is sown; null where it does. */
export function tooShort(setting: Setting, places: readonly Place[]): TooShort | null {
  if (bridges(setting)) return null;
  const { gapH, place, medium, crop } = setting;
  const lasts = lastsH(setting);
  const mends: Mend[] = [];
  if (gapH > TWO_ROUNDS_H && bridges({ ...setting, gapH: TWO_ROUNDS_H }))
    mends.push({ kind: 'round', gapH: TWO_ROUNDS_H });
  const mending = (other: Setting) => (bridges(other) ? [{ ...other, lastsH: lastsH(other) }] : []);
  const better = places
    .filter(({ id, light }) => id !== place.id && light.kind !== 'dark')
    .flatMap((other) => mending({ ...setting, place: other }))
    .sort((a, b) => b.lastsH - a.lastsH)
    .map((one) => ({ kind: 'place', place: one.place, lastsH: one.lastsH }) as const);
  const deeper = MEDIA.filter((kind) => kind !== medium)
    .flatMap((kind) => mending({ ...setting, medium: kind }))
    .sort((a, b) => a.lastsH - b.lastsH)
    .map((one) => ({ kind: 'medium', medium: one.medium, lastsH: one.lastsH }) as const);
  return {
    lastsH: lasts,
    gapH,
    missed: lasts < gapH ? null : { dryH: dryIfMissedH(setting), bearsH: BEARS_H[crop.droughtRisk] },
    mends: [...mends, ...better.slice(0, 1), ...deeper.slice(0, 2)]
  };
}
