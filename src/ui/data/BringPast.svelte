<script lang="ts">
  import { reload } from '$ui/state/reload.ts';
  import { Button, Select, SelectItem, TextArea } from 'carbon-components-svelte';
  import { PAST_FIELDS, type PastColumns, type PastField, type ReadPast } from '$core/notebook/pastCsv.ts';
  import { mass } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { post } from '$ui/state/ask.ts';
  import { LOSS_WORDS } from '$words/events.ts';
  import { problemWords } from '$words/problems.ts';
  import { shortDate, type Locale } from '$words/time.ts';
  import { decodeText } from './decode.ts';

  let { locale, cropName }: { locale: Locale; cropName: (key: string) => string } = $props();
  type Order = 'day-first' | 'month-first';

  const FIELD_WORDS: Record<PastField, string> = {
    crop: 'Crop',
    sown: 'Sown on',
    cut: 'Cut on',
    grams: 'Grams cut',
    seed: 'Seed, g',
    opened: 'First ready on',
    length: 'Length or diameter, cm',
    width: 'Width, cm',
    medium: 'Medium',
    place: 'Place',
    lost: 'Lost, and why',
    note: 'Note'
  };
  const SHOWN = 6;

  let text = $state('');
  let by = $state<PastColumns | null>(null);
  let order = $state<Order | null>(null);
  let read = $state<ReadPast | null>(null);
  let said = $state('');
  /** A day of the list that can be read two ways: what it means can be said again. */
  let asked = $state('');
  let busy = $state(false);
  const lines = $derived(read?.ok === true ? read.lines : []);
  const good = $derived(lines.flatMap((line) => (line.ok ? [line] : [])));
  const bad = $derived(lines.flatMap((line) => (line.ok ? [] : [line])));

  async function look(take = false) {
    if (text.trim() === '') return;
    busy = true;
    const answer = await post('/api/data/past', { text, by, order, take });
    busy = false;
    if (!answer) {
      said = 'No connection: nothing was taken. Try again once there is one.';
      return;
    }
    const told = (await answer.json()) as ReadPast & { message?: string; added?: number };
    if (!answer.ok) {
      said = told.message ?? 'Brote could not read this.';
      return;
    }
    read = told;
    if (told.ok === 'ask-order') asked = told.typed;
    if (by === null && told.ok !== false) by = told.by;
    said =
      told.added === undefined
        ? ''
        : `${told.added} ${told.added === 1 ? 'sowing' : 'sowings'} taken${good.length > told.added ? `; ${good.length - told.added} were here already` : ''}.`;
    if (told.added !== undefined) await reload();
  }
  async function choose(event: Event) {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    text = decodeText(new Uint8Array(await file.arrayBuffer()));
    await begin();
  }
  async function begin() {
    [by, order, read, said, asked] = [null, null, null, '', ''];
    await look();
  }
  async function match(field: PastField, column: number) {
    const names = read?.columns ?? [];
    by = {
      ...(by ?? (Object.fromEntries(PAST_FIELDS.map((one) => [one, -1])) as PastColumns)),
      [field]: column
    };
    if (names.length > 0 && by.crop >= 0 && by.sown >= 0) await look();
  }
</script>

<section class="stack" aria-labelledby="past">
  <h2 id="past">Bring sowings of before</h2>
  <p class="small soft">
    A list of your own, as CSV: a line a sowing, at least its crop and the day it was sown. They stand in the
    notebook, and what they gave and when they were ready teaches the forecasts.
  </p>
  <label class="small"
    >A CSV file <input
      type="file"
      accept=".csv,.txt,text/csv"
      onchange={(event) => void choose(event)}
    /></label
  >
  <TextArea
    labelText="Or paste it here"
    placeholder="crop,sown,first ready,harvested,grams"
    bind:value={text}
    rows={3}
  />
  <div>
    <Button kind="tertiary" size="field" disabled={text.trim() === '' || busy} on:click={() => void begin()}
      >Look at it</Button
    >
  </div>

  {#if asked !== ''}
    <Choice
      legend="“{asked}” can be read two ways. In this list it is"
      name="past-order"
      options={[
        { value: 'day-first', text: 'the day first' },
        { value: 'month-first', text: 'the month first' }
      ]}
      value={order ?? ('' as Order)}
      onchange={(value) => {
        order = value as Order;
        void look();
      }}
    />
  {/if}
  {#if read && read.columns.length > 0}
    <fieldset>
      <legend>Which column says what</legend>
      {#each PAST_FIELDS as field (field)}
        <Select
          size="sm"
          labelText={FIELD_WORDS[field]}
          selected={String(by?.[field] ?? -1)}
          on:change={(event) => void match(field, Number((event.target as HTMLSelectElement).value))}
        >
          <SelectItem
            value="-1"
            text={field === 'crop' || field === 'sown' ? 'Choose a column' : 'Not in it'}
          />
          {#each read.columns as name, index (index)}<SelectItem
              value={String(index)}
              text={name || `Column ${index + 1}`}
            />{/each}
        </Select>
      {/each}
    </fieldset>
  {/if}
  {#if read?.ok === false}<p class="warn" role="alert">{problemWords(read.problem)}</p>{/if}
  {#if read?.ok === true}
    <p>{good.length} {good.length === 1 ? 'sowing' : 'sowings'} can be taken, {bad.length} cannot.</p>
    {#if good.length > 0}
      <div class="scroll" role="region" aria-label="As they will be taken" tabindex="-1">
        <table>
          <thead
            ><tr
              ><th scope="col">Line</th><th scope="col">Crop</th><th scope="col">Sown</th><th scope="col"
                >Cut</th
              ><th scope="col">Gave</th></tr
            ></thead
          >
          <tbody>
            {#each good.slice(0, SHOWN) as { line, past } (line)}
              <tr
                ><td>{line}</td><th scope="row">{cropName(past.cropKey)}</th><td
                  >{shortDate(past.sownAt, locale)}</td
                ><td>{past.cutAt === null ? '–' : shortDate(past.cutAt, locale)}</td><td
                  >{past.lost
                    ? LOSS_WORDS[past.lost]
                    : past.cutG === null
                      ? '–'
                      : mass(past.cutG, locale.units)}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
      </div>
      {#if good.length > SHOWN}<p class="small soft">and {good.length - SHOWN} more</p>{/if}
    {/if}
    {#if bad.length > 0}
      <ul class="small">
        {#each bad.slice(0, SHOWN) as { line, problem } (line)}<li>
            Line {line}: {problemWords(problem)}
          </li>{/each}
        {#if bad.length > SHOWN}<li>and {bad.length - SHOWN} more</li>{/if}
      </ul>
    {/if}
    <div>
      <Button disabled={good.length === 0 || busy} on:click={() => void look(true)}>Take {good.length}</Button
      >
    </div>
  {/if}
  {#if said}<p role="status">{said}</p>{/if}
</section>

<style>
  input {
    display: block;
    min-height: 2.75rem;
    font: inherit;
    max-width: 100%;
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    gap: 0.6rem;
  }
  legend {
    font-weight: 620;
    margin-bottom: 0.4rem;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    font-weight: 400;
    padding: 0.3rem 1.25rem 0.3rem 0;
    border-bottom: 1px solid var(--ink-faint);
    white-space: nowrap;
  }
  ul {
    margin: 0;
    padding-left: 1.2rem;
  }
</style>
