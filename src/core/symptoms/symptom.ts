/** What a look at a tray can find, each told by one touch. */
export const SYMPTOMS = [
  'tails',
  'hairs',
  'mould',
  'fallen-dry',
  'fallen-rot',
  'stretched',
  'weak',
  'pale',
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
