import { allOf } from '$words/lists.ts';
import { t } from '$messages/t.ts';
import { reload } from '$ui/state/reload.ts';
import { dayIndex, type Horizon } from '$core/ahead/horizon.ts';
import type { Row } from '$core/ahead/rows.ts';
import type { Place } from '$core/places/place.ts';
import type { HouseholdFacts, Projected } from '$core/sowing/project.ts';
import type { ApiProblem } from '$contract/api.ts';
import { moveContainer } from '$ui/shelf/moveContainer.ts';
import { post } from '$ui/state/ask.ts';
import type { Journal } from '$ui/state/journal.svelte.ts';
import { rowName, type DayName } from '$words/ahead.ts';
import { putOffUntil } from './asIf.ts';
import type { To } from './Timeline.svelte';

/** What the weeks stood on when something was moved. */
interface Ground {
  places: readonly Place[];
  sowings: readonly Projected[];
  horizon: Horizon;
  facts: HouseholdFacts;
  name: DayName;
}

/** What is done to the weeks ahead, and what came of it: said, or what is wrong with it. */
export class Deeds {
  said = $state('');
  wrong = $state('');
  /** Whether what was proposed does not fit any more what is there now. */
  stale = $state(false);
  sending = $state(false);

  constructor(private readonly journal: Journal) {}

  /** Sends what is to be begun, left out or kept. @returns whether it was taken */
  async send(body: object, words: string): Promise<boolean> {
    this.sending = true;
    [this.said, this.wrong, this.stale] = ['', '', false];
    const answer = await post('/api/ahead', body);
    this.sending = false;
    if (!answer || answer.status >= 500) this.wrong = t('ahead.noAnswerFromBroteNothing');
    else if (answer.status === 401) this.journal.signedOut = true;
    else if (!answer.ok) {
      const { message, fields } = (await answer.json()) as ApiProblem;
      this.wrong = message;
      this.stale = fields?.ground !== undefined;
    }
    if (answer?.ok || answer?.status === 409) await reload();
    if (answer?.ok) this.said = words;
    return answer?.ok ?? false;
  }

  /** A planned sowing to another day, place or both. What somebody put there by hand stays where they put it. */
  async put(
    row: Row,
    { days, placeId }: To,
    { places, sowings, horizon, facts, name }: Ground
  ): Promise<void> {
    const done: string[] = [];
    const to = places.find(({ id }) => id === placeId && id !== row.placeId);
    if (to) {
      // What follows is worked out anew, and the load there is checked.
      const those = sowings.filter(({ setup }) => row.sowingIds.includes(setup.id));
      const result = await moveContainer(this.journal, those, to);
      if (result.kind === 'refused') {
        [this.said, this.wrong] = ['', result.say];
        return;
      }
      done.push(t('ahead.goesName', { name: to.name }));
    }
    if (days !== 0) {
      const until = putOffUntil(row.beginsAt, days, horizon, facts);
      const begins = t('ahead.beginsName', { name: name(dayIndex(horizon, facts.rhythm, until)) });
      await this.journal.recordAll(
        row.sowingIds.map((sowingId) => ({ sowingId, body: { type: 'put-off', until } })),
        `${rowName(row)}: ${begins}`
      );
      done.push(begins);
    }
    if (done.length === 0) return;
    const lock = row.sowingIds.map((sowingId) => ({ sowingId, locked: true }));
    await this.send({ lock }, t('ahead.rownameDoneStaysThere', { rowName: rowName(row), done: allOf(done) }));
  }
}
