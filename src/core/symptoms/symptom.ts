/** What a look at a tray can find, each told by one touch. */
export const SYMPTOMS = [
  'tails',
  'hairs',
  'mould',
  'fallen-dry',
  'fallen-rot',
  'bent',
  'stretched',
  'weak',
  'pale',
  'bleached',
  'scorched',
  'hungry',
  'hulls',
  'patchy',
  'true-leaf',
  'tastes-ready',
  'bitter',
  'fibrous'
] as const;
export type Symptom = (typeof SYMPTOMS)[number];
