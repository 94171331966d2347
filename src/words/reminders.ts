import type { ChannelKind } from '$contract/reminders.ts';
import type { Named, OnOrder, ReminderBody, ReminderKind, RoundStop } from '$core/reminders/reminder.ts';
import type { Cue } from '$core/sowing/event.ts';
import type { StepBody } from '$core/steps/step.ts';
import type { MediumStock } from '$core/supplies/media/medium.ts';
import { aboutGreens, mass, seedMass, temperature, volume, type Units } from '$core/units/format.ts';
import { capital } from './capital.ts';
import { containersWords } from './containers.ts';
import { amountWords, PACKING_WORDS } from './pantry.ts';
import { cardWords } from './steps/steps.ts';
import { clockTime, dayAndTime, dayWords, spanWords, type Locale } from './time.ts';
import { TIMER_NAMES, timerWords } from './timers.ts';

/** The address of a mail's own page, cut off or mistyped. */
export const INCOMPLETE_ADDRESS = 'This address is incomplete. Copy all of it from the mail.';

/** A reminder as a person reads it, on whatever channel. */
export interface ReminderWords {
  title: string;
  /** What to do, in one line. */
  summary: string;
  /** The same in full, a line each. */
  lines: string[];
  /** Why it came. */
  why: string;
  /** Where in Brote it is acted on. */
  path: string;
}

/** What each way to reach a member is called. */
export const CHANNEL_WORDS: Record<ChannelKind, string> = {
  push: 'Notifications',
  mail: 'Mail',
  webhook: 'Webhook'
};

/** What each kind is called where it is turned on and off. */
export const REMINDER_KIND_WORDS: Record<ReminderKind, { name: string; says: string }> = {
  round: {
    name: 'Rounds',
    says: 'At your rounds, with what each tray asks for and standing orders lay. Nothing to do, no reminder.'
  },
  timer: { name: 'Soaks and timers', says: 'When a soak, a contact time or a drain is over, at its minute.' },
  window: {
    name: 'Harvest and pantry',
    says: 'The evening before a window opens, when it is open, before it closes; and what to eat first.'
  },
  trouble: { name: 'Trouble', says: 'A tray that may dry out, a room too warm, a sensor gone silent.' },
  away: {
    name: 'Days away',
    says: 'The evening before you leave, with what to do first, and when you are back.'
  }
};

const lower = (names: readonly string[]): string => names.map((name) => name.toLowerCase()).join(' and ');
const count = (many: number, one: string): string => (many === 1 ? `1 ${one}` : `${many} ${one}s`);

/** How many trays ask for something, in a line: “3 trays need you”. */
export const needWords = (trays: number): string =>
  trays === 1 ? '1 tray needs you' : `${trays} trays need you`;

/** A step in few words: `180 mL under pea`. */
function stepPhrase(body: StepBody, name: string, units: Units): string {
  switch (body.kind) {
    case 'mist':
      return `mist ${name}`;
    case 'water': {
      const amount = volume(body.waterMl ?? 0, units);
      const where = {
        below: 'under',
        above: 'over',
        mist: 'as mist over',
        reservoir: 'into the reservoir of',
        through: 'through'
      };
      return `${amount} ${where[body.how]} ${name}`;
    }
    case 'weight':
      return `press ${name}`;
    case 'spray':
      return `spray ${name} with ${body.name}`;
    case 'uncover':
      if (body.to === 'blackout') return `${name} under a dark dome`;
      return body.off === 'clear' ? `clear lid off ${name}` : `${name} to light`;
    case 'light':
      return `${name} to light`;
    case 'unshade':
      return `shade off ${name}`;
    case 'soak':
      return `soak ${seedMass(
        body.seed.reduce((sum, { seedG }) => sum + seedG, 0),
        units
      )} of ${name}`;
    case 'cut':
      if (body.past) return `taste ${name}, past its window: cut what is good or clear the tray`;
      return [`cut ${name}`, aboutGreens(body.expectedG, units)].filter(Boolean).join(', ');
    case 'rinse-off':
      return `rinse ${name} off`;
    default:
      return `${body.kind} ${name}`;
  }
}

/** What is to be done at a stop: of what was not begun in time it is asked whether it shall be. */
const asked = ({ steps, notBegun }: RoundStop) =>
  steps.filter(({ crops }) => notBegun.every(({ crop }) => !crops.includes(crop)));

/** @param twice crops that stand at more than one of the stops: those are told apart by their containers */
function stopPhrases(stop: RoundStop, twice: ReadonlySet<string>, units: Units): string[] {
  const { looks, notBegun } = stop;
  const named = (crops: readonly string[]): string =>
    crops.some((crop) => twice.has(crop)) ? `${lower(crops)} (${containersWords(stop.of)})` : lower(crops);
  return [
    ...asked(stop).map(
      ({ body, crops, late }) => `${stepPhrase(body, named(crops), units)}${late ? ' (overdue)' : ''}`
    ),
    ...notBegun.map(({ crop }) => `begin ${named([crop])}, or put it off`),
    ...looks.map(({ crop }) => `look at ${named([crop])}`)
  ];
}

/** Crops that stand at more than one stop. */
function cropsTwice(stops: readonly RoundStop[]): Set<string> {
  const crops = stops.flatMap((stop) => [...new Set(stop.crops)]);
  return new Set(crops.filter((crop, at) => crops.indexOf(crop) !== at));
}

/** What to look for, whatever covers it: on the round's own card it stands in the words of its crop. */
const LOOKS: Record<Cue, string> = {
  rooted: 'Look whether it has rooted',
  lightReady: 'Look whether its stems are even',
  windowOpen: 'Look whether it is ready to cut'
};

/** A stop in full: what the round's own card says of it. */
function stopLines(stop: RoundStop, media: readonly MediumStock[], now: number, locale: Locale): string[] {
  const { kind, mediumId } = stop.medium;
  const on = {
    now,
    locale,
    containers: stop.of.count,
    medium: { kind, own: media.find(({ id }) => id === mediumId) ?? null }
  };
  const where = `${stop.crops.join(' and ')} (${containersWords(stop.of)}, ${stop.placeName})`;
  const said = [
    ...asked(stop).map(({ body, with: goesWith, late, crops }) => {
      const only = crops.length < stop.crops.length ? `${crops.join(' and ')}: ` : '';
      return `${late ? 'Overdue: ' : ''}${only}${cardWords({ body, with: goesWith }, on).title}`;
    }),
    ...stop.notBegun.map(
      ({ at }) => `This was to begin ${dayAndTime(at, now, locale)}. Begin now, another day, or let it go`
    ),
    ...stop.looks.map(({ crop, cue }) => `${stop.crops.length > 1 ? `${crop}: ` : ''}${LOOKS[cue]}`)
  ];
  return said.map((one) => `${where}: ${one}.`);
}

const sinkPhrase = (sink: readonly Named[] = []): string[] =>
  sink.length > 0 ? [`wash ${count(sink.length, 'empty container')}`] : [];

/** What waits at the sink: its steps are on the round's own card. */
const sinkLine = (sink: readonly Named[] = []): string[] =>
  sink.length > 0
    ? [`At the sink: ${sink.map(({ of }) => containersWords(of)).join(', ')}. Free again once clean and dry.`]
    : [];

/**
 * A reminder in words.
 * @param now as of when: what is tomorrow then
 * @param media the household's own
 */
export function reminderWords(
  body: ReminderBody,
  now: number,
  locale: Locale,
  media: readonly MediumStock[] = []
): ReminderWords {
  const { units } = locale;
  switch (body.type) {
    case 'round': {
      const twice = cropsTwice(body.stops);
      const phrases = body.stops.flatMap((stop) => stopPhrases(stop, twice, units));
      return {
        title: `Round of ${clockTime(body.roundAt, locale)}`,
        summary: `${needWords(body.stops.length)}: ${[...phrases, ...sinkPhrase(body.sink)].join('; ')}`,
        lines: [...body.stops.flatMap((stop) => stopLines(stop, media, now, locale)), ...sinkLine(body.sink)],
        why: `It is time for your household’s round, and something is to be done in it.`,
        path: '/round'
      };
    }
    case 'catch-up':
      return {
        title: 'How do your trays stand?',
        summary: `Nothing was recorded since ${dayWords(body.since, now, locale)}: ${count(body.trays, 'tray')} to look at.`,
        lines: [
          'Say in a touch or two what is true now, and Brote plans on from there. Nothing is held against you.'
        ],
        why: 'Nobody has recorded anything for days, so Brote does not know what was done.',
        path: '/round'
      };
    case 'timer': {
      const { timer, state } = body;
      const of = `${timer.cropName} (${containersWords(timer.of)})`;
      const lead = timerWords(timer, state, now, locale);
      const over = {
        running: 'runs',
        due: 'is over',
        'last-hour': 'must end within the hour',
        missed: 'was missed'
      };
      return {
        title: `${capital(timer.cropName)}: ${TIMER_NAMES[timer.kind].toLowerCase()} ${over[state]}`,
        summary: lead,
        lines: [`${of}: ${lead}`],
        why: `It was begun ${dayAndTime(timer.startedAt, now, locale)}, and is not ticked off yet.`,
        path: '/bench'
      };
    }
    case 'window':
      return windowReminder(body, now, locale);
    case 'keeps': {
      const day = (at: number) => dayWords(at, now, locale);
      return {
        title: `${body.crop}: eat it first`,
        summary: `${amountWords(body.left, body, units)}, ${PACKING_WORDS[body.packing].toLowerCase()}: at its best until ${day(body.bestBy)}, kept to ${day(body.keepsTo)} at most.`,
        lines: ['Slime, smell or mould ends it sooner. What you will not eat, give away while it is good.'],
        why: 'It follows from the crop, and from how it was washed and packed.',
        path: '/pantry'
      };
    }
    case 'dry': {
      const name = lower(body.crops);
      const left = body.driesAt - now;
      const when = left > 0 ? `in about ${spanWords(left)}` : 'about now';
      return {
        title: `${capital(name)}: may be drying out`,
        summary: `It may begin to hang ${when}: touch it, and give about ${volume(body.waterMl, units)} if it is dry.`,
        lines: [
          `${capital(name)} (${containersWords(body.of)}, ${body.placeName}): nothing was given in time.`
        ],
        why: 'It is expected to dry out before the next round.',
        path: `/tray/${body.sowingId}`
      };
    }
    case 'warm':
      return {
        title: `${body.placeName} is too warm`,
        summary: `${temperature(body.tempC, units)} on average for a day; ${lower(body.crops)} should stand below ${temperature(body.keepBelowC, units)}.`,
        lines: [
          'Move what stands there somewhere cooler, or let air in: heat thins the crop and brings mould.'
        ],
        why: 'A sensor there has measured it.',
        path: `/shelf/${body.placeId}`
      };
    case 'leaving':
      return leavingReminder(body, now, locale);
    case 'order': {
      const name = body.crop.toLowerCase();
      return {
        title: `Standing order: ${body.soaks ? 'soak' : 'sow'} ${name}`,
        summary: `${containersWords(body.of)}, ${body.placeName}: begin it ${dayAndTime(body.beginsAt, now, locale)}, or leave it out this time.`,
        lines: [],
        why: 'A standing order lays it.',
        path: aheadPath(body)
      };
    }
    case 'member-removed':
      return {
        title: `${body.by} removed ${body.name} from the household`,
        summary: `${body.name} is signed out everywhere, and invitations and sitters’ addresses ${body.name} made no longer work.`,
        lines: [
          'Change the household’s passphrase under Settings if it should not be known outside: every device that signs in with it is then asked again.'
        ],
        why: 'Everybody in the household is told when somebody is removed.',
        path: '/household/people'
      };
    case 'silent':
      return {
        title: `The sensor at ${body.placeName} is silent`,
        summary: `Its last reading came ${dayAndTime(body.since, now, locale)}: look at its battery and its connection.`,
        lines: ['Until it speaks again, Brote goes by what is usual there.'],
        why: 'Trays stand there, and their forecasts go by what it measures.',
        path: `/shelf/${body.placeId}`
      };
  }
}

/** Where a day of a standing order is begun or left out. */
export const aheadPath = ({ orderId, day }: Pick<OnOrder, 'orderId' | 'day'>): string =>
  `/ahead?chosen=${encodeURIComponent(`${orderId} ${day}`)}`;

function windowReminder(
  body: Extract<ReminderBody, { type: 'window' }>,
  now: number,
  locale: Locale
): ReminderWords {
  const name = lower(body.crops);
  const day = (at: number) => dayWords(at, now, locale);
  const grams = aboutGreens(body.expectedG, locale.units);
  const moved =
    body.wasAt === null
      ? ''
      : body.byUpdate
        ? ` Brote was updated since, and its forecast changed: it said ${day(body.wasAt)} before.`
        : ` It has moved since it was said: ${day(body.wasAt)} was expected before.`;
  const range = `Likely ${day(Math.max(body.from, now))} to ${day(body.to)}.`;
  const told: Record<typeof body.state, { title: string; summary: string }> = {
    opening: {
      title: `${capital(name)}: window opens ${day(body.opensAt)}`,
      summary: `${range}${grams ? ` ${capital(grams)}.` : ''}${moved}`
    },
    open: {
      title: `${capital(name)}: may be ready to cut`,
      summary: `Best ${day(Math.max(body.bestAt, now))}${grams ? `, ${grams}` : ''}. Good until about ${day(body.closesAt)}.${moved}`
    },
    closing: {
      title: `${capital(name)}: cut by ${day(body.closesAt)}`,
      summary: `Its window closes ${day(body.closesAt)}${grams ? `: ${grams}` : ''}.`
    },
    past: {
      title: `${capital(name)}: past its best`,
      summary: `Since ${day(body.closesAt)}. It turns tough and bitter now: taste it, and cut what is good.`
    }
  };
  return {
    ...told[body.state],
    lines: [`${body.crops.join(' and ')} (${containersWords(body.of)}, ${body.placeName}).`],
    why: 'It follows from when it was sown, how warm it stood, and every look since.',
    path: `/tray/${body.sowingId}`
  };
}

function leavingReminder(
  body: Extract<ReminderBody, { type: 'leaving' }>,
  now: number,
  locale: Locale
): ReminderWords {
  const { cut, cool, putOff, sitter, visits } = body;
  const named = ({ crops, of }: (typeof sitter)[number]) => `${lower(crops)} (${containersWords(of)})`;
  const phrases = [
    ...cut.map(({ crops }) => `cut ${lower(crops)}`),
    ...cool.map(({ crops, toName }) => `${lower(crops)} to ${toName}`),
    ...putOff.map(({ crops }) => `put off ${lower(crops)}`),
    ...(sitter.length > 0 ? [`somebody to look after ${count(sitter.length, 'tray')}`] : [])
  ];
  return {
    title: `You leave ${dayWords(body.leavesAt, now, locale)}`,
    summary: `Before you go: ${phrases.join('; ')}.`,
    lines: [
      ...cut.map((one) =>
        one.cutG < 1
          ? `${capital(named(one))} is past its window: cut what is good, or clear the tray.`
          : `Cut ${named(one)}: ${aboutGreens(one.cutG, locale.units)}${one.lostG >= 1 ? `, ${mass(Math.round(one.lostG), locale.units)} less than at its best` : ''}.`
      ),
      ...cool.map((one) => `Move ${named(one)} to ${one.toName}: there it waits by itself.`),
      ...putOff.map((one) => `Begin ${named(one)} when you are back.`),
      ...(sitter.length > 0
        ? [
            `Somebody should come by ${visits === 1 ? 'once' : `${visits} times`} for ${sitter.map(named).join(', ')}.`
          ]
        : [])
    ],
    why: 'You marked days away, and these do not get through them by themselves.',
    path: '/household/away'
  };
}

/** Whether what a stored reminder says can be put into words. */
export function isWordable(body: unknown): boolean {
  try {
    const words = reminderWords(body as ReminderBody, 0, { zone: 'UTC', units: 'metric' });
    return Object.values(words)
      .flat()
      .every((text) => !/undefined|NaN|Infinity|\[object/.test(String(text)));
  } catch {
    return false;
  }
}
