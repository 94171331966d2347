import { getContext, setContext } from 'svelte';
import { timersOf, timerState, type Timer, type TimerState } from '$core/steps/timer.ts';
import type { Household } from '$core/sowing/household.ts';
import type { Projected } from '$core/sowing/project.ts';
import type { SowingRecord } from '$core/sowing/record.ts';
import { ask } from './ask.ts';
import { factsNow, projectAll } from './projecting.ts';
import type { Journal } from './journal.svelte.ts';

/** What the timers follow from. */
export interface BenchFacts {
  household: Household;
  records: SowingRecord[];
  now: number;
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
    const { facts } = this;
    return projectAll(facts.records, factsNow(facts, this.journal), facts, this.journal);
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
    const still = this.quieted.filter((sign) => here.includes(sign.split('|')[0]!));
    this.quieted = [...still, ...this.ringing.map(signOf)];
    localStorage.setItem(this.key, JSON.stringify(this.quieted));
  }
}

const signOf = ({ timer, state }: RunningTimer): string => `${timer.key}|${state}`;

const KEY = Symbol('timers');

export const provideTimers = (timers: Timers): Timers => setContext(KEY, timers);
export const useTimers = (): Timers => getContext<Timers>(KEY);
