import type { Milestone } from '$core/notebook/milestones.ts';
import type { Against, Chosen, Verdict } from '$core/notebook/compare.ts';
import type { StoryFacts } from '$core/notebook/facts.ts';
import { figure, seedDensity, yieldPerArea, type Units } from '$core/units/format.ts';
import { capital } from './capital.ts';
import { MEDIUM_WORDS } from './media.ts';
import { answerWords } from './methods.ts';

export const MILESTONE_WORDS: Record<Milestone, string> = {
  sown: 'Sown',
  rooted: 'Rooted',
  lit: 'First light',
  opened: 'Window open',
  cut: 'First cut'
};

/** How far off a day was: `on the day`, `1.5 days later`. */
export function offWords(days: number): string {
  const half = Math.round(days * 2) / 2;
  if (Math.abs(half) < 0.5) return 'on the day';
  const many = Math.abs(half);
  return `${many} ${many === 1 ? 'day' : 'days'} ${half > 0 ? 'later' : 'earlier'}`;
}

export const CHOSEN_WORDS: Record<Chosen, string> = {
  crop: 'Crop',
  container: 'Container',
  medium: 'Medium',
  mediumId: 'Own medium',
  method: 'Method',
  answers: 'Done differently',
  place: 'Place',
  light: 'Light',
  density: 'Seed to an area',
  seedG: 'Seed',
  soakH: 'Soak',
  lotId: 'Lot'
};

const LIGHT: Record<StoryFacts['chosen']['light'], string> = { lamp: 'lamp', sill: 'sill', dark: 'no light' };

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
      return id === null ? 'none' : nameOf(id);
    }
    case 'answers':
      return chosen.answers.length === 0
        ? 'nothing'
        : chosen.answers
            .map(({ question, answer, figure: given }) => {
              const { text } = answerWords(question, answer);
              return given === null ? text : `${text} (${figure(given)})`;
            })
            .join(', ');
    case 'light':
      return LIGHT[chosen.light];
    case 'density': {
      if (chosen.density === null) return 'not known';
      return seedDensity(chosen.density, units);
    }
    case 'seedG':
      return chosen.seedG === null ? 'not known' : `${Math.round(chosen.seedG * 10) / 10} g`;
    case 'soakH':
      return chosen.soakH > 0 ? `${Math.round(chosen.soakH)} h` : 'not soaked';
    default:
      return chosen[choice] ?? 'not known';
  }
}

const CERTAIN = [
  { from: 0.95, words: 'very likely' },
  { from: 0.8, words: 'likely' },
  { from: 0.65, words: 'perhaps' }
] as const;

const daysWords = (days: number): string => `${Math.round(days * 10) / 10} days`;

const percent = (ratio: number): string => `${Math.round(Math.abs(ratio - 1) * 100)} %`;

/** How one way did against the other in one thing, and how sure that is. */
function againstWords(
  { came: [first, second], ratio, low, high, sure }: Against,
  { more, less, written }: { more: string; less: string; written: (value: number) => string }
): string {
  const side = (factor: number) => `${percent(factor)} ${factor >= 1 ? more : less}`;
  const range = `${side(low)} and ${side(high)}`;
  const certain = CERTAIN.find(({ from }) => sure >= from);
  // A few trays are weak evidence, so the page shows the result and the estimate separately.
  const came = `${written(second)} against ${written(first)}, ${side(second / first)} in these trays.`;
  return certain
    ? `${came} Allowing for chance, the difference is ${certain.words} real: about ${side(ratio)}, with four chances in five between ${range}.`
    : `${came} Chance alone does that to a tray: four chances in five that the real difference lies between ${range}.`;
}

/** What a way of growing is called beside another: by what it differs in. A place brings its light along. */
export function wayWords(
  story: StoryFacts,
  differs: readonly Chosen[],
  units: Units,
  nameOf: (id: string) => string
): string {
  const told = differs.includes('light') ? differs.filter((one) => one !== 'place') : differs;
  return told
    .slice(0, 2)
    .map((choice) => chosenWords(story, choice, units, nameOf))
    .join(' and ');
}

/** What can be said of some sowings beside each other, as lines. */
export function verdictWords(verdict: Verdict, nameOf: (way: 0 | 1) => string, units: Units): string[] {
  switch (verdict.kind) {
    case 'alike':
      return ['All were grown alike: what lies between them is what chance does to a tray.'];
    case 'crops':
      return [
        'Different crops: their days and grams are their own. Choose sowings of one crop to set ways of growing against each other.'
      ];
    case 'many':
      return [
        `${verdict.ways} different ways of growing: choose sowings of two of them, and Brote says what can be said.`
      ];
    case 'two': {
      const { ways, differs, yields, days, seasons } = verdict;
      const pair = capital(`${nameOf(1)} against ${nameOf(0)}`);
      const lost = ways.map((way, index) =>
        way.lost > 0
          ? `${way.lost} of ${way.stories.length} with ${nameOf(index as 0 | 1)} ${way.lost === 1 ? 'was' : 'were'} lost`
          : ''
      );
      return [
        yields
          ? `${pair}: ${againstWords(yields, { more: 'more', less: 'less', written: (gM2) => yieldPerArea(gM2, units) })}`
          : 'Grams cannot be compared: one of the two ways has no weighed tray.',
        days
          ? `Days to the opening: ${againstWords(days, { more: 'longer', less: 'shorter', written: daysWords })}`
          : 'Days cannot be compared: in one of the two ways nobody looked when the window opened.',
        ...lost.filter(Boolean).map((words) => `${words}; what is lost counts in no figure above.`),
        differs.length > 1
          ? `They differ in ${differs.map((one) => CHOSEN_WORDS[one].toLowerCase()).join(' and ')}: which of these it was, nobody can say.`
          : '',
        seasons ? 'They were sown in different weeks of the year: light and warmth differed too.' : '',
        Math.min(...ways.map(({ stories }) => stories.length)) < 3
          ? 'Three trays of each way tell far more than one.'
          : ''
      ].filter(Boolean);
    }
  }
}
