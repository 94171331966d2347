import type { Heard } from '../growth/looks.ts';
import type { Path } from '../supplies/methods/path.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import type { Cue } from './event.ts';
import type { SowingState } from './reduce.ts';

type Grew = Pick<
  SowingState,
  'looks' | 'dealtAt' | 'staysCovered' | 'pressedAt' | 'uncoveredAt' | 'litAt' | 'sownAt' | 'regrowsSince'
>;

/** What is done less than so long after something else is done on the same round. */
const ROUND_H = 4;

/**
 * What looks and silences say of a sowing's marks. A round in which somebody dealt with it and left the cue of its stage
 * untouched is one in which they could have said it; a round in which they spoke of that cue is none. Silences count once
 * somebody has spoken of the cue after them: watering, feeling or weighing a tray alone never moves its window.
 */
export function heardOf(state: Grew, path: Pick<Path, 'blackout' | 'lightFrom'>): Heard {
  const { looks, dealtAt, staysCovered } = state;
  // While it was kept covered by choice, nobody was asked.
  const isAsked = (at: Millis) =>
    staysCovered.every(({ from, until }) => at < from - ROUND_H * HOUR || at >= until);
  const rounds = dealtAt.filter((at, index) => (dealtAt[index + 1] ?? Infinity) - at >= ROUND_H * HOUR);
  const silentFor = (cue: Cue): Millis[] => {
    const stage = stageOf(state, path, cue);
    if (!stage) return [];
    const spoken = looks.filter(({ mark }) => mark === cue);
    const seenAt = spoken.find(({ reached }) => reached)?.at ?? Infinity;
    const until = Math.min(stage.until, seenAt, spoken.at(-1)?.at ?? -Infinity);
    // Both are in the order of time: one walk through both.
    let next = 0;
    return rounds.filter((at) => {
      if (at <= stage.from || at >= until || (cue !== 'windowOpen' && !isAsked(at))) return false;
      while (next < spoken.length && spoken[next]!.at <= at - ROUND_H * HOUR) next += 1;
      return next === spoken.length || spoken[next]!.at >= at + ROUND_H * HOUR;
    });
  };
  return {
    looks,
    silent: {
      rooted: silentFor('rooted'),
      lightReady: silentFor('lightReady'),
      windowOpen: silentFor('windowOpen')
    },
    darkUntil: state.litAt === null ? (looks.findLast(({ mark }) => mark !== 'windowOpen')?.at ?? null) : null
  };
}

/** While a cue is the one that is asked for; null for never. */
function stageOf(
  { looks, sownAt, pressedAt, uncoveredAt, litAt, regrowsSince }: Grew,
  { blackout, lightFrom }: Pick<Path, 'blackout' | 'lightFrom'>,
  cue: Cue
): { from: Millis; until: Millis } | null {
  const seenAt = (mark: Cue) => looks.find((look) => look.mark === mark && look.reached)?.at ?? Infinity;
  // Whoever looks for a later cue has passed this one.
  const lookedAt = (...marks: Cue[]) => looks.find(({ mark }) => marks.includes(mark as Cue))?.at ?? Infinity;
  const lit = litAt ?? Infinity;
  const rootedAt = Math.min(
    pressedAt ?? uncoveredAt ?? lit,
    seenAt('rooted'),
    lookedAt('lightReady', 'windowOpen')
  );
  const during = (from: Millis, until: Millis) => (from < until ? { from, until } : null);
  switch (cue) {
    case 'rooted':
      return sownAt === null || regrowsSince !== null ? null : during(sownAt, rootedAt);
    case 'lightReady':
      return blackout && lightFrom !== null && regrowsSince === null
        ? during(
            Math.min(uncoveredAt ?? Infinity, lookedAt('lightReady', 'windowOpen')),
            Math.min(lit, lookedAt('windowOpen'))
          )
        : null;
    case 'windowOpen':
      return during(
        regrowsSince ??
          Math.min(lit, lightFrom === null ? rootedAt : seenAt('lightReady'), lookedAt('windowOpen')),
        Infinity
      );
  }
}
