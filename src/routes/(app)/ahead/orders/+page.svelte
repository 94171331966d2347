<script lang="ts">
  import { allOf } from '$words/lists.ts';
  import { cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { reload } from '$ui/state/reload.ts';
  import { Button } from 'carbon-components-svelte';
  import { finished } from '$core/time/inSteps.ts';
  import { withOwnCrops } from '$core/crops/library.ts';
  import { growableOf, ordersOf, type OrderData } from '$core/ahead/household.ts';
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import OrderForm from '$ui/ahead/OrderForm.svelte';
  import { ask } from '$ui/state/ask.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { cutsWords, ruleWords } from '$words/ahead.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const locale = $derived(data.household);
  /** The order in the form: one that is there, a new one, or none. */
  let open = $state<OrderData | 'new' | null>(null);
  let failed = $state('');
  const orderName = (order: OrderData): string =>
    cropName(growableOf(order, data.ahead)?.crop.name ?? allOf(order.parts.map(({ cropKey }) => cropKey)));
  const placeName = (id: string): string =>
    data.ahead.household.places.find((place) => place.id === id)?.name ?? '';

  /** So many cuts of an order are named. */
  const NEXT_CUTS = 4;
  const drafts = $derived(
    page.hydrated && data.ahead.orders.length > 0 ? finished(ordersOf(data.ahead)).drafts : null
  );
  const cutsOf = (id: string): number[] =>
    (drafts ?? [])
      .flatMap(({ orderId, cutAt }) => (orderId === id && cutAt !== null ? [cutAt] : []))
      .sort((a, b) => a - b)
      .slice(0, NEXT_CUTS);

  async function end(id: string) {
    failed = '';
    const answer = await ask('/api/ahead/orders', {
      method: 'DELETE',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id })
    });
    if (!answer?.ok) failed = t('ahead.noAnswerFromBroteOrder');
    else await reload();
  }
  async function saved() {
    open = null;
    await reload();
  }
</script>

<svelte:head><title>{t('ahead.standingOrdersBrote')}</title></svelte:head>

<AheadTabs />
<header class="page-head">
  <div>
    <h1>{t('ahead.standingOrders2')}</h1>
    <p class="soft">
      {t('ahead.sameAgainAgainLaidInto')}
    </p>
  </div>
  {#if open === null && data.ahead.containers.length > 0 && data.ahead.household.places.length > 0}
    <Button disabled={!page.hydrated} on:click={() => (open = 'new')}>{t('ahead.newStandingOrder')}</Button>
  {/if}
</header>
{#if failed}<p class="warn" role="alert">{failed}</p>{/if}

{#if open !== null}
  <section class="form">
    <h2>{open === 'new' ? t('ahead.newStandingOrder') : orderName(open)}</h2>
    {#key open}
      <OrderForm
        data={data.ahead}
        crops={withOwnCrops(data.ahead.household.ownCrops)}
        units={data.household.units}
        order={open === 'new' ? null : open}
        {locale}
        onsaved={() => void saved()}
      />
    {/key}
    <Button kind="ghost" on:click={() => (open = null)}>{t('ahead.leaveAsWas')}</Button>
  </section>
{/if}

{#if data.ahead.orders.length === 0}
  {#if open === null}
    <p class="lead">
      {#if data.ahead.containers.length === 0 || data.ahead.household.places.length === 0}
        <Rich parts={rich('ahead.broteHasKnowContainerPlace')}
          >{#snippet link(text: string)}<a href="/sow">{text}</a>{/snippet}</Rich
        >
      {:else}
        {t('ahead.noneYetTrayCressEvery')}
      {/if}
    </p>
  {/if}
{:else}
  <ul>
    {#each data.ahead.orders as order (order.id)}
      <li>
        <div>
          <strong>{orderName(order)}{order.count > 1 ? ` × ${order.count}` : ''}</strong>, {ruleWords(
            order.rule
          )}
          <br /><span class="soft small">{order.container.name}, {placeName(order.placeId)}</span>
          {#if drafts}<br /><span class="small">{cutsWords(cutsOf(order.id), locale)}</span>{/if}
        </div>
        <div class="row">
          <Button kind="tertiary" class="chip" on:click={() => (open = order)}
            >{t('ahead.change')}<span class="visually-hidden"> {orderName(order)}</span></Button
          >
          <Button kind="ghost" class="chip quiet" on:click={() => void end(order.id)}
            >{t('ahead.end')}<span class="visually-hidden">: {orderName(order)}</span></Button
          >
        </div>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .form {
    margin: 1rem 0;
    padding: 1rem;
    border: 1px solid var(--ink-faint);
    border-radius: 8px;
  }
  .form h2 {
    margin: 0 0 0.75rem;
  }
  .lead {
    margin-top: 1.5rem;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 1rem 0 0;
    max-width: 46rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    justify-content: space-between;
    align-items: center;
    padding: 0.6rem 0;
    border-top: 1px solid var(--ink-faint);
  }
</style>
