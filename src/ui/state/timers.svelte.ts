import { getContext, setContext } from 'svelte';
import type { Place } from '$core/places/place.ts';
import type { Crop } from '$core/crops/crop.ts';
import { timersOf, timerState, type Timer, type TimerState } from '$core/steps/timer.ts';
import type { HouseholdData } from '$core/sowing/facts.ts';
import type { Projected } from '$core/sowing/project.ts';
import type { SowingRecord } from '$core/sowing/record.ts';
import { ask } from './ask.ts';
import { factsNow, projectAll } from './projecting.ts';
import type { Journal } from './journal.svelte.ts';

/** What the timers follow from. */
export interface BenchFacts {
  records: SowingRecord[];
  now: number;
  places: Place[];
  ownCrops: Crop[];
}

export interface RunningTimer {
  timer: Timer;
  state: TimerState;
}

/**
 * The timers that run in this household. They follow from what was ticked: nothing of them is kept here, so
 * a reload, a closed tab or a restart loses none. Only which were quieted on this device is its own.
 */
export class Timers {
  facts = $state.raw<BenchFacts | null>(null);
  /** The household's time, moved on every second. */
  now = $state(0);
  private quieted = $state<string[]>([]);

  /** Projected anew when something was ticked, not at every second. */
  private readonly projected = $derived.by((): Projected[] => {
    if (!this.facts) return [];
    const loaded = { ...this.facts, household: this.household };
    return projectAll(loaded.records, factsNow(loaded, this.journal), loaded, this.journal);
  });

  readonly running = $derived(
    this.projected
      .flatMap((projected) => timersOf(projected, this.now))
      .map((timer): RunningTimer => ({ timer, state: timerState(timer, this.now) }))
      .sort((a, b) => a.timer.endsAt - b.timer.endsAt)
  );

  /** Those that ring: over, and not quieted since they came to where they stand. */
  readonly ringing = $derived(
    this.running.filter((one) => one.state !== 'running' && !this.quieted.includes(signOf(one)))
  );

  constructor(
    private readonly household: HouseholdData,
    private readonly journal: Journal,
    private readonly key: string
  ) {}

  /** Asks the server what is being prepared. */
  async refresh(): Promise<void> {
    const answer = await ask('/api/bench');
    if (answer?.ok) this.facts = (await answer.json()) as BenchFacts;
  }

  /** Takes up which timers were quieted before. */
  resume(): void {
    try {
      this.quieted = JSON.parse(localStorage.getItem(this.key) ?? '[]') as string[];
    } catch {
      localStorage.removeItem(this.key);
    }
  }

  /** Stops the bell; a timer that gets worse rings again. */
  quiet(): void {
    const here = this.running.map(({ timer }) => timer.key);
    const kept = this.quieted.filter((sign) => here.includes(sign.split('|')[0]!));
    this.quieted = [...kept, ...this.ringing.map(signOf)];
    localStorage.setItem(this.key, JSON.stringify(this.quieted));
  }
}

const signOf = ({ timer, state }: RunningTimer): string => `${timer.key}|${state}`;

const KEY = Symbol('timers');

export const provideTimers = (timers: Timers): Timers => setContext(KEY, timers);
export const useTimers = (): Timers => getContext<Timers>(KEY);
