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
export const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });
const OR = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** That more opens in a week than is eaten, in a sentence or two. */
export function glutWords(
  { from, until, g, addedG }: Glut,
  appetiteGD: number,
  now: number,
  locale: Locale
): string {
  const day = (at: number) => dayWords(at, now, locale);
  const mass = (grams: number) => greensMass(grams, locale.units);
  return `With this, about ${mass(g)} open from ${day(from)} to ${day(until)}, ${mass(addedG)} of it from this sowing. You eat about ${mass(appetiteGD)} a day, ${mass(7 * appetiteGD)} in that time.`;
}

/** That Brote assumes what is eaten, for nobody has said it. */
export const assumedWords = ({ people }: Pick<Appetite, 'people'>, { units }: Locale): string =>
  `You haven’t said how much you eat, so Brote assumes a handful a day, ${greensMass(PORTIONS.handful, units)}${people > 1 ? `, for each of the ${people} of you` : ''}.`;

export const PORTION_WORDS: Record<EatenPortion, string> = {
  pinch: 'A pinch on bread',
  handful: 'A handful',
  salad: 'A salad a day'
};

/** That so much a day is hardly meant. */
export const muchEatenWords = (eachG: number, { units }: Pick<Locale, 'units'>): string =>
  `That is about ${greensMass(eachG, units)} a day for each person. A handful is ${greensMass(PORTIONS.handful, units)} and a salad ${greensMass(PORTIONS.salad, units)}. Check the figures, or save them as they are.`;

/** Several containers begun in turn: “Start 2 now, 2 on Sunday and 2 on Wed 3 Dec”. */
export function spreadWords(portions: readonly SpreadPart[], now: number, locale: Locale): string {
  const said = portions.map(({ days, count }) => {
    const day = dayWords(now + days * DAY, now, locale);
    return `${count} ${days === 0 ? 'now' : days === 1 ? day : `on ${day}`}`;
  });
  return `Start ${said.slice(0, -1).join(', ')} and ${said.at(-1)}`;
}

/** What is planned for later days, in one line: “33 more planned. Next: Radish on Friday”. */
export function plannedLaterWords(later: readonly Projected[], now: number, locale: Locale): string {
  const { crop, soak } = later[0]!;
  const day = dayWords(beginsAt(soak), now, locale);
  return `${later.length} more planned. Next: ${crop.name}, ${day}`;
}

/** Days of a horizon as they are named. */
export type DayName = (day: number) => string;

export const dayNames =
  (moments: readonly number[], locale: Locale): DayName =>
  (day) =>
    shortDate(moments[Math.min(Math.max(day, 0), moments.length - 1)]!, locale);

const span = ({ from, until }: Pick<DayStretch, 'from' | 'until'>, name: DayName): string =>
  from === until ? name(from) : `${name(from)} to ${name(until)}`;

/** Too little on some days, in a sentence. */
export const gapWords = (gap: DayStretch, name: DayName, { units }: Locale): string =>
  `Too little ${gap.from === gap.until ? 'on' : 'from'} ${span(gap, name)}: about ${greensMass(gap.g, units)} short.`;

export const glutAheadWords = (glut: DayStretch, name: DayName, { units }: Locale): string =>
  `Too much by ${name(glut.until)}: about ${greensMass(glut.g, units)} would be past ${glut.from === glut.until ? 'its days then' : `their days from ${name(glut.from)} on`}.`;

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
        ? ` Begun at ${clockTime(now + laterMs, locale)} today, it goes.`
        : ` Begun ${days === 1 ? 'a day' : `${days} days`} later, ${dayWords(now + laterMs, now, locale)}, it goes.`;
  switch (kind) {
    case 'light':
      return `${place.name} is dark: it roots there, and there is no place with light to carry it to.${elsewhere.length === 0 ? ' No other place has room for it then.' : ''}`;
    case 'board':
      return `${place.name} has no room for it all the while, by what stands there and is on the list.${then}${laterMs === null && elsewhere.length === 0 ? ' Nor has any other place: a smaller container, or fewer of them, would go.' : ''}`;
    case 'container':
      return `${container}: more would be in use at once than there are, by what stands and is on the list.${then || ' Fewer of them would go.'}`;
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
  const when = `${from === until ? 'On' : 'From'} ${span({ from, until }, name)}`;
  const named = [...new Set(rows.map((row) => rowName(row).toLowerCase()))];
  const which = named.length > 0 ? OR.format(named.slice(0, MOST_OVER)) : 'one of them';
  switch (kind) {
    case 'board':
      return `${when} ${of} has no room for all that is planned there. Move ${which} to another day or place.`;
    case 'load':
      return `${when} ${of} would carry more than it is rated for. Move ${which} to another day or place.`;
    case 'container': {
      const needed = Math.round(total * Math.max(...shares.slice(from, until + 1)));
      return `${when} you would need ${needed} × ${of} and have ${total}. Move ${which} to another day, or choose another container.`;
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
    : `${placeName(placeId)}, at first light to ${placeName(lightPlaceId)}`;

/** What a line of a proposal asks. */
export function lineTitle({ kind, change, instead }: Line, now: number, locale: Locale): string {
  const { row } = change;
  const [day, name] = [dayWords(row.beginsAt, now, locale), rowName(row).toLowerCase()];
  if (kind === 'leave-out') return `Leave out ${name} of ${day}`;
  const what = `${row.beginsAt < row.startAt ? 'soak' : 'sow'} ${name}, ${row.container}`;
  if (!instead) return `${capital(day)}: ${what}`;
  const before = dayWords(instead.row.beginsAt, now, locale);
  return before === day
    ? `${capital(day)}: ${what}, at another place`
    : `${capital(day)} instead of ${before}: ${what}`;
}

/** That seed for a proposed sowing is not in the cupboard. */
export const seedLackWords = (g: number, { units }: Locale): string =>
  `Not in the cupboard: about ${seedMass(g, units)} of its seed.`;

/** Why a change is proposed. */
export function whyWords(
  { feeds, kind, savesThrownG, varies }: Change,
  name: DayName,
  { units }: Locale
): string {
  if (kind === 'leave-out')
    return savesThrownG > 1
      ? `Nobody would eat it: about ${greensMass(savesThrownG, units)} less is thrown.`
      : 'Nobody needs it then, and it saves a day of work.';
  if (!feeds)
    return varies
      ? 'It brings one more crop into the week.'
      : 'Nothing would be missing without it, but the plan as a whole is better with it.';
  return `There ${feeds.from === feeds.until ? 'on' : 'from'} ${span(feeds, name)}: without it about ${greensMass(feeds.g, units)} would be missing.`;
}

/** How far the search for a plan has come, and how much more any plan could mend (docs/model.md, 13). */
export const SEARCH_WORDS = {
  looking: 'Looking for a plan…',
  better: 'A good plan is here already. Brote is looking for a better one.',
  done: 'As good as Brote can find: usually within 1 % of the best possible, and within 5 % wherever the best is known.',
  failed: 'This browser could not work out a plan. Reload the page and try again.'
} as const;

const MOST_NAMED = 6;

/** Days that may be short where trays run early or late. */
export function shortDaysWords(days: readonly { day: number }[], name: DayName): string {
  const named = days.slice(0, MOST_NAMED).map(({ day }) => name(day));
  const more = days.length - named.length;
  return `Trays run early and late. In more than one of five drawn paces it is short around ${named.join(', ')}${more > 0 ? ` and on ${more} days more` : ''}.`;
}

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
export const SHORT_WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The name of a weekday, 1 for Monday to 7. */
export const weekdayName = (day: number): string => WEEKDAYS[(day + 6) % 7]!;

/** What would mend what a plan cannot meet. */
export function wishWords(wish: Wish, firstWeekday: number, { units }: Locale): string {
  switch (wish.kind) {
    case 'container':
      return `One ${wish.name} more: about ${greensMass(wish.g, units)} more over these weeks.`;
    case 'board':
      return `Room for one more at ${wish.name}, by a second lamp or board: about ${greensMass(wish.g, units)} more.`;
    case 'load':
      return `Another board beside ${wish.name}, which may carry no more: about ${greensMass(wish.g, units)} more.`;
    case 'seed':
      return `More ${wish.name.toLowerCase()} seed: about ${greensMass(wish.g, units)} more.`;
    case 'eat-less':
      return `${greensMass(wish.byG, units)} less on ${weekdayName(((firstWeekday - 1 + wish.weekday) % 7) + 1)}s.`;
  }
}

/** What is in a row, and where. */
export const rowName = ({ crops, count }: Pick<Row, 'crops' | 'count'>): string =>
  `${crops.join(' and ')}${count > 1 ? ` × ${count}` : ''}`;

export const ROW_KINDS: Record<Row['kind'], string> = {
  'under-way': 'growing',
  planned: 'on the list',
  draft: 'standing order',
  proposed: 'proposed'
};

/** What is done on a day. */
export function workWords({ what, row }: DayWork): string {
  const name = rowName(row);
  switch (what) {
    case 'begin':
      return row.beginsAt < row.startAt ? `Soak ${name.toLowerCase()}` : `Sow ${name.toLowerCase()}`;
    case 'sow':
      return `Sow ${name.toLowerCase()}`;
    case 'opens':
      return `${name} opens`;
    case 'last-cut':
      return `Last day to cut ${name.toLowerCase()}`;
  }
}

/** What is wanted of it when it is cut. */
function aimWords(aim: CutAim = READY): string {
  switch (aim.kind) {
    case 'ready':
      return 'ready';
    case 'best':
      return 'at its best';
    case 'age':
      return `cut at ${aim.days} days or older`;
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
    `${plan.soak.soakStart === null ? 'sow' : 'soak'} ${day(beginsAt)}`,
    `ready ${day(plan.forecast.marks.windowOpen.p50)}`,
    ...(cutAt !== null && Number.isFinite(cutAt) ? [`cut ${day(cutAt)}`] : [])
  ].join(', ');
}

/** The days on which the next sowings of an order are cut: “Next cuts: Thu 4 Dec, Mon 8 Dec”. */
export const cutsWords = (cuts: readonly number[], locale: Locale): string =>
  cuts.length === 0
    ? 'No cut within eight weeks.'
    : `Next cuts: ${cuts.map((at) => shortDate(at, locale)).join(', ')}`;

/** When an order comes again. */
export function ruleWords(rule: Rule): string {
  switch (rule.kind) {
    case 'every':
      return rule.days === 1 ? 'begun every day' : `begun every ${rule.days} days`;
    case 'weekdays':
      return `${aimWords(rule.aim)} on ${LIST.format(rule.weekdays.map((day) => `${weekdayName(day)}s`))}`;
    case 'keep':
      return 'always one going';
  }
}

/** What is said where nothing can be planned for want of something, and where to add it. */
export const LACKS_WORDS: Record<
  NonNullable<ReturnType<typeof nothingWithout>>,
  { says: string; path: string; link: string }
> = {
  crops: {
    says: 'Brote proposes crops that you have seed of, like, or have planned or sown, and there are none yet.',
    path: '/bench/cupboard',
    link: 'Add seed'
  },
  containers: {
    says: 'There is no container to plan with.',
    path: '/bench/cupboard',
    link: 'Add a container'
  },
  places: { says: 'There is no place for a tray yet.', path: '/shelf', link: 'Add a place' }
};

/** Why it is begun on no day at all. */
export const NONE_WORDS: Record<WhyMoved, string> = {
  away: 'nobody is at home',
  container: 'no container is free in time',
  'too-near': 'too near to be ready'
};

/** Why it is begun on another day than its rule says. */
export const MOVED_WORDS: Record<WhyMoved, string> = {
  away: 'nobody is at home on its day',
  container: 'it waits for a free container',
  'too-near': 'too near to be ready'
};

/** Less is not worth a word, g. */
const WORTH_SAYING_G = 5;

/** What an offer does to all the weeks ahead: “120 g less thrown, 40 g more missing”. */
function effectWords({ missingG, thrownG }: Effect, { units }: Locale): string {
  const part = (g: number, what: string): string[] =>
    Math.abs(g) < WORTH_SAYING_G
      ? []
      : [`about ${greensMass(Math.abs(g), units)} ${g > 0 ? 'less' : 'more'} ${what}`];
  const [missing, thrown] = [part(missingG, 'missing'), part(thrownG, 'thrown')];
  return (missingG > thrownG ? [...missing, ...thrown] : [...thrown, ...missing]).join(', ');
}

/** What an offer does about a gap or a glut. */
export function offerWords(offer: Offer, name: DayName, locale: Locale): string {
  const effect = effectWords(offer, locale);
  const mass = (g: number): string => greensMass(g, locale.units);
  switch (offer.kind) {
    case 'move': {
      const days = Math.abs(offer.days);
      return `Begin ${offer.crop.toLowerCase()} ${days === 1 ? 'a day' : `${days} days`} ${offer.days < 0 ? 'sooner' : 'later'}: ${effect}.`;
    }
    case 'cut-early':
      return `Cut about ${mass(offer.g)} of the ${offer.crop.toLowerCase()} early, which gives about ${mass(offer.lessG)} less later: ${effect}.`;
    case 'cool':
      return `Move the ${offer.crop.toLowerCase()} to ${offer.place}, where it is cooler: ${effect}.`;
    case 'give-away':
      return `Give away about ${mass(offer.thrownG)} of ${offer.crop.toLowerCase()} while it is good, by ${name(offer.byDay)}.`;
    case 'begin':
      return `Begin ${rowName(offer.change.row).toLowerCase()}, ${offer.change.row.container}, on ${name(offer.change.begin?.day ?? 0)}: ${effect}.`;
  }
}

const GROUND_NAMES: Record<GroundPart, string> = {
  sowings: 'the sowings',
  orders: 'the standing orders',
  containers: 'your containers',
  places: 'your places',
  appetite: 'what you eat',
  pantry: 'the pantry',
  seed: 'your seed',
  away: 'the days away'
};

/** Why a proposal is not taken: what was changed since it was worked out. */
export const groundChangedWords = (parts: readonly GroundPart[]): string =>
  `Not taken: ${LIST.format(parts.map((part) => GROUND_NAMES[part]))} changed after this was worked out. Ask for a new proposal.`;

/** What was taken of a proposal: how many sowings are begun, and how many planned ones are not. */
export const takenWords = (begun: number, leftOut: number): string =>
  `Taken: ${[
    begun > 0 ? (begun === 1 ? 'one sowing is on the list' : `${begun} sowings are on the list`) : '',
    leftOut > 0 ? (leftOut === 1 ? 'one is not begun' : `${leftOut} are not begun`) : ''
  ]
    .filter(Boolean)
    .join(', ')}.`;

/** Opens the other things that would mend a gap or a glut. */
export const moreWaysWords = (many: number): string => (many === 1 ? 'Another way' : `${many} other ways`);

/** A line of what to buy. */
export const seedLine = ({ crop, buyG, buyBy }: SeedNeed, now: number, locale: Locale): string =>
  `${crop.name}: ${seedMass(buyG, locale.units)}${buyBy === null ? '' : buyBy <= now ? ', now' : `, by ${shortDate(buyBy, locale)}`}`;
