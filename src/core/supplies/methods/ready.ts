import { STARTING_RULES } from '../seed/rule.ts';
import { QUESTIONS, type Answers, type Method } from './method.ts';

/** The first answer to every question. */
const FIRST = Object.fromEntries(
  Object.entries(QUESTIONS).map(([question, answers]) => [question, answers[0]])
) as unknown as Answers;

const OPEN: Omit<Method, 'key' | 'name'> = {
  ...FIRST,
  medium: 'coir',
  domeDays: null,
  domeCm: null,
  darkDays: null,
  shadeDays: null,
  feedMlL: null,
  sprays: [],
  disinfectRule: STARTING_RULES.hypochlorite
};

/** Three ready answers; a household picks one or makes its own, and a sowing may differ. */
export const READY_METHODS: readonly Method[] = [
  { ...OPEN, key: 'press-and-wait', name: 'Press and wait' },
  {
    ...OPEN,
    key: 'stack-and-light',
    name: 'Stack and light',
    germinationWater: 'daily',
    firstWater: 'after-seed',
    pressing: 'stacked',
    darkness: 'straight',
    lightWater: 'first-above',
    medium: 'seed-mix',
    cutting: 'knife'
  },
  {
    ...OPEN,
    key: 'light-hand',
    name: 'Light hand',
    germinationWater: 'twice',
    firstWater: 'from-below',
    seedCover: 'vermiculite',
    pressing: 'none',
    lightWater: 'mist',
    medium: 'hemp-mat',
    taking: 'strip'
  }
];

export const DEFAULT_METHOD = READY_METHODS[0]!;

/** A method of a key among the household's own and the ready ones, or undefined. */
export const findMethod = (key: string, own: readonly Method[] = []): Method | undefined =>
  [...own, ...READY_METHODS].find((method) => method.key === key);

/** The ready method of a key, the first for a key that is unknown. */
export const methodOf = (key: string): Method => findMethod(key) ?? DEFAULT_METHOD;

/** A method with whatever it leaves open answered, as one stored before a question was asked: then days under a dome were counted where given. */
export const completed = (stored: Partial<Method> & Pick<Method, 'key' | 'name'>): Method => ({
  ...OPEN,
  dome: (stored.domeDays ?? null) === null ? OPEN.dome : 'days',
  ...stored
});

/** Whether a method is one of the ready ones, unchanged. */
export const isReady = (method: Method): boolean =>
  JSON.stringify(findMethod(method.key)) === JSON.stringify({ ...findMethod(method.key), ...method });
