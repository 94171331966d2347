import type { MediumPart } from './coir.ts';

/** What seed is grown on. */
export const MEDIA = ['coir', 'peat-perlite', 'seed-mix', 'hemp-mat', 'paper', 'mesh', 'none'] as const;
export type MediumKind = (typeof MEDIA)[number];

/** What a household may keep a medium of its own as: anything but nothing. */
export const KEPT_MEDIA = MEDIA.filter((kind) => kind !== 'none');

/** A medium a household keeps: one of the kinds, with what is its own about it. */
export interface MediumStock {
  id: string;
  name: string;
  /** Which of the kinds it is watered as. */
  kind: MediumKind;
  /** Litres that a dry kg swells to, off the brick; null for the usual figure. */
  swellLKg: number | null;
  /** What it is mixed of; null for one thing. */
  parts: MediumPart[] | null;
}

/** Plant-available water by volume (docs/model.md, 6; starting figures). */
export const WATER_HELD: Record<MediumKind, number> = {
  coir: 0.3,
  'peat-perlite': 0.3,
  'seed-mix': 0.28,
  'hemp-mat': 0.45,
  paper: 0.6,
  // A film of 0.05 cm.
  mesh: 0.25,
  none: 1
};

const USUAL_DEPTH_CM: Record<MediumKind, number> = {
  coir: 2.5,
  'peat-perlite': 2.5,
  'seed-mix': 2.5,
  'hemp-mat': 1,
  paper: 0.3,
  mesh: 0.2,
  none: 0.05
};

const LOOSE: readonly MediumKind[] = ['coir', 'peat-perlite', 'seed-mix'];

/** Whether it is filled in by the litre, and not laid in or left out. */
export const isLoose = (kind: MediumKind): boolean => LOOSE.includes(kind);

/** Left free under the rim, so that water and seed stay in. */
const RIM_CM = 0.5;

/** How deep a loose medium may be filled in. */
export type MediumDepth = 'usual' | 'thin' | 'deep';

/** Thin is 6 to 12 mm (starting figures). */
const CHOSEN_DEPTH_CM: Readonly<Record<Exclude<MediumDepth, 'usual'>, number>> = { thin: 0.9, deep: 5 };

/** How deep a medium lies in a container of that depth, in cm: mats and paper are as thick as they are. */
export function mediumDepthCm(
  medium: MediumKind,
  containerDepthCm: number,
  depth: MediumDepth = 'usual'
): number {
  const wanted = depth === 'usual' || !isLoose(medium) ? USUAL_DEPTH_CM[medium] : CHOSEN_DEPTH_CM[depth];
  return Math.min(wanted, Math.max(0.2, containerDepthCm - RIM_CM));
}

/** How far the medium lies under the rim, cm. */
export const underRimCm = (
  medium: MediumKind,
  containerDepthCm: number,
  depth: MediumDepth = 'usual'
): number => Math.max(0, containerDepthCm - mediumDepthCm(medium, containerDepthCm, depth));

/** Medium to fill an area to a depth, in mL; none in a bare tray. */
export const mediumVolumeMl = (areaCm2: number, depthCm: number, medium: MediumKind): number =>
  medium === 'none' ? 0 : areaCm2 * depthCm;
