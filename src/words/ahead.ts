import { forReader } from './formats.ts';
import { cropInText, cropName, cropList, cropsInText } from './cropNames.ts';
import { allOf, anyOf } from './lists.ts';
import { t, table } from '$messages/t.ts';
import { DAY } from '$core/time/zone.ts';
import { PORTIONS, type Appetite, type PortionSize as EatenPortion } from '$core/ahead/appetite.ts';
import type { Change } from '$core/ahead/changes.ts';
import type { Line } from '$core/ahead/lines.ts';
import type { GroundPart } from '$core/ahead/ground.ts';
import type { Glut, SpreadPart } from '$core/ahead/glut.ts';
import type { DayStretch, Wish } from '$core/ahead/mends.ts';
import type { Effect, Offer } from '$core/ahead/offers.ts';
import type { Over } from '$core/ahead/uses.ts';
import type { Shortage } from '$core/ahead/room.ts';
import type { DayWork, Row } from '$core/ahead/rows.ts';
import type { SeedNeed } from '$core/ahead/seedList.ts';
import { READY, type CutAim } from '$core/ahead/cutting.ts';
import type { nothingWithout } from '$core/ahead/build.ts';
import type { PlannedSowing } from '$core/sowing/planSowing.ts';
import type { Rule, WhyMoved } from '$core/ahead/standingOrder.ts';
import type { Place } from '$core/places/place.ts';
import type { Projected } from '$core/sowing/project.ts';
import { beginsAt } from '$core/sowing/soak.ts';
import { greensMass, seedMass } from '$core/units/format.ts';
import { capital } from './capital.ts';
import { clockTime, daysAway, dayWords, shortDate, type Locale } from './time.ts';

/** Names as a sentence lists them. */

/** That more opens in a week than is eaten, in a sentence or two. */
export function glutWords(
  { from, until, g, addedG }: Glut,
  appetiteGD: number,
  now: number,
  locale: Locale
): string {
  const day = (at: number) => dayWords(at, now, locale);
  const mass = (grams: number) => greensMass(grams, locale.units);
  return t('ahead.withAboutMassOpenFrom', {
    mass: mass(g),
    day: day(from),
    day2: day(until),
    mass2: mass(addedG),
    mass3: mass(appetiteGD),
    mass4: mass(7 * appetiteGD)
  });
}

/** That Brote assumes what is eaten, for nobody has said it. */
export const assumedWords = ({ people }: Pick<Appetite, 'people'>, { units }: Locale): string =>
  t('ahead.youHaventSaidHowMuch', {
    greensMass: greensMass(PORTIONS.handful, units),
    when: people > 1 ? 'yes' : 'no',
    people
  });

export const PORTION_WORDS: Record<EatenPortion, string> = table('ahead.portion');

/** That so much a day is hardly meant. */
export const muchEatenWords = (eachG: number, { units }: Pick<Locale, 'units'>): string =>
  t('ahead.aboutGreensmassDayEachPerson', {
    greensMass: greensMass(eachG, units),
    greensMass2: greensMass(PORTIONS.handful, units),
    greensMass3: greensMass(PORTIONS.salad, units)
  });

/** Several containers begun in turn: “Start 2 now, 2 on Sunday and 2 on Wed 3 Dec”. */
export function spreadWords(portions: readonly SpreadPart[], now: number, locale: Locale): string {
  const said = portions.map(({ days, count }) => {
    if (days === 0) return t('ahead.spread.now', { count });
    if (days === 1) return t('ahead.spread.tomorrow', { count });
    return t('ahead.spread.day', { count, day: dayWords(now + days * DAY, now, locale) });
  });
  return t('ahead.spread.all', { parts: allOf(said) });
}

/** What is planned for later days, in one line: “33 more planned. Next: Radish on Friday”. */
export function plannedLaterWords(later: readonly Projected[], now: number, locale: Locale): string {
  const { crop, soak } = later[0]!;
  const day = dayWords(beginsAt(soak), now, locale);
  return t('ahead.laterMorePlannedNextName', { later: later.length, name: cropName(crop.name), day });
}

/** Days of a horizon as they are named. */
export type DayName = (day: number) => string;

export const dayNames =
  (moments: readonly number[], locale: Locale): DayName =>
  (day) =>
    shortDate(moments[Math.min(Math.max(day, 0), moments.length - 1)]!, locale);

const span = ({ from, until }: Pick<DayStretch, 'from' | 'until'>, name: DayName): string =>
  from === until ? name(from) : t('ahead.nameName', { name: name(from), name2: name(until) });

/** Too little on some days, in a sentence. */
export const gapWords = (gap: DayStretch, name: DayName, { units }: Locale): string =>
  t('ahead.tooLittleOnFromSpan', {
    when: gap.from === gap.until ? 'yes' : 'no',
    span: span(gap, name),
    greensMass: greensMass(gap.g, units)
  });

export const glutAheadWords = (glut: DayStretch, name: DayName, { units }: Locale): string =>
  t('ahead.tooMuchByNameAbout', {
    name: name(glut.until),
    greensMass: greensMass(glut.g, units),
    when: glut.from === glut.until ? 'yes' : 'no',
    name2: !(glut.from === glut.until) ? name(glut.from) : ''
  });

/** What is short for a sowing that is being planned, and when there is enough. */
export function shortageWords(
  { kind, laterMs, elsewhere }: Pick<Shortage, 'kind' | 'laterMs' | 'elsewhere'>,
  place: Pick<Place, 'name'>,
  container: string,
  now: number,
  locale: Locale
): string {
  const days = laterMs === null ? 0 : daysAway(now + laterMs, now, locale.zone);
  const then =
    laterMs === null
      ? ''
      : days === 0
        ? ` ${t('ahead.begunAtClocktimeTodayGoes', { clockTime: clockTime(now + laterMs, locale) })}`
        : ` ${t('ahead.begunDayDaysLaterDay', { days, day: dayWords(now + laterMs, now, locale) })}`;
  switch (kind) {
    case 'light':
      return t('ahead.nameDarkRootsThereThere', {
        name: place.name,
        when: elsewhere.length === 0 ? 'yes' : 'no'
      });
    case 'board':
      return t('ahead.nameHasNoRoomAll', {
        name: place.name,
        then,
        when: laterMs === null && elsewhere.length === 0 ? 'yes' : 'no'
      });
    case 'container':
      return t('ahead.containerMoreWouldBeUse', { container, then: then || ` ${t('ahead.fewerWouldFit')}` });
  }
}

const MOST_OVER = 3;

/**
 * That more is planned than there is of something, and what to do about it.
 * @param rows what is planned of it in those days
 */
export function overWords(
  { use: { kind, name: of, total, shares }, from, until }: Over,
  rows: readonly Pick<Row, 'crops' | 'count'>[],
  name: DayName
): string {
  const when = t('ahead.onFromSpan', {
    when: from === until ? 'yes' : 'no',
    span: span({ from, until }, name)
  });
  const named = [...new Set(rows.map(rowInText))];
  const which = named.length > 0 ? anyOf(named.slice(0, MOST_OVER)) : t('ahead.oneThem');
  switch (kind) {
    case 'board':
      return t('ahead.whenHasNoRoomAll', { when, of, which });
    case 'load':
      return t('ahead.whenWouldCarryMoreThan', { when, of, which });
    case 'container': {
      const needed = Math.round(total * Math.max(...shares.slice(from, until + 1)));
      return t('ahead.whenYouWouldNeedNeeded', { when, needed, of, total, which });
    }
  }
}

/** Where it is begun, and where it is carried to light. */
export const whereWords = (
  { placeId, lightPlaceId }: Pick<Row, 'placeId' | 'lightPlaceId'>,
  placeName: (id: string) => string
): string =>
  lightPlaceId === null
    ? placeName(placeId)
    : t('ahead.placenameAtFirstLightPlacename', {
        placeName: placeName(placeId),
        placeName2: placeName(lightPlaceId)
      });

/** What a line of a proposal asks. */
export function lineTitle({ kind, change, instead }: Line, now: number, locale: Locale): string {
  const { row } = change;
  const [day, name] = [dayWords(row.beginsAt, now, locale), rowInText(row)];
  if (kind === 'leave-out') return t('ahead.leaveOutNameDay', { name, day });
  const what = t('ahead.soakSowNameContainer', {
    when: row.beginsAt < row.startAt ? 'yes' : 'no',
    name,
    container: row.container
  });
  if (!instead) return `${capital(day)}: ${what}`;
  const before = dayWords(instead.row.beginsAt, now, locale);
  return before === day
    ? t('ahead.dayWhatAtPlace', { day: capital(day), what })
    : t('ahead.dayInsteadBeforeWhat', { day: capital(day), before, what });
}

/** That seed for a proposed sowing is not in the cupboard. */
export const seedLackWords = (g: number, { units }: Locale): string =>
  t('ahead.notCupboardAboutSeedmassSeed', { seedMass: seedMass(g, units) });

/** Why a change is proposed. */
export function whyWords(
  { feeds, kind, savesThrownG, varies }: Change,
  name: DayName,
  { units }: Locale
): string {
  if (kind === 'leave-out')
    return savesThrownG > 1
      ? t('ahead.nobodyWouldEatAboutGreensmass', { greensMass: greensMass(savesThrownG, units) })
      : t('ahead.nobodyNeedsThenSavesDay');
  if (!feeds) return varies ? t('ahead.bringsOneMoreCropInto') : t('ahead.nothingWouldBeMissingWithout');
  return t('ahead.thereOnFromSpanWithout', {
    when: feeds.from === feeds.until ? 'yes' : 'no',
    span: span(feeds, name),
    greensMass: greensMass(feeds.g, units)
  });
}

/** How far the search for a plan has come, and how much more any plan could mend (docs/model.md, 13). */
export const SEARCH_WORDS = {
  get looking() {
    return t('ahead.lookingPlan');
  },
  get better() {
    return t('ahead.goodPlanHereAlreadyBrote');
  },
  get done() {
    return t('ahead.asGoodAsBroteCan');
  },
  get failed() {
    return t('ahead.browserCouldNotWorkOut');
  }
} as const;

const MOST_NAMED = 6;

/** Days that may be short where trays run early or late. */
export function shortDaysWords(days: readonly { day: number }[], name: DayName): string {
  const named = days.slice(0, MOST_NAMED).map(({ day }) => name(day));
  const more = days.length - named.length;
  return t('ahead.traysRunEarlyLateMore', { named: named.join(', '), when: more > 0 ? 'yes' : 'no', more });
}

/** The names of the weekdays, from Monday. */
const weekdays = forReader((tag, style: 'long' | 'short'): string[] => {
  const format = new Intl.DateTimeFormat(tag, { weekday: style, timeZone: 'UTC' });
  // 1 January 2024 was a Monday.
  return Array.from({ length: 7 }, (_, day) => format.format(Date.UTC(2024, 0, 1 + day)));
});
export const shortWeekdays = (): string[] => weekdays('short');
export const weekdayName = (day: number): string => weekdays('long')[(day + 6) % 7]!;

/** What would mend what a plan cannot meet. */
export function wishWords(wish: Wish, firstWeekday: number, { units }: Locale): string {
  switch (wish.kind) {
    case 'container':
      return t('ahead.oneNameMoreAboutGreensmass', {
        name: wish.name,
        greensMass: greensMass(wish.g, units)
      });
    case 'board':
      return t('ahead.roomOneMoreAtName', { name: wish.name, greensMass: greensMass(wish.g, units) });
    case 'load':
      return t('ahead.boardBesideNameWhichMay', { name: wish.name, greensMass: greensMass(wish.g, units) });
    case 'seed':
      return t('ahead.moreNameSeedAboutGreensmass', {
        name: cropInText(wish.name),
        greensMass: greensMass(wish.g, units)
      });
    case 'eat-less':
      return t('ahead.greensmassLessOnWeekdaynameS', {
        greensMass: greensMass(wish.byG, units),
        weekdayName: weekdayName(((firstWeekday - 1 + wish.weekday) % 7) + 1)
      });
  }
}

/** What is in a row, and where. */
export const rowName = ({ crops, count }: Pick<Row, 'crops' | 'count'>): string =>
  times(cropList(crops), count);

/** The same inside a sentence. */
const rowInText = ({ crops, count }: Pick<Row, 'crops' | 'count'>): string =>
  times(cropsInText(crops), count);

const times = (what: string, count: number): string =>
  count > 1 ? t('ahead.row.several', { what, count }) : what;

export const ROW_KINDS: Record<Row['kind'], string> = table('ahead.rowKinds');

/** What is done on a day. */
export function workWords({ what, row }: DayWork): string {
  const name = rowInText(row);
  switch (what) {
    case 'begin':
      return row.beginsAt < row.startAt ? t('ahead.soakName', { name }) : t('ahead.sowName', { name });
    case 'sow':
      return t('ahead.sowName', { name });
    case 'opens':
      return t('ahead.nameOpens', { name: rowName(row) });
    case 'last-cut':
      return t('ahead.lastDayCutName', { name });
  }
}

/** What is wanted of it when it is cut. */
function aimWords(aim: CutAim = READY): string {
  switch (aim.kind) {
    case 'ready':
      return t('ahead.ready');
    case 'best':
      return t('ahead.atBest');
    case 'age':
      return t('ahead.cutAtDaysDaysOr', { days: aim.days });
  }
}

/** How a sowing that an order lays goes: “sow Thursday, ready Wed 9 Dec, cut Thu 10 Dec”. */
export function draftWords(
  { plan }: PlannedSowing,
  { beginsAt, cutAt }: { beginsAt: number; cutAt: number | null },
  now: number,
  locale: Locale
): string {
  const day = (at: number) => dayWords(at, now, locale);
  return [
    t('ahead.sowSoakDay', { when: plan.soak.soakStart === null ? 'yes' : 'no', day: day(beginsAt) }),
    t('ahead.readyDay', { day: day(plan.forecast.marks.windowOpen.p50) }),
    ...(cutAt !== null && Number.isFinite(cutAt) ? [t('ahead.cutDay', { day: day(cutAt) })] : [])
  ].join(', ');
}

/** The days on which the next sowings of an order are cut: “Next cuts: Thu 4 Dec, Mon 8 Dec”. */
export const cutsWords = (cuts: readonly number[], locale: Locale): string =>
  cuts.length === 0
    ? t('ahead.noCutWithinEightWeeks')
    : t('ahead.nextCutsCuts', { cuts: cuts.map((at) => shortDate(at, locale)).join(', ') });

const EVERY_WEEKDAY = table('ahead.everyWeekday');

/** When an order comes again. */
export function ruleWords(rule: Rule): string {
  switch (rule.kind) {
    case 'every':
      return t('ahead.begunEveryDayBegunEvery', { days: rule.days });
    case 'weekdays':
      return t('ahead.aimOnWeekdays', {
        aim: aimWords(rule.aim),
        weekdays: allOf(rule.weekdays.map((day) => EVERY_WEEKDAY[String(day) as keyof typeof EVERY_WEEKDAY]))
      });
    case 'keep':
      return t('ahead.alwaysOneGoing');
  }
}

/** What is said where nothing can be planned for want of something, and where to add it. */
export const LACKS_WORDS: Record<
  NonNullable<ReturnType<typeof nothingWithout>>,
  { says: string; path: string; link: string }
> = {
  crops: {
    get says() {
      return t('ahead.broteProposesCropsYouHave');
    },
    path: '/bench/cupboard',
    get link() {
      return t('ahead.addSeed');
    }
  },
  containers: {
    get says() {
      return t('ahead.thereNoContainerPlanWith');
    },
    path: '/bench/cupboard',
    get link() {
      return t('ahead.addContainer');
    }
  },
  places: {
    get says() {
      return t('ahead.thereNoPlaceTrayYet');
    },
    path: '/shelf',
    get link() {
      return t('ahead.addPlace');
    }
  }
};

/** Why it is begun on no day at all. */
export const NONE_WORDS: Record<WhyMoved, string> = table('ahead.none');

/** Why it is begun on another day than its rule says. */
export const MOVED_WORDS: Record<WhyMoved, string> = table('ahead.moved');

/** Less is not worth a word, g. */
const WORTH_SAYING_G = 5;

/** What an offer does to all the weeks ahead: “120 g less thrown, 40 g more missing”. */
function effectWords({ missingG, thrownG }: Effect, { units }: Locale): string {
  const part = (g: number, what: string): string[] =>
    Math.abs(g) < WORTH_SAYING_G
      ? []
      : [
          t('ahead.aboutGreensmassLessMoreWhat', {
            greensMass: greensMass(Math.abs(g), units),
            when: g > 0 ? 'yes' : 'no',
            what
          })
        ];
  const [missing, thrown] = [part(missingG, t('ahead.missing')), part(thrownG, t('ahead.thrown'))];
  return (missingG > thrownG ? [...missing, ...thrown] : [...thrown, ...missing]).join(', ');
}

/** What an offer does about a gap or a glut. */
export function offerWords(offer: Offer, name: DayName, locale: Locale): string {
  const effect = effectWords(offer, locale);
  const mass = (g: number): string => greensMass(g, locale.units);
  switch (offer.kind) {
    case 'move': {
      const days = Math.abs(offer.days);
      return t('ahead.beginCropDayDaysSooner', {
        crop: cropInText(offer.crop),
        days,
        when: offer.days < 0 ? 'yes' : 'no',
        effect
      });
    }
    case 'cut-early':
      return t('ahead.cutAboutMassCropEarly', {
        mass: mass(offer.g),
        crop: cropInText(offer.crop),
        mass2: mass(offer.lessG),
        effect
      });
    case 'cool':
      return t('ahead.moveCropPlaceWhereCooler', {
        crop: cropInText(offer.crop),
        place: offer.place,
        effect
      });
    case 'give-away':
      return t('ahead.giveAwayAboutMassCrop', {
        mass: mass(offer.thrownG),
        crop: cropInText(offer.crop),
        name: name(offer.byDay)
      });
    case 'begin':
      return t('ahead.beginRownameContainerOnName', {
        rowName: rowInText(offer.change.row),
        container: offer.change.row.container,
        name: name(offer.change.begin?.day ?? 0),
        effect
      });
  }
}

const GROUND_NAMES: Record<GroundPart, string> = table('ahead.ground');

/** Why a proposal is not taken: what was changed since it was worked out. */
export const groundChangedWords = (parts: readonly GroundPart[]): string =>
  t('ahead.notTakenPartsChangedAfter', { parts: allOf(parts.map((part) => GROUND_NAMES[part])) });

/** What was taken of a proposal: how many sowings are begun, and how many planned ones are not. */
export const takenWords = (begun: number, leftOut: number): string =>
  t('ahead.takenValue', {
    value: [
      begun > 0 ? t('ahead.oneSowingOnListSowings', { begun }) : '',
      leftOut > 0 ? t('ahead.oneNotBegunNotBegun', { leftOut }) : ''
    ]
      .filter(Boolean)
      .join(', ')
  });

/** Opens the other things that would mend a gap or a glut. */
export const moreWaysWords = (many: number): string => t('ahead.wayWays', { many });

/** A line of what to buy. */
export const seedLine = ({ crop, buyG, buyBy }: SeedNeed, now: number, locale: Locale): string =>
  t('ahead.nameSeedmassNowByShortdate', {
    name: cropName(crop.name),
    seedMass: seedMass(buyG, locale.units),
    when: buyBy === null ? 'yes' : 'no',
    when2: !(buyBy === null) && buyBy <= now ? 'yes' : 'no',
    shortDate: !(buyBy === null) && !(buyBy <= now) ? shortDate(buyBy, locale) : ''
  });
