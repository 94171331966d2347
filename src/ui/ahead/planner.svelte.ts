import { groundOf, type Ground } from '$core/ahead/ground.ts';
import type { AheadData } from '$core/ahead/household.ts';
import type { Mending } from '$core/ahead/offers.ts';
import type { Proposal } from '$core/ahead/proposal.ts';
import type { VarietyPrice } from '$core/ahead/varietyPrice.ts';
import { newPlanner } from './newPlanner.ts';
import type { Asked, PlannerMessage } from './planning.ts';

type Done = Extract<PlannerMessage, { kind: 'done' }>;

/** A better plan is drawn no sooner after the last: somebody reads that, and works the page meanwhile. */
const READ_MS = 1500;

/** Looks for the best plan in a worker of its own, and shows what it has so far. Any change ends it. */
export class Planner {
  proposal = $state.raw<Proposal | null>(null);
  done = $state.raw<Done | null>(null);
  /** What the wishes for variety cost the proposal; null while nobody knows. */
  price = $state.raw<VarietyPrice | null>(null);
  /** Whether this browser could not look for a plan. */
  failed = $state(false);
  mendings = $state.raw<Mending[] | null>(null);
  /** What the proposal and the mendings were worked out from. */
  ground = $state.raw<Ground | null>(null);
  working = $state(false);
  private worker: Worker | null = null;
  private question = 0;
  /** Whether the worker is still at what the wishes for variety cost: no other question waits for that. */
  private pricing = false;
  /** Of what mends it: the question that is not answered yet. */
  private unanswered = $state<number | null>(null);
  /** A better one that waits for the last to be read. */
  private next: { proposal: Proposal; timer: ReturnType<typeof setTimeout> } | null = null;
  private shownAt = -Infinity;

  /** @param data all of it plain, as it was when it was asked for */
  start(data: AheadData): void {
    if (this.working) this.stop();
    this.proposal = null;
    [this.done, this.price] = [null, null];
    this.failed = false;
    this.working = true;
    this.ask('propose', data, groundOf(data));
  }

  /**
   * What mends what stands: looked for while nothing else is.
   * @param ground the fingerprint of the data
   */
  mend(data: AheadData, ground: Ground): void {
    if (this.working) return;
    this.mendings = null;
    this.unanswered = this.ask('mend', data, ground);
  }

  /** Whether it is known, or looked for, what mends what stands: a search that was broken off has to be asked again. */
  get mends(): boolean {
    return this.mendings !== null || this.unanswered !== null;
  }

  /** @returns the number of the question */
  private ask(what: Asked['what'], data: AheadData, ground: Ground): number {
    if (this.pricing) {
      this.worker?.terminate();
      this.worker = null;
      this.pricing = false;
    }
    // It stays for the next question: one that is warm answers at once.
    this.worker ??= newPlanner();
    this.worker.onmessage = ({ data: told }: MessageEvent<PlannerMessage>) => this.hear(told);
    // A worker that could not even begin leaves what stands.
    this.worker.onerror = () => {
      this.settle();
      this.mendings ??= [];
      this.failed = true;
    };
    this.question += 1;
    this.ground = ground;
    this.worker.postMessage({ what, question: this.question, data } satisfies Asked);
    return this.question;
  }

  private hear(told: PlannerMessage): void {
    if (told.kind === 'proposal') this.offer(told.proposal);
    else if (told.kind === 'mendings') {
      if (told.question !== this.unanswered) return;
      this.mendings = told.mendings;
      this.unanswered = null;
    } else if (told.kind === 'price') {
      if (told.question !== this.question) return;
      this.price = told.price;
      this.pricing = false;
    } else {
      this.showNext();
      this.done = told;
      this.working = false;
      this.pricing = told.prices;
    }
  }

  private offer(proposal: Proposal): void {
    const wait = this.proposal ? this.shownAt + READ_MS - performance.now() : 0;
    if (this.next) this.next.proposal = proposal;
    else if (wait > 0) this.next = { proposal, timer: setTimeout(() => this.showNext(), wait) };
    else this.show(proposal);
  }

  private show(proposal: Proposal): void {
    this.proposal = proposal;
    this.shownAt = performance.now();
  }

  private showNext(): void {
    if (!this.next) return;
    const { proposal, timer } = this.next;
    clearTimeout(timer);
    this.next = null;
    this.show(proposal);
  }

  /** Ends the search with the best that was found. */
  settle(): void {
    this.showNext();
    this.stop();
  }

  /** Ends the search; what is shown stays, and nothing takes its place any more. */
  stop(): void {
    if (this.next) clearTimeout(this.next.timer);
    this.next = null;
    this.worker?.terminate();
    this.worker = null;
    this.unanswered = null;
    this.working = false;
  }

  /** Ends it, and puts what it proposed away. */
  clear(): void {
    if (this.working) this.stop();
    this.proposal = null;
    [this.done, this.price] = [null, null];
  }
}
