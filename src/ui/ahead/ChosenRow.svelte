<script lang="ts">
  import { t } from '$messages/t.ts';
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

<section class="chosen" aria-label={t('ahead.chosenRowname', { rowName: rowName(row) })}>
  <h2>{rowName(row)} <span class="soft small">{row.container}, {where} · {ROW_KINDS[row.kind]}</span></h2>
  <p>
    {t('ahead.beginsDayOpensDayLikely', {
      when: row.begun === 'no' ? 'yes' : 'no',
      day: row.begun === 'no' ? day(row.beginsAt) : '',
      day2: day(row.open.p50),
      day3: day(row.open.p10),
      day4: day(row.open.p90),
      greensMass: greensMass(row.g, locale.units)
    })}
  </p>
  {#if row.kind === 'planned' && !row.locked}
    <div class="place">
      <Select
        labelText={t('ahead.place')}
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
          >{t('ahead.daySooner')}</Button
        >
        <Button
          kind="tertiary"
          class="chip"
          disabled={sending || begins >= horizon.days - 1}
          on:click={() => onmove(1)}>{t('ahead.dayLater')}</Button
        >
        <Button kind="tertiary" class="chip" disabled={sending} on:click={() => onmove(7)}
          >{t('ahead.weekLater')}</Button
        >
      {/if}
      <button class="chip" aria-pressed={row.locked} disabled={sending} onclick={() => onlock(!row.locked)}
        >{row.locked ? t('ahead.keptAsLetMoveAgain') : t('ahead.keepAs')}</button
      >
      <Button kind="ghost" class="chip quiet" disabled={sending} on:click={onleaveout}
        >{t('ahead.doNotBegin')}</Button
      >
    {:else if row.kind === 'draft'}
      <Button kind="tertiary" class="chip" disabled={sending} on:click={onbegin}
        >{t('ahead.putOnList')}</Button
      >
      <Button kind="ghost" class="chip quiet" disabled={sending} on:click={onskip}
        >{t('ahead.leaveOneOut')}</Button
      >
    {/if}
    {#if row.kind === 'under-way' || row.kind === 'planned'}
      <a class="chip" href="/tray/{row.sowingIds[0]}">{t('ahead.openTray')}</a>
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
