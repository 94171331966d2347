<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button } from 'carbon-components-svelte';
  import { touchesOf } from '$core/pantry/amounts.ts';
  import type { PantryItem } from '$core/pantry/item.ts';
  import { urgencyOf } from '$core/pantry/order.ts';
  import { SPOILS, TAKINGS, type Spoil, type Taking } from '$core/sowing/event.ts';
  import type { Zone } from '$core/time/zone.ts';
  import { temperature } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { edibleNote } from '$words/edibleNote.ts';
  import {
    amountWords,
    coldWords,
    keepUntilWords,
    leftWords,
    packedWords,
    SPOIL_WORDS,
    TAKING_WORDS,
    touchWords
  } from '$words/pantry.ts';
  import { shortDate, type Locale } from '$words/time.ts';
  import { problemWords } from '$words/problems.ts';
  import { capital } from '$words/capital.ts';
  import PackAnew from './PackAnew.svelte';
  import Keeps from './Keeps.svelte';

  interface Props {
    item: PantryItem;
    zone: Zone;
    now: number;
    locale: Locale;
  }
  let { item, zone, now, locale }: Props = $props();
  const journal = useJournal();
  const { units } = $derived(locale);
  const { crop } = $derived(item);
  const pressing = $derived(urgencyOf(item, zone, now));
  const note = $derived(edibleNote(crop));
  let to = $state<Taking>('eaten');
  let own = $state(NaN);
  let tried = $state(false);
  let more = $state(false);
  const wrong = $derived(own > item.left + 0.5);

  const take = (amount: number) =>
    journal.record(
      item.sowingId,
      { type: 'taken', from: item.id, amount, to },
      t('pantry.nameAmountTakenOutGiven', {
        name: cropName(crop.name),
        amount: amountWords(amount, item, units),
        when: to === 'eaten' ? 'yes' : 'no'
      })
    );
  async function takeOwn() {
    tried = true;
    if (!(own > 0) || wrong) return;
    await take(own);
    own = NaN;
    tried = false;
  }
  const throwOut = (reason: Spoil) =>
    journal.record(
      item.sowingId,
      { type: 'thrown', from: item.id, amount: item.left, reason },
      t('pantry.nameThrownOut', { name: cropName(crop.name) })
    );
</script>

<li class="item {pressing}">
  <div class="what">
    <h2><a href="/tray/{item.sowingId}">{cropName(crop.name)}</a> <span>{leftWords(item, units)}</span></h2>
    <p class="small soft">
      {t('pantry.packedCutShortdate', {
        packed: capital(packedWords(item.packing, item.washing)),
        shortDate: shortDate(item.cutAt, locale)
      })}
    </p>
    <Keeps {item} {zone} {now} {locale} />
    <p class="small">
      {#if pressing === 'past'}<Rich
          parts={rich('pantry.strongPastDaysThrowOut', { shortDate: shortDate(item.keepsTo, locale) })}
        />
      {:else}
        {#if pressing === 'soon'}<strong>{t('pantry.eatFirst')}</strong>{/if}
        {keepUntilWords(item, locale)}, {coldWords(item, (degC) => temperature(degC, units))}.
      {/if}
    </p>
  </div>
  <div class="touches stack">
    {#if pressing === 'past'}
      {@render throwing()}
      <details class="unfold" bind:open={more}>
        <summary>{t('pantry.eatenOrGivenAwayBefore')}</summary>
        {#if more}<div class="stack">{@render taking()}</div>{/if}
      </details>
    {:else}
      {@render taking()}
      <details class="unfold" bind:open={more}>
        <summary>{t('pantry.amountPackAnewThrowOut')}</summary>
        {#if more}
          <div class="stack">
            {@render amount()}
            <PackAnew {item} {locale} />
            {@render throwing()}
          </div>
        {/if}
      </details>
    {/if}
  </div>
</li>

{#snippet taking()}
  <Choice
    legend={pressing === 'past' ? t('pantry.record') : t('pantry.takeOut')}
    name="to-{item.id}"
    options={TAKINGS.map((value) => ({ value, text: TAKING_WORDS[value] }))}
    bind:value={to}
  />
  <div class="row">
    {#each touchesOf(item) as touch (touch.kind)}
      <Button kind="tertiary" class="chip" on:click={() => void take(touch.amount)}
        >{touchWords(touch, item, units)}</Button
      >
    {/each}
  </div>
  {#if to === 'given' && pressing !== 'past'}
    {#if note}<p class="small">{note}</p>{/if}
    <Caution>{CAUTIONS.giving}</Caution>
  {/if}
{/snippet}

{#snippet amount()}
  <form
    class="own"
    novalidate
    onsubmit={(event) => {
      event.preventDefault();
      void takeOwn();
    }}
  >
    <QuantityField
      label={to === 'eaten' ? t('pantry.takeOut') : t('pantry.giveAway')}
      kind={item.unit === 'g' ? 'mass' : 'volume'}
      unit={item.unit === 'g' ? (units === 'us' ? 'oz' : 'g') : units === 'us' ? 'fl oz' : 'mL'}
      bind:value={own}
      error={wrong
        ? problemWords({ code: 'item-holds-less', params: { left: item.left, unit: item.unit } })
        : tried && !(own > 0)
          ? t('pantry.sayHowMuch')
          : ''}
    />
    <Button kind="tertiary" class="chip" type="submit">{t('pantry.take')}</Button>
  </form>
{/snippet}

{#snippet throwing()}
  <div>
    <p class="small">
      {pressing === 'past' ? t('pantry.throwOutHowWas') : t('pantry.throwAllOutBecause')}
    </p>
    <div class="row">
      {#each SPOILS as reason (reason)}
        <Button kind="ghost" class="chip quiet" on:click={() => void throwOut(reason)}
          >{SPOIL_WORDS[reason]}</Button
        >
      {/each}
    </div>
  </div>
{/snippet}

<style>
  .item {
    display: grid;
    grid-template-columns: minmax(14rem, 1fr) minmax(0, 1.4fr);
    gap: 0.5rem 2rem;
    padding: 1rem 0;
    border-top: 1.5px solid var(--ink-faint);
  }
  h2 {
    font-size: 1.25rem;
  }
  h2 span {
    font-weight: 680;
    margin-left: 0.5rem;
  }
  .past h2 a,
  .past strong {
    color: var(--alarm);
  }
  .own {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
  }
  @media (max-width: 47.99rem) {
    .item {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
