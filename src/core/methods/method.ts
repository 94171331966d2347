/** How the covered medium is kept damp. */
export type GerminationWater = 'shut' | 'daily' | 'twice';
/** What lies on the seed while it roots. */
export type Pressing = 'none' | 'stacked' | 'weight';
/** What follows once it has rooted. */
export type Darkness = 'straight' | 'dome';

/** One answer to each question growers disagree on; none is wrong. */
export interface Method {
  key: string;
  name: string;
  germinationWater: GerminationWater;
  pressing: Pressing;
  darkness: Darkness;
}

/** Three ready answers; a household picks one, and a sowing may differ. */
export const READY_METHODS: readonly Method[] = [
  {
    key: 'press-and-wait',
    name: 'Press and wait',
    germinationWater: 'shut',
    pressing: 'weight',
    darkness: 'dome'
  },
  {
    key: 'stack-and-light',
    name: 'Stack and light',
    germinationWater: 'daily',
    pressing: 'stacked',
    darkness: 'straight'
  },
  { key: 'light-hand', name: 'Light hand', germinationWater: 'twice', pressing: 'none', darkness: 'dome' }
];

export const DEFAULT_METHOD = READY_METHODS[0]!;

/** The ready method of a key, the first for a key that is unknown. */
export const methodOf = (key: string): Method =>
  READY_METHODS.find((method) => method.key === key) ?? DEFAULT_METHOD;
