import { t } from '$messages/t.ts';
import { SvelteMap } from 'svelte/reactivity';
import { PAST_FIELDS, type PastColumns, type PastField } from '$core/notebook/past/columns.ts';
import { PAST_PART, type PastSowing } from '$core/notebook/past/pastSowing.ts';
import { readPast, type PastGround, type PastLine, type ReadPast } from '$core/notebook/past/readPast.ts';
import { gatherTaught, type PastTaught } from '$core/notebook/past/taught.ts';
import type { DayOrder } from '$core/time/readDay.ts';
import type { Units } from '$core/units/format.ts';
import { post } from '$ui/state/ask.ts';

const NO_CONNECTION = () => t('household.thereNoConnection');

/** How far something has come that is sent in parts. */
interface Progress {
  kind: 'teaching' | 'importing';
  done: number;
  all: number;
}

/** A list of past sowings on its way into the notebook: what was chosen, what that reads as, and what was sent. */
export class PastImport {
  text = $state('');
  by = $state<PastColumns | null>(null);
  order = $state<DayOrder | null>(null);
  massUnit = $state('g');
  lengthUnit = $state('cm');
  placeId = $state('');
  /** Empty where nobody knows. */
  containerId = $state('');
  /** Crops by the names that are not known; null for lines to leave out. */
  readonly names = new SvelteMap<string, string | null>();
  taught = $state<PastTaught[] | null>(null);
  progress = $state<Progress | null>(null);
  /** What was imported, once it was. */
  added = $state<{ added: number; known: number } | null>(null);
  problem = $state('');

  readonly read: ReadPast | null = $derived.by(() =>
    this.text.trim() === ''
      ? null
      : readPast(this.text, this.ground, {
          by: this.by,
          order: this.order,
          massUnit: this.massUnit,
          lengthUnit: this.lengthUnit,
          names: this.names
        })
  );
  readonly list = $derived(this.read?.ok === true ? this.read : null);
  readonly good = $derived((this.list?.lines ?? []).flatMap((line) => (line.ok ? [line] : [])));
  readonly bad = $derived(
    (this.list?.lines ?? []).flatMap((line): Extract<PastLine, { ok: false }>[] => (line.ok ? [] : [line]))
  );
  /** The lines whose question about their crop is not answered are asked about above, once. */
  readonly wrong = $derived(this.bad.filter(({ problem }) => problem.code !== 'past-no-crop'));
  readonly open = $derived(this.bad.length - this.wrong.length);

  constructor(
    private readonly ground: PastGround,
    units: Units
  ) {
    this.massUnit = units === 'us' ? 'oz' : 'g';
    this.lengthUnit = units === 'us' ? 'in' : 'cm';
    this.placeId = ground.places[0]?.id ?? '';
  }

  /** Begins anew with another text. */
  begin(text: string): void {
    this.text = text;
    [this.by, this.order] = [null, null];
    this.names.clear();
    this.changed();
  }

  /** Something was chosen anew: what was worked out from the choice before is void. */
  changed(): void {
    [this.taught, this.added, this.problem] = [null, null, ''];
  }

  match(field: PastField, column: number): void {
    const none = Object.fromEntries(PAST_FIELDS.map((one) => [one, -1])) as PastColumns;
    this.by = { ...(this.by ?? this.list?.by ?? none), [field]: column };
    this.changed();
  }

  /** Asks what the sowings would teach. */
  async teach(): Promise<void> {
    const taught: PastTaught[][] = [];
    const whole = await this.inParts('teaching', async (sowings) => {
      const answer = await this.send(sowings, true);
      if (answer) taught.push((answer as { taught: PastTaught[] }).taught);
      return answer !== null;
    });
    if (whole) this.taught = gatherTaught(taught);
  }

  /** Imports them all. What was sent before an interruption is not doubled by beginning again. */
  async import(): Promise<void> {
    let added = 0;
    const all = this.good.length;
    const whole = await this.inParts('importing', async (sowings) => {
      const answer = await this.send(sowings, false);
      if (answer) added += (answer as { added: number }).added;
      return answer !== null;
    });
    if (whole) [this.added, this.taught] = [{ added, known: all - added }, null];
    else if (added > 0) this.problem += ` ${t('household.addedAllNotebookImportAgain', { added, all })}`;
  }

  /** @returns whether all parts went through */
  private async inParts(
    kind: Progress['kind'],
    work: (sowings: PastSowing[]) => Promise<boolean>
  ): Promise<boolean> {
    // A second tap comes before the button is drawn as busy.
    if (this.progress) return false;
    const sowings = this.good.map(({ past }) => past);
    [this.problem, this.added] = ['', null];
    try {
      for (let from = 0; from < sowings.length; from += PAST_PART) {
        this.progress = { kind, done: from, all: sowings.length };
        if (!(await work(sowings.slice(from, from + PAST_PART)))) return false;
      }
      return true;
    } finally {
      this.progress = null;
    }
  }

  /** @returns the answer; null where there is none, and the problem is told */
  private async send(sowings: PastSowing[], dry: boolean): Promise<unknown> {
    const answer = await post('/api/data/past', {
      sowings,
      placeId: this.placeId,
      containerId: this.containerId || null,
      dry
    });
    if (!answer) {
      this.problem = t('household.noConnectionTryAgainWhen', { NO_CONNECTION: NO_CONNECTION() });
      return null;
    }
    const told = (await answer.json().catch(() => ({}))) as { message?: string };
    if (answer.ok) return told;
    this.problem = told.message ?? t('household.broteCouldNotDoJust');
    return null;
  }
}
