<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { surplusOf } from '$core/ahead/surplus.ts';
  import { pantryOf } from '$core/pantry/item.ts';
  import { eatFirst, isPast, urgencyOf } from '$core/pantry/order.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { mass } from '$core/units/format.ts';
  import Item from '$ui/pantry/Item.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { giveWords, pantryCountWords } from '$words/pantry.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const zone = $derived(zoneOf(locale.zone));
  const projected = $derived(projectAll(data.records, factsNow(data, journal), data, journal));
  const items = $derived(eatFirst(projected.flatMap((sowing) => pantryOf(sowing, zone).items)));
  const freshG = $derived(
    items.reduce(
      (sum, item) =>
        item.unit === 'g' && item.packing !== 'dried' && !isPast(item, zone, now) ? sum + item.left : sum,
      0
    )
  );
  const surplus = $derived(surplusOf(items, data.eaters, data.away, factsNow(data, journal).rhythm, now));
  const counts = $derived(
    pantryCountWords({
      soon: items.filter((item) => urgencyOf(item, zone, now) === 'soon').length,
      past: items.filter((item) => isPast(item, zone, now)).length
    })
  );
</script>

<svelte:head><title>{t('pantry.pantryBrote')}</title></svelte:head>

<header class="page-head">
  <div>
    <h1>{t('pantry.pantry')}</h1>
    <p class="soft">
      {items.length === 0
        ? t('pantry.nothing')
        : [
            freshG > 0
              ? t('pantry.massFreshGreens', { mass: mass(freshG, locale.units) })
              : t('pantry.nothingFresh'),
            ...counts
          ].join(' · ')}
    </p>
  </div>
  {#if items.length > 0}<a class="bx--btn bx--btn--ghost" href="/pantry.csv" download>{t('pantry.asCsv')}</a
    >{/if}
</header>

{#if items.length === 0}
  <p class="lead">
    <Rich parts={rich('pantry.whatYouCutDoNot')}
      >{#snippet link(text: string)}<a href="/round">{text}</a>{/snippet}</Rich
    >
  </p>
{:else}
  <Caution>{CAUTIONS.keeping}</Caution>
  {#if surplus.length > 0}
    <section aria-labelledby="give">
      <h2 id="give">{t('pantry.moreThanYouWillEat')}</h2>
      <p class="soft small">{t('pantry.giveAwayWhileGoodLine')}</p>
      <ul class="give">
        {#each surplus as one (one.item.id)}<li>{giveWords(one, now, locale)}</li>{/each}
      </ul>
    </section>
  {/if}
  <ul>
    {#each items as item (item.id)}
      <Item {item} {zone} {now} {locale} />
    {/each}
  </ul>
{/if}

<style>
  ul {
    list-style: none;
    padding: 0;
    margin: 1rem 0 0;
  }
  .lead {
    margin-top: 1.5rem;
  }
  .give {
    list-style: disc;
    padding-left: 1.2rem;
    margin: 0.25rem 0 0;
  }
</style>
