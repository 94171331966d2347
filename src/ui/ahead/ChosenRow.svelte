<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { dayIndex, type Horizon } from '$core/ahead/horizon.ts';
  import type { Row } from '$core/ahead/rows.ts';
  import type { Place } from '$core/places/place.ts';
  import type { Rhythm } from '$core/time/rhythm.ts';
  import { greensMass } from '$core/units/format.ts';
  import { ROW_KINDS, rowName } from '$words/ahead.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  /** What was chosen on the weeks ahead, with what can be done about it. */
  interface Props {
    row: Row;
    horizon: Horizon;
    rhythm: Rhythm;
    /** Where it stands, and where it is carried. */
    where: string;
    places: readonly Place[];
    onplace: (placeId: string) => void;
    sending: boolean;
    locale: Locale;
    now: number;
    onmove: (days: number) => void;
    onlock: (locked: boolean) => void;
    onleaveout: () => void;
    onbegin: () => void;
    onskip: () => void;
  }
  let {
    row,
    horizon,
    rhythm,
    where,
    places,
    onplace,
    sending,
    locale,
    now,
    onmove,
    onlock,
    onleaveout,
    onbegin,
    onskip
  }: Props = $props();
  const day = (at: number) => dayWords(at, now, locale);
  const begins = $derived(dayIndex(horizon, rhythm, row.beginsAt));
</script>

<section class="chosen" aria-label="Chosen: {rowName(row)}">
  <h2>{rowName(row)} <span class="soft small">{row.container}, {where} · {ROW_KINDS[row.kind]}</span></h2>
  <p>
    {row.begun === 'no' ? `Begins ${day(row.beginsAt)}. ` : ''}Opens {day(row.open.p50)}, likely {day(
      row.open.p10
    )} to {day(row.open.p90)}; about {greensMass(row.g, locale.units)}.
  </p>
  {#if row.kind === 'planned' && !row.locked}
    <div class="place">
      <Select
        labelText="Place"
        selected={row.placeId}
        on:change={(event) => onplace((event.target as HTMLSelectElement).value)}
      >
        {#each places as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
      </Select>
    </div>
  {/if}
  <div class="row">
    {#if row.kind === 'planned'}
      {#if !row.locked}
        <Button kind="tertiary" class="chip" disabled={sending || begins <= 0} on:click={() => onmove(-1)}
          >A day sooner</Button
        >
        <Button
          kind="tertiary"
          class="chip"
          disabled={sending || begins >= horizon.days - 1}
          on:click={() => onmove(1)}>A day later</Button
        >
        <Button kind="tertiary" class="chip" disabled={sending} on:click={() => onmove(7)}
          >A week later</Button
        >
      {/if}
      <button class="chip" aria-pressed={row.locked} disabled={sending} onclick={() => onlock(!row.locked)}
        >{row.locked ? 'Kept as it is: let it move again' : 'Keep it as it is'}</button
      >
      <Button kind="ghost" class="chip quiet" disabled={sending} on:click={onleaveout}>Do not begin it</Button
      >
    {:else if row.kind === 'draft'}
      <Button kind="tertiary" class="chip" disabled={sending} on:click={onbegin}>Put it on the list</Button>
      <Button kind="ghost" class="chip quiet" disabled={sending} on:click={onskip}>Leave this one out</Button>
    {/if}
    {#if row.kind === 'under-way' || row.kind === 'planned'}
      <a class="chip" href="/tray/{row.sowingIds[0]}">Open the tray</a>
    {/if}
  </div>
</section>

<style>
  .chosen {
    margin-top: 1rem;
    padding: 0.75rem 1rem;
    border: 1px solid var(--ink-faint);
    border-radius: 8px;
  }
  .place {
    max-width: 18rem;
    margin-bottom: 0.75rem;
  }
  h2 {
    margin: 0;
    font-size: 1.1rem;
  }
</style>
