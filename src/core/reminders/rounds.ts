import type { Projected } from '../sowing/project.ts';
import { walk, type Stop, type Walk } from '../steps/walk.ts';
import { roundAt, roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';
import { roundKey } from './keys.ts';
import { namedOf } from './named.ts';
import type { ReminderBody, RoundStop } from './reminder.ts';
import { isSilent } from './silence.ts';

/** A look is worth coming for once what is looked for is as likely there as not; the page offers it sooner. */
const WORTH_A_LOOK = 0.5;
/** A reminder of a round is of use until so long before the next one may be walked. */
const BEFORE_NEXT_H = 3;

/**
 * The rounds that come, each with what is to be done in it: the same walk as the page shows. A round that asks for nothing
 * says nothing. Where nobody has said anything for days, one in a day asks what is true instead.
 * @param lastTouchAt when anybody last recorded anything
 * @param emptied sowings that ended, whose containers are to be cleaned
 * @param since up to when rounds were judged before: what a round asks for later than at its minute, its page shows
 */
export function roundReminders(
  projected: readonly Projected[],
  rhythm: Rhythm,
  {
    lastTouchAt,
    since,
    emptied = []
  }: { lastTouchAt: Millis; since: Millis; emptied?: readonly Projected[] },
  now: Millis
): Candidate[] {
  const from = Math.max(since + 1, now - DAY);
  return roundsBetween(rhythm, from, now + 1.5 * DAY).map((at): Candidate => {
    const round = roundAt(rhythm, at);
    return {
      key: roundKey(round),
      kind: 'round',
      dueAt: at,
      until: Math.max(at + HOUR, round.nextAt - BEFORE_NEXT_H * HOUR),
      body: (moment) => {
        const standing = projected.filter(({ state }) => state.stage !== 'ended');
        if (isSilent(standing, rhythm, lastTouchAt, at))
          return round.key.endsWith('.0')
            ? { type: 'catch-up', since: lastTouchAt, trays: standing.length }
            : null;
        return roundBody([...standing, ...emptied], rhythm, Math.max(at, moment));
      }
    };
  });
}

/** What a round asks for at a moment; null for nothing. */
export const roundBody = (projected: readonly Projected[], rhythm: Rhythm, now: Millis) =>
  bodyOfWalk(walk(projected, roundAt(rhythm, now), now));

/**
 * A walk as a reminder carries it; null where no tray asks for anything: nobody is called from the table to wash up, but who
 * walks anyway is told.
 */
export function bodyOfWalk({ round, stops, washUp }: Walk): Extract<ReminderBody, { type: 'round' }> | null {
  const asking = stops.map(roundStop).filter((stop) => stop !== null);
  if (asking.length === 0) return null;
  const sink = washUp.map(({ standing }) => namedOf(standing.sowings));
  return {
    type: 'round',
    roundKey: round.key,
    roundAt: round.at,
    stops: asking,
    ...(sink.length > 0 ? { sink } : {})
  };
}

/** One stop as a reminder carries it; null where nothing is asked of it. */
function roundStop({ parts, steps }: Stop): RoundStop | null {
  // The step to cut already asks to check whether it is ready.
  const isCut = (name: string): boolean =>
    steps.some(
      ({ body, of }) => body.kind === 'cut' && of.some(({ projected: { crop } }) => crop.name === name)
    );
  const looks = parts.flatMap(({ projected: { crop }, ask: { look } }) =>
    look && look.chance >= WORTH_A_LOOK && !(look.cue === 'windowOpen' && isCut(crop.name))
      ? [{ crop: crop.name, cropKey: crop.key, cue: look.cue }]
      : []
  );
  const notBegun = parts.flatMap(({ projected: { crop }, ask }) =>
    ask.notes.flatMap((note) => (note.kind === 'not-begun' ? [{ crop: crop.name, at: note.at }] : []))
  );
  if (steps.length === 0 && looks.length === 0 && notBegun.length === 0) return null;
  const sowings = parts.map(({ projected }) => projected);
  const { setup } = sowings[0]!;
  return {
    ...namedOf(sowings),
    medium: { kind: setup.medium, mediumId: setup.mediumId },
    steps: steps.map(({ body, with: goesWith, late, of }) => ({
      body,
      with: goesWith,
      late,
      crops: of.map(({ projected: { crop } }) => crop.name)
    })),
    looks,
    notBegun
  };
}
