import type { StepKind } from '$core/protocol/step.ts';

/** What each step is called, as the heading of its section. */
export const STEP_NAMES: Record<StepKind, string> = {
  weigh: 'Weigh',
  rinse: 'Rinse',
  disinfect: 'Disinfect',
  'rinse-off': 'Rinse off',
  soak: 'Soak',
  drain: 'Drain',
  fill: 'Fill',
  damp: 'Damp',
  sow: 'Sow',
  cover: 'Cover',
  mist: 'Mist',
  press: 'Press or shut',
  uncover: 'Uncover',
  light: 'First light',
  feed: 'Feed',
  air: 'Air',
  dry: 'Dry hours',
  cut: 'Cut',
  wash: 'After the cut',
  keep: 'Keep',
  clean: 'Clean'
};
