import type { LeafForm } from '$core/picture/habit.ts';
import type { Picture } from '$core/picture/picture.ts';
import { wobbleFrom } from './wobble.ts';

/** Path data of a stand of stems and of their leaves, in tenths of a cm, y upwards negative from the medium. */
export interface StemPaths {
  stems: string;
  leaves: string;
  /** Hooked tips of seedlings that have not opened. */
  tips: string;
  stubs: string;
}

const MOST_STEMS = 46;
const r = Math.round;

/**
 * Stems across one front of a width (cm) from x = 0, with leaves of the crop's form.
 * @param cut share that is cut of each slice of it, left to right: what is cut by half stands in its row behind
 * @param row the one in front, or the one behind it
 */
export function stemPaths(
  picture: Picture,
  widthCm: number,
  cut: readonly number[] = picture.cut,
  row: 'front' | 'behind' = 'front'
): StemPaths {
  const { stems, habit } = picture;
  const stand: StemPaths = { stems: '', leaves: '', tips: '', stubs: '' };
  if (!stems) return stand;
  const wobble = wobbleFrom(picture.seed);
  const count = Math.max(3, Math.min(MOST_STEMS, r(stems.perCm * widthCm * 0.9)));
  const pitch = (widthCm * 10 - 6) / count;
  for (let index = 0; index < count; index += 1) {
    const x = 3 + pitch * (index + 0.2 + wobble(index) * 0.6);
    const gone = cut[Math.min(cut.length - 1, Math.floor((x / (widthCm * 10)) * cut.length))] ?? 0;
    if (row === 'front' ? gone > 0 : gone >= 1) {
      stand.stubs += `M${r(x)} 0v-${r(7 + wobble(index + 400) * 4)}`;
      continue;
    }
    const height = stems.heightCm * 10 * (1 - stems.uneven + wobble(index + 100) * stems.uneven * 2);
    const side = wobble(index + 200) - 0.5;
    // What hangs leans over to its side, all of its length, and its tip comes down.
    const hangs = (stems.hang * height * 0.8 * (side < 0 ? -1 : 1)) / 1.2;
    const lean = side * Math.min(14, height * 0.24) + hangs;
    const tipX = r(x + lean);
    const tipY = -r(height * (1 - 0.72 * stems.hang));
    if (habit.leaf === 'blade') {
      stand.leaves += blade(x, tipX, tipY);
      continue;
    }
    stand.stems += `M${r(x)} 0Q${r(x)} ${r(tipY * 0.6)} ${tipX} ${tipY}`;
    if (habit.leaf === 'loop') stand.leaves += loop(tipX, tipY, stems.open);
    else if (stems.open < 0.12) stand.tips += `M${tipX} ${tipY}q2-3 4 0`;
    else stand.leaves += pair(habit.leaf, tipX, tipY, stems, wobble(index + 300));
  }
  return stand;
}

function blade(x: number, tipX: number, tipY: number): string {
  const foot = r(x);
  return `M${foot - 1} 0Q${foot - 2} ${r(tipY * 0.55)} ${tipX} ${tipY}Q${foot + 3} ${r(tipY * 0.5)} ${foot + 1} 0z`;
}

function loop(x: number, y: number, open: number): string {
  return open < 0.5 ? `M${x} ${y}q3-7 5 2` : `M${x} ${y}l${r(open * 3)}-9`;
}

/** Half width and half height of one open leaf, tenths of a cm. */
const LEAF_SIZE: Record<Exclude<LeafForm, 'blade' | 'loop'>, [number, number]> = {
  heart: [7, 4],
  oval: [10, 4],
  round: [6, 4],
  tiny: [4, 2.4],
  strap: [12, 1.8],
  tendril: [7, 4]
};

function pair(
  form: Exclude<LeafForm, 'blade' | 'loop'>,
  x: number,
  y: number,
  stems: NonNullable<Picture['stems']>,
  chance: number
): string {
  const [long, wide] = LEAF_SIZE[form];
  const spread = 0.25 + stems.open * 0.75;
  const size = 0.55 + stems.open * 0.45;
  const tilt = (1 - stems.open) * 9 + chance * 3;
  const dx = r(long * spread);
  const dy = r(tilt);
  const w = Math.max(1, r(wide * size));
  const leaf = (side: 1 | -1) =>
    form === 'heart'
      ? `M${x} ${y}c${side * r(dx * 0.3)}-${dy + w} ${side * dx}-${dy + w} ${side * dx}-${r(dy * 0.6) + 1}q${side * 2} ${r(w * 0.6)} ${side * -1} ${w}q${side * -r(dx * 0.6)} ${r(w * 0.7)} ${side * -(dx - 1)} ${r(dy * 0.6) + 1 - w}z`
      : `M${x} ${y}q${side * r(dx * 0.35)}-${dy + w} ${side * dx}-${dy}q${side * -r(dx * 0.4)} ${w + r(dy * 0.2)} ${side * -dx} ${dy}z`;
  const trueLeaves = TRUE_LEAVES.map((leans, nth) => trueLeaf(x, y, stems.trueLeaf - nth, leans)).join('');
  const curl = form === 'tendril' && stems.open > 0.5 ? `M${x} ${y}q1-9 6-8q3 1 1 3q-2 0-1-2q-4 0-6 7z` : '';
  return leaf(-1) + leaf(1) + trueLeaves + curl;
}

/** Which way true leaves lean, in the order they come, tenths of a cm. */
const TRUE_LEAVES = [0, -6, 6] as const;

/** A true leaf, as far as it is out. */
function trueLeaf(x: number, y: number, out: number, leans: number): string {
  const size = Math.min(1, out);
  if (size < 0.25) return '';
  const [dx, dy, wide] = [r(leans * size), r(11 * size), r(3 * size) + 1];
  return `M${x} ${y}q${r(dx / 2) - wide}-${r(8 * size)} ${dx}-${dy}q${r(-dx / 2) + wide} ${r(3 * size)} ${-dx} ${dy}z`;
}

/** Seeds on the medium as one path of small ellipses; sprouted ones show a white tail in `tails`. */
export function grainsOf(picture: Picture, widthCm: number): { grains: string; tails: string } {
  const { grains } = picture;
  if (!grains) return { grains: '', tails: '' };
  const wobble = wobbleFrom(picture.seed);
  const half = Math.max(0.9, Math.min(4, grains.sizeCm * 5));
  const count = Math.max(4, Math.min(60, r(grains.perCm * widthCm)));
  const pitch = (widthCm * 10 - 6) / count;
  let seeds = '';
  let tails = '';
  for (let index = 0; index < count; index += 1) {
    const x = Math.round((3 + pitch * (index + 0.15 + wobble(index + 500) * 0.7)) * 10) / 10;
    const h = Math.round(half * 10) / 10;
    seeds += `M${x - h} -${h}a${h} ${h * 0.8} 0 1 0 ${h * 2} 0a${h} ${h * 0.8} 0 1 0-${h * 2} 0z`;
    if (grains.sprouted > 0.15 + wobble(index + 600) * 0.3) {
      const long = r(grains.sprouted * (4 + wobble(index + 700) * 4));
      tails += `M${x} -${h}q${long * 0.5} ${-long * 0.6} ${long} ${h}`;
    }
  }
  return { grains: seeds, tails };
}
