import { problem, type Problem } from '../problem.ts';
import { areaCm2, reservoirMlOf, type Container } from '../supplies/containers/container.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Projected } from '../sowing/project.ts';
import type { Millis } from '../time/zone.ts';
import { usualYieldG } from '../growth/yield.ts';
import { reservoirG } from '../water/bucket.ts';
import { waterAt } from '../water/level.ts';
import { plantsG } from '../water/plants.ts';

/** Dry media weigh so much, g per mL (starting figures). */
const DRY_G_ML: Record<MediumKind, number> = {
  coir: 0.09,
  'peat-perlite': 0.12,
  'seed-mix': 0.35,
  'hemp-mat': 0.1,
  paper: 0.25,
  mesh: 0.3,
  none: 0
};
/** An empty plastic tray, g per cm2 of its bottom and walls (starting figure); a clay pot weighs five times that. */
const TRAY_G_CM2 = 0.16;

/** What an empty container weighs, g: as weighed, else by its size. */
export function emptyG(container: Container): number {
  if (container.emptyG) return container.emptyG;
  const bottom = areaCm2(container);
  const around =
    container.shape === 'round' ? Math.PI * container.lengthCm : 2 * (container.lengthCm + container.widthCm);
  return TRAY_G_CM2 * (bottom + around * container.depthCm);
}

/** What a sowing's containers weigh empty, g; of a half, its share. */
const containersG = ({ container, count, areaShare }: Projected['setup']): number =>
  emptyG(container) * count * areaShare;

/** What a sowing's containers with their dry medium weigh, g. */
export const dryTrayG = ({
  setup,
  areaCm2: area,
  mediumDepthCm
}: Pick<Projected, 'setup' | 'areaCm2' | 'mediumDepthCm'>): number =>
  containersG(setup) + area * mediumDepthCm * DRY_G_ML[setup.medium];

/** What a sowing weighs on a scale, g: container, medium, seed or plants, and water. */
export const onScaleG = (projected: Projected, now: Millis): number =>
  dryTrayG(projected) + projected.setup.seedG + plantsG(projected, now) + waterAt(projected, now).g;

/** Half and twice what can be calculated: beyond that, a weight is a slip of the finger and not a tray. */
const SLIP = 2;

/**
 * What is wrong with a weighing of a whole tray, with all in it, or null where it can be.
 * @param grossG as the scale shows it
 */
export function wrongTrayWeight(projected: Projected, grossG: number): Problem | null {
  const { setup, areaCm2: area, mediumDepthCm, crop } = projected;
  const empty = containersG(setup);
  const most =
    dryTrayG(projected) +
    area * mediumDepthCm +
    setup.seedG +
    reservoirG(area, setup.medium, reservoirMlOf(setup)) +
    usualYieldG(crop, area).high;
  if (grossG < empty / SLIP) return problem('tray-too-light');
  if (grossG > most * SLIP) return problem('tray-too-heavy', { times: grossG / most });
  return null;
}
