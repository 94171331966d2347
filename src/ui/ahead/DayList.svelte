<script lang="ts">
  import { t } from '$messages/t.ts';
  import { onMount } from 'svelte';
  import { isShort, type DayAhead } from '$core/ahead/eat.ts';
  import type { DayWork } from '$core/ahead/rows.ts';
  import { greensMass } from '$core/units/format.ts';
  import { whereWords, workWords } from '$words/ahead.ts';
  import { capital } from '$words/capital.ts';
  import { daysAway, dayWords, shortDate, type Locale } from '$words/time.ts';

  /** The weeks ahead as a list by day: what is done, and what is there to eat. Days on which nothing changes are left out. */
  interface Props {
    suppers: readonly number[];
    days: readonly DayAhead[];
    works: readonly DayWork[][];
    away: readonly boolean[];
    placeName: (id: string) => string;
    now: number;
    locale: Locale;
  }
  let { suppers, days, works, away, placeName, now, locale }: Props = $props();

  /** So much is read at once; what comes later is folded, but on paper. */
  const NEAR_D = 21;
  let later = $state(false);
  onMount(() => {
    const print = () => (later = true);
    addEventListener('beforeprint', print);
    return () => removeEventListener('beforeprint', print);
  });

  const named = (at: number): string => {
    const days = daysAway(at, now, locale.zone);
    const date = shortDate(at, locale);
    return days < 2 ? `${capital(dayWords(at, now, locale))}, ${date}` : date;
  };
  const told = $derived(
    days.map((one, day) => {
      const { appetiteG, eatenG } = one;
      if (away[day]) return t('ahead.nobodyAtHome2');
      if (appetiteG === 0) return '';
      const wanted = greensMass(appetiteG, locale.units);
      return isShort(one)
        ? t('ahead.greensmassWanted', { greensMass: greensMass(eatenG, locale.units), wanted })
        : wanted;
    })
  );
  const isTold = (day: number): boolean =>
    works[day]!.length > 0 || day === 0 || told[day] !== told[day - 1] || days[day]!.thrownG > 5;
</script>

{#snippet list(from: number, until: number)}
  <ol>
    {#each suppers.slice(from, until) as at, nth (at)}
      {@const day = from + nth}
      {#if isTold(day)}
        <li>
          <h3>{named(at)}</h3>
          <p class="small" class:short={isShort(days[day]!)}>
            {told[day]}{#if days[day]!.thrownG > 5}
              · {t('ahead.greensmassPastDays', {
                greensMass: greensMass(days[day]!.thrownG, locale.units)
              })}{/if}
          </p>
          {#if works[day]!.length > 0}
            <ul>
              {#each works[day]! as work, n (n)}
                <li>
                  {workWords(work)}{#if work.what === 'begin'}<span class="soft small"
                      >, {work.row.container}, {whereWords(work.row, placeName)}</span
                    >{/if}
                </li>
              {/each}
            </ul>
          {/if}
        </li>
      {/if}
    {/each}
  </ol>
{/snippet}

{@render list(0, NEAR_D)}
{#if suppers.length > NEAR_D}
  <details class="unfold" open={later}>
    <summary>{t('ahead.afterShortdate', { shortDate: shortDate(suppers[NEAR_D - 1]!, locale) })}</summary>
    {@render list(NEAR_D, suppers.length)}
  </details>
{/if}

<style>
  ol,
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  ol > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 1rem;
    padding: 0.5rem 0;
    border-top: 1px solid var(--ink-faint);
    break-inside: avoid;
  }
  h3 {
    font-size: 1rem;
    margin: 0;
  }
  p {
    margin: 0;
  }
  p.short {
    color: var(--alarm);
    font-weight: 620;
  }
  ul {
    grid-column: 1 / -1;
  }
  @media print {
    ol {
      columns: 2;
      column-gap: 2rem;
    }
  }
</style>
