import { allOf } from './lists.ts';
import { percent } from './percent.ts';
import { t, table } from '$messages/t.ts';
import type { Milestone } from '$core/notebook/milestones.ts';
import type { Against, Chosen, Verdict } from '$core/notebook/compare.ts';
import type { StoryFacts } from '$core/notebook/facts.ts';
import { figure, seedDensity, yieldPerArea, type Units } from '$core/units/format.ts';
import { capital } from './capital.ts';
import { MEDIUM_WORDS } from './media.ts';
import { answerWords } from './methods.ts';

export const MILESTONE_WORDS: Record<Milestone, string> = table('notebook.milestone');

/** How far off a day was: `on the day`, `1.5 days later`. */
export function offWords(days: number): string {
  const half = Math.round(days * 2) / 2;
  if (Math.abs(half) < 0.5) return t('notebook.onDay');
  const many = Math.abs(half);
  return t('notebook.manyDayDaysLaterEarlier', { many, when: half > 0 ? 'yes' : 'no' });
}

const CHOSEN_IN_TEXT: Record<Chosen, string> = table('notebook.chosenInText');

export const CHOSEN_WORDS: Record<Chosen, string> = table('notebook.chosen');

const LIGHT: Record<StoryFacts['chosen']['light'], string> = table('notebook.lightKind');

/** What was chosen, in words. */
export function chosenWords(
  story: StoryFacts,
  choice: Chosen,
  units: Units,
  nameOf: (id: string) => string
): string {
  const { chosen } = story;
  switch (choice) {
    case 'medium':
      return MEDIUM_WORDS[chosen.medium];
    case 'mediumId':
    case 'lotId': {
      const id = chosen[choice];
      return id === null ? t('notebook.none') : nameOf(id);
    }
    case 'answers':
      return chosen.answers.length === 0
        ? t('notebook.nothing')
        : chosen.answers
            .map(({ question, answer, figure: given }) => {
              const { text } = answerWords(question, answer);
              return given === null ? text : `${text} (${figure(given)})`;
            })
            .join(', ');
    case 'light':
      return LIGHT[chosen.light];
    case 'density': {
      if (chosen.density === null) return t('notebook.notKnown');
      return seedDensity(chosen.density, units);
    }
    case 'seedG':
      return chosen.seedG === null ? t('notebook.notKnown') : `${Math.round(chosen.seedG * 10) / 10} g`;
    case 'soakH':
      return chosen.soakH > 0 ? `${Math.round(chosen.soakH)} h` : t('notebook.notSoaked');
    default:
      return chosen[choice] ?? t('notebook.notKnown');
  }
}

const CERTAIN = [
  {
    from: 0.95,
    get words() {
      return t('notebook.veryLikely');
    }
  },
  {
    from: 0.8,
    get words() {
      return t('notebook.likely');
    }
  },
  {
    from: 0.65,
    get words() {
      return t('notebook.perhaps');
    }
  }
] as const;

const daysWords = (days: number): string => t('notebook.daysDays', { days: Math.round(days * 10) / 10 });

const percentApart = (ratio: number): string => percent(Math.abs(ratio - 1));

/** How one way did against the other in one thing, and how sure that is. */
function againstWords(
  { came: [first, second], ratio, low, high, sure }: Against,
  { more, less, written }: { more: string; less: string; written: (value: number) => string }
): string {
  const side = (factor: number) => `${percentApart(factor)} ${factor >= 1 ? more : less}`;
  const range = t('notebook.sideSide', { side: side(low), side2: side(high) });
  const certain = CERTAIN.find(({ from }) => sure >= from);
  // A few trays are weak evidence, so the page shows the result and the estimate separately.
  const came = t('notebook.writtenAgainstWrittenSideThese', {
    written: written(second),
    written2: written(first),
    side: side(second / first)
  });
  return certain
    ? t('notebook.cameAllowingChanceDifferenceWords', {
        came,
        words: certain.words,
        side: side(ratio),
        range
      })
    : t('notebook.cameChanceAloneDoesTray', { came, range });
}

/** What a way of growing is called beside another: by what it differs in. A place brings its light along. */
export function wayWords(
  story: StoryFacts,
  differs: readonly Chosen[],
  units: Units,
  nameOf: (id: string) => string
): string {
  const told = differs.includes('light') ? differs.filter((one) => one !== 'place') : differs;
  return allOf(told.slice(0, 2).map((choice) => chosenWords(story, choice, units, nameOf)));
}

/** What can be said of some sowings beside each other, as lines. */
export function verdictWords(verdict: Verdict, nameOf: (way: 0 | 1) => string, units: Units): string[] {
  switch (verdict.kind) {
    case 'alike':
      return [t('notebook.allWereGrownAlikeWhat')];
    case 'crops':
      return [t('notebook.differentCropsTheirDaysGrams')];
    case 'many':
      return [t('notebook.waysDifferentWaysGrowingChoose', { ways: verdict.ways })];
    case 'two': {
      const { ways, differs, yields, days, seasons } = verdict;
      const pair = capital(t('notebook.nameAgainstName', { name: nameOf(1), name2: nameOf(0) }));
      const lost = ways.map((way, index) =>
        way.lost > 0
          ? t('notebook.lostStoriesWithNameWas', {
              lost: way.lost,
              stories: way.stories.length,
              name: nameOf(index as 0 | 1)
            })
          : ''
      );
      return [
        yields
          ? `${pair}: ${againstWords(yields, { more: t('notebook.more'), less: t('notebook.less'), written: (gM2) => yieldPerArea(gM2, units) })}`
          : t('notebook.gramsCannotBeComparedOne'),
        days
          ? t('notebook.daysOpeningAgainst', {
              against: againstWords(days, {
                more: t('notebook.longer'),
                less: t('notebook.shorter'),
                written: daysWords
              })
            })
          : t('notebook.daysCannotBeComparedOne'),
        ...lost.filter(Boolean).map((words) => t('notebook.wordsWhatLostCountsNo', { words })),
        differs.length > 1
          ? t('notebook.theyDifferDiffersWhichThese', {
              differs: allOf(differs.map((one) => CHOSEN_IN_TEXT[one]))
            })
          : '',
        seasons ? t('notebook.theyWereSownDifferentWeeks') : '',
        Math.min(...ways.map(({ stories }) => stories.length)) < 3 ? t('notebook.threeTraysEachWayTell') : ''
      ].filter(Boolean);
    }
  }
}
