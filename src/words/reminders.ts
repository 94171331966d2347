import { cropInText, cropName, cropList, cropsInText } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import type { ChannelKind } from '$contract/reminders.ts';
import type { Named, OnOrder, ReminderBody, ReminderKind, RoundStop } from '$core/reminders/reminder.ts';
import type { Cue } from '$core/sowing/event.ts';
import type { StepBody } from '$core/steps/step.ts';
import type { MediumStock } from '$core/supplies/media/medium.ts';
import { mass, seedMass, temperature, volume, type Units } from '$core/units/format.ts';
import { aboutGreens } from './greens.ts';
import { capital } from './capital.ts';
import { containersWords } from './containers.ts';
import { amountWords, PACKING_IN_TEXT } from './pantry.ts';
import { cardWords } from './steps/steps.ts';
import { dayAndTime, dayWords, roundName, spanWords, type Locale } from './time.ts';
import { TIMER_NAMES, timerWords } from './timers.ts';

/** The address of a mail's own page, cut off or mistyped. */
export const INCOMPLETE_ADDRESS = () => t('reminders.addressIncompleteCopyAllFrom');

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
export const CHANNEL_WORDS: Record<ChannelKind, string> = table('reminders.channel');

/** What each kind is called where it is turned on and off. */
export const REMINDER_KIND_WORDS: Record<ReminderKind, { name: string; says: string }> =
  table('reminders.reminderKind');

/** How many trays ask for something, in a line: “3 trays need you”. */
export const needWords = (trays: number): string => t('reminders.trayNeedsYouTraysNeed', { trays });

/** A step in few words: `180 mL under pea`. */
function stepPhrase(body: StepBody, name: string, units: Units): string {
  switch (body.kind) {
    case 'water':
      return t('reminders.water', { how: body.how, amount: volume(body.waterMl ?? 0, units), crop: name });
    case 'weight':
      return t('reminders.pressName', { name });
    case 'spray':
      return t('reminders.sprayNameWithName', { name, name2: body.name });
    case 'uncover':
      if (body.to === 'blackout') return t('reminders.nameUnderDarkDome', { name });
      return body.off === 'clear'
        ? t('reminders.clearLidOffName', { name })
        : t('reminders.nameLight', { name });
    case 'light':
      return t('reminders.nameLight', { name });
    case 'unshade':
      return t('reminders.shadeOffName', { name });
    case 'soak':
      return t('reminders.soakSeedmassName', {
        seedMass: seedMass(
          body.seed.reduce((sum, { seedG }) => sum + seedG, 0),
          units
        ),
        name
      });
    case 'cut':
      if (body.past) return t('reminders.tasteNamePastWindowCut', { name });
      return t('reminders.cut', {
        known: body.seen || body.sure ? 'yes' : 'no',
        crop: name,
        promised: aboutGreens(body.expectedG, units) ? 'yes' : 'no',
        grams: aboutGreens(body.expectedG, units)
      });
    case 'rinse-off':
      return t('reminders.rinseNameOff', { name });
    default:
      return t('reminders.benchStep', { kind: body.kind, crop: name });
  }
}

/** What is to be done at a stop: of what was not begun in time it is asked whether it shall be. */
const asked = ({ steps, notBegun }: RoundStop) =>
  steps.filter(({ crops }) => notBegun.every(({ crop }) => !crops.includes(crop)));

/** @param twice crops that stand at more than one of the stops: those are told apart by their containers */
function stopPhrases(stop: RoundStop, twice: ReadonlySet<string>, units: Units): string[] {
  const { looks, notBegun } = stop;
  const named = (crops: readonly string[]): string =>
    crops.some((crop) => twice.has(crop))
      ? `${cropsInText(crops)} (${containersWords(stop.of)})`
      : cropsInText(crops);
  return [
    ...asked(stop).map(({ body, crops, late }) => {
      const step = stepPhrase(body, named(crops), units);
      return late ? t('reminders.overdue', { step }) : step;
    }),
    ...notBegun.map(({ crop }) => t('reminders.beginNamedOrPutOff', { named: named([crop]) })),
    ...looks.map(({ crop }) => t('reminders.lookAtNamed', { named: named([crop]) }))
  ];
}

/** Crops that stand at more than one stop. */
function cropsTwice(stops: readonly RoundStop[]): Set<string> {
  const crops = stops.flatMap((stop) => [...new Set(stop.crops)]);
  return new Set(crops.filter((crop, at) => crops.indexOf(crop) !== at));
}

/** What to look for, whatever covers it: on the round's own card it stands in the words of its crop. */
const LOOKS: Record<Cue, string> = table('reminders.looks');

/** A stop in full, in one line: what the round's own card says of it. */
function stopLines(stop: RoundStop, media: readonly MediumStock[], now: number, locale: Locale): string[] {
  const { kind, mediumId } = stop.medium;
  const on = {
    now,
    locale,
    containers: stop.of.count,
    medium: { kind, own: media.find(({ id }) => id === mediumId) ?? null }
  };
  const where = `${cropList(stop.crops)} (${containersWords(stop.of)}, ${stop.placeName})`;
  const said = [
    ...asked(stop).map(({ body, with: goesWith, late, crops }) => {
      const only = crops.length < stop.crops.length ? `${cropList(crops)}: ` : '';
      return t('reminders.overdueOnlyTitle', {
        when: late ? 'yes' : 'no',
        only,
        title: cardWords({ body, with: goesWith }, on).title
      });
    }),
    ...stop.notBegun.map(({ at }) =>
      t('reminders.wasBeginDayandtimeBeginNow', { dayAndTime: dayAndTime(at, now, locale) })
    ),
    ...stop.looks.map(({ crop, cue }) => `${stop.crops.length > 1 ? `${cropName(crop)}: ` : ''}${LOOKS[cue]}`)
  ];
  return said.length > 0 ? [t('reminders.whereSaid', { where, said: said.join('. ') })] : [];
}

const sinkPhrase = (sink: readonly Named[] = []): string[] =>
  sink.length > 0 ? [t('reminders.washCount', { count: sink.length })] : [];

/** What waits at the sink: its steps are on the round's own card. */
const sinkLine = (sink: readonly Named[] = []): string[] =>
  sink.length > 0
    ? [t('reminders.atSinkSinkFreeAgain', { sink: sink.map(({ of }) => containersWords(of)).join(', ') })]
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
        title: roundName(body.roundAt, locale),
        summary: `${needWords(body.stops.length)}: ${[...phrases, ...sinkPhrase(body.sink)].join('; ')}`,
        lines: [...body.stops.flatMap((stop) => stopLines(stop, media, now, locale)), ...sinkLine(body.sink)],
        why: t('reminders.timeYourHouseholdsRoundSomething'),
        path: '/round'
      };
    }
    case 'catch-up':
      return {
        title: t('reminders.howDoYourTraysStand'),
        summary: t('reminders.nothingWasRecordedSinceDay', {
          day: dayWords(body.since, now, locale),
          count: body.trays
        }),
        lines: [t('reminders.sayTouchOrTwoWhat')],
        why: t('reminders.nobodyHasRecordedAnythingDays'),
        path: '/round'
      };
    case 'timer': {
      const { timer, state } = body;
      const of = `${cropName(timer.cropName)} (${containersWords(timer.of)})`;
      const lead = timerWords(timer, state, now, locale);
      return {
        title: t('reminders.timerIs', {
          crop: cropName(timer.cropName),
          timer: TIMER_NAMES[timer.kind],
          lastHour: state === 'last-hour' ? 'yes' : 'no',
          state
        }),
        summary: lead,
        lines: [`${of}: ${lead}`],
        why: t('reminders.wasBegunDayandtimeNotTicked', {
          dayAndTime: dayAndTime(timer.startedAt, now, locale)
        }),
        path: '/bench'
      };
    }
    case 'window':
      return windowReminder(body, now, locale);
    case 'keeps': {
      const day = (at: number) => dayWords(at, now, locale);
      return {
        title: t('reminders.cropEatFirst', { crop: cropName(body.crop) }),
        summary: t('reminders.amountPackingAtBestUntil', {
          amount: amountWords(body.left, body, units),
          packing: PACKING_IN_TEXT[body.packing],
          day: day(body.bestBy),
          day2: day(body.keepsTo)
        }),
        lines: [t('reminders.slimeSmellOrMouldEnds')],
        why: t('reminders.followsFromCropFromHow'),
        path: '/pantry'
      };
    }
    case 'dry': {
      const name = cropList(body.crops);
      const left = body.driesAt - now;
      return {
        title: t('reminders.nameMayBeDryingOut', { name }),
        summary: t('reminders.mayBeginHangWhenTouch', {
          later: left > 0 ? 'yes' : 'no',
          span: spanWords(Math.max(0, left)),
          volume: volume(body.waterMl, units)
        }),
        lines: [
          t('reminders.nameContainersPlacenameNothingWas', {
            name,
            containers: containersWords(body.of),
            placeName: body.placeName
          })
        ],
        why: t('reminders.expectedDryOutBeforeNext'),
        path: `/tray/${body.sowingId}`
      };
    }
    case 'warm':
      return {
        title: t('reminders.placenameTooWarm', { placeName: body.placeName }),
        summary: t('reminders.temperatureOnAverageDayLower', {
          temperature: temperature(body.tempC, units),
          lower: cropsInText(body.crops),
          temperature2: temperature(body.keepBelowC, units)
        }),
        lines: [t('reminders.moveWhatStandsThereSomewhere')],
        why: t('reminders.sensorThereHasMeasured'),
        path: `/shelf/${body.placeId}`
      };
    case 'leaving':
      return leavingReminder(body, now, locale);
    case 'order': {
      const name = cropInText(body.crop);
      return {
        title: t('reminders.standingOrderSoakSowName', { when: body.soaks ? 'yes' : 'no', name }),
        summary: t('reminders.containersPlacenameBeginDayandtimeOr', {
          containers: containersWords(body.of),
          placeName: body.placeName,
          dayAndTime: dayAndTime(body.beginsAt, now, locale)
        }),
        lines: [],
        why: t('reminders.standingOrderLays'),
        path: aheadPath(body)
      };
    }
    case 'member-removed':
      return {
        title: t('reminders.byRemovedNameFromHousehold', { by: body.by, name: body.name }),
        summary: t('reminders.nameSignedOutEverywhereInvitations', { name: body.name }),
        lines: [t('reminders.changeHouseholdsPassphraseUnderSettings')],
        why: t('reminders.everybodyHouseholdToldWhenSomebody'),
        path: '/household/people'
      };
    case 'silent':
      return {
        title: t('reminders.sensorAtPlacenameSilent', { placeName: body.placeName }),
        summary: t('reminders.lastReadingCameDayandtimeLook', {
          dayAndTime: dayAndTime(body.since, now, locale)
        }),
        lines: [t('reminders.untilSpeaksAgainBroteGoes')],
        why: t('reminders.traysStandThereTheirForecasts'),
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
  const name = cropList(body.crops);
  const day = (at: number) => dayWords(at, now, locale);
  const grams = aboutGreens(body.expectedG, locale.units);
  const moved =
    body.wasAt === null
      ? ''
      : body.byUpdate
        ? ` ${t('reminders.broteWasUpdatedSinceForecast', { day: day(body.wasAt) })}`
        : ` ${t('reminders.hasMovedSinceWasSaid', { day: day(body.wasAt) })}`;
  const range = t('reminders.likelyDayDay', { day: day(Math.max(body.from, now)), day2: day(body.to) });
  const told: Record<typeof body.state, { title: string; summary: string }> = {
    opening: {
      title: t('reminders.nameWindowOpensDay', { name, day: day(body.opensAt) }),
      summary: `${range}${grams ? ` ${capital(grams)}.` : ''}${moved}`
    },
    open: {
      title: t('reminders.nameMayBeReadyCut', { name }),
      summary: t('reminders.bestDayGramsGoodUntil', {
        day: day(Math.max(body.bestAt, now)),
        when: grams ? 'yes' : 'no',
        grams,
        day2: day(body.closesAt),
        moved
      })
    },
    closing: {
      title: t('reminders.nameCutByDay', { name, day: day(body.closesAt) }),
      summary: t('reminders.windowClosesDayGrams', {
        day: day(body.closesAt),
        when: grams ? 'yes' : 'no',
        grams
      })
    },
    past: {
      title: t('reminders.namePastBest', { name }),
      summary: t('reminders.sinceDayTurnsToughBitter', { day: day(body.closesAt) })
    }
  };
  return {
    ...told[body.state],
    lines: [`${cropList(body.crops)} (${containersWords(body.of)}, ${body.placeName}).`],
    why: t('reminders.followsFromWhenWasSown'),
    path: `/tray/${body.sowingId}`
  };
}

function leavingReminder(
  body: Extract<ReminderBody, { type: 'leaving' }>,
  now: number,
  locale: Locale
): ReminderWords {
  const { cut, cool, putOff, sitter, visits } = body;
  const named = ({ crops, of }: (typeof sitter)[number]) => `${cropsInText(crops)} (${containersWords(of)})`;
  const phrases = [
    ...cut.map(({ crops }) => t('reminders.cutLower', { lower: cropsInText(crops) })),
    ...cool.map(({ crops, toName }) => t('reminders.lowerToname', { lower: cropsInText(crops), toName })),
    ...putOff.map(({ crops }) => t('reminders.putOffLower', { lower: cropsInText(crops) })),
    ...(sitter.length > 0 ? [t('reminders.somebodyLookAfterCount', { count: sitter.length })] : [])
  ];
  return {
    title: t('reminders.youLeaveDay', { day: dayWords(body.leavesAt, now, locale) }),
    summary: t('reminders.beforeYouGoPhrases', { phrases: phrases.join('; ') }),
    lines: [
      ...cut.map((one) =>
        one.cutG < 1
          ? t('reminders.namedPastWindowCutWhat', { named: capital(named(one)) })
          : t('reminders.cutNamedAboutgreensMassLess', {
              named: named(one),
              aboutGreens: aboutGreens(one.cutG, locale.units),
              when: one.lostG >= 1 ? 'yes' : 'no',
              mass: one.lostG >= 1 ? mass(Math.round(one.lostG), locale.units) : ''
            })
      ),
      ...cool.map((one) =>
        t('reminders.moveNamedTonameThereWaits', { named: named(one), toName: one.toName })
      ),
      ...putOff.map((one) => t('reminders.beginNamedWhenYouBack', { named: named(one) })),
      ...(sitter.length > 0
        ? [t('reminders.somebodyShouldComeByOnce', { visits, sitter: sitter.map(named).join(', ') })]
        : [])
    ],
    why: t('reminders.youMarkedDaysAwayThese'),
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
