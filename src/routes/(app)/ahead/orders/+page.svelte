<script lang="ts">
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
    growableOf(order, data.ahead)?.crop.name ?? order.parts.map(({ cropKey }) => cropKey).join(', ');
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
    if (!answer?.ok) failed = 'No answer from Brote. The order goes on: try again in a moment.';
    else await reload();
  }
  async function saved() {
    open = null;
    await reload();
  }
</script>

<svelte:head><title>Standing orders · Brote</title></svelte:head>

<AheadTabs />
<header class="page-head">
  <div>
    <h1>Standing orders</h1>
    <p class="soft">
      The same again and again, laid into the weeks ahead until you begin it or leave it out.
    </p>
  </div>
  {#if open === null && data.ahead.containers.length > 0 && data.ahead.household.places.length > 0}
    <Button disabled={!page.hydrated} on:click={() => (open = 'new')}>New standing order</Button>
  {/if}
</header>
{#if failed}<p class="warn" role="alert">{failed}</p>{/if}

{#if open !== null}
  <section class="form">
    <h2>{open === 'new' ? 'New standing order' : orderName(open)}</h2>
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
    <Button kind="ghost" on:click={() => (open = null)}>Leave it as it was</Button>
  </section>
{/if}

{#if data.ahead.orders.length === 0}
  {#if open === null}
    <p class="lead">
      {#if data.ahead.containers.length === 0 || data.ahead.household.places.length === 0}
        Brote has to know a container and a place first: <a href="/sow">begin a sowing</a>, and it knows both.
      {:else}
        None yet. A tray of cress every four days, say, or peas for Mondays and Thursdays.
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
            >Change<span class="visually-hidden"> {orderName(order)}</span></Button
          >
          <Button kind="ghost" class="chip quiet" on:click={() => void end(order.id)}
            >End it<span class="visually-hidden">: {orderName(order)}</span></Button
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
