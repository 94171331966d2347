<script lang="ts">
  import { dayAndTime } from '$words/time.ts';
  import { enhance, reload } from '$ui/state/reload.ts';
  import { onMount } from 'svelte';
  import { Button } from 'carbon-components-svelte';
  import { clockTimeOf } from '$contract/schemas/household.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import ChannelRow from '$ui/reminders/ChannelRow.svelte';
  import Feeds from '$ui/reminders/Feeds.svelte';
  import ThisBrowser from '$ui/reminders/ThisBrowser.svelte';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import { REMINDER_KINDS } from '$core/reminders/reminder.ts';
  import { REMINDER_KIND_WORDS } from '$words/reminders.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
  const house = $derived(data.household);
  const done = $derived(form && 'done' in form ? form.done : null);
  const secret = $derived(form && 'secret' in form ? (form.secret ?? null) : null);
  const feed = $derived(form && 'feed' in form ? (form.feed ?? null) : null);
  const night = $derived(`${clockTimeOf(house.sleepMin)} to ${clockTimeOf(house.wakeMin)}`);

  // What is on its way is looked after until it has gone, or has not.
  const LOOK_MS = 1500;
  onMount(() => {
    const timer = setInterval(() => {
      if (data.channels.some(({ waiting }) => waiting > 0)) void reload();
    }, LOOK_MS);
    return () => clearInterval(timer);
  });
</script>

<svelte:head><title>Reminders · Brote</title></svelte:head>

<HouseholdTabs />
<h1>Reminders</h1>
<p class="lead">
  For {data.member.name}. Brote reminds you in the app in any case: <a href="/reminders">what came lately</a>.
  Add a way to be reached when it is closed.
</p>
{#if data.setAside !== null}
  <p class="warn apart" role="alert">
    Since {dayAndTime(data.setAside, data.now, data.household)} Brote has not been able to work out your reminders.
    The round still works, so look there twice a day. Tell whoever runs this Brote, and check whatever you changed
    last.
  </p>
{/if}
{#if data.outside}
  <p class="card">
    In the demo nothing leaves this machine: mail, notifications and webhook calls are caught.
    <a href={data.outside} target="_blank" rel="noreferrer">See what arrived</a>.
  </p>
{/if}
<div class="columns">
  <section class="stack" aria-labelledby="channels-title">
    <h2 id="channels-title">Where it reaches you</h2>
    {#if done === 'test'}<p role="status">A test is on its way.</p>{/if}
    {#if secret}
      <ShownOnce {secret}>
        Its signing secret, shown this once. Whoever receives it checks each call by it:
        {#snippet after()}
          <p class="small soft">
            Calls are signed as the open Standard Webhooks specification says: webhook-id, webhook-timestamp
            and webhook-signature. The same id twice is the same reminder.
          </p>
        {/snippet}
      </ShownOnce>
    {/if}
    <ul class="channels">
      {#each data.channels as channel (channel.id)}
        <ChannelRow {channel} now={data.now} locale={house} aheadMs={house.demo ? house.clockAheadMs : 0} />
      {:else}
        <li class="soft none">Nowhere yet but here.</li>
      {/each}
    </ul>
    <ThisBrowser
      vapidKey={data.vapidKey}
      newId={data.newId}
      wrong={wrong('push')}
      standIn={data.outside !== null}
    />
    <form method="POST" action="?/mail" use:enhance class="add" novalidate>
      <input type="hidden" name="id" value={data.newId} />
      <Field
        name="to"
        type="email"
        label="Mail to"
        placeholder="name@example.org"
        helper={data.hasMail
          ? 'Each mail has a link that ends it'
          : 'This Brote has no mail server yet: whoever runs it names one in BROTE_SMTP_URL'}
        value={typed('to')}
        error={wrong('to')}
        autocomplete="email"
      />
      <Button type="submit" kind="tertiary">Add mail</Button>
    </form>
    <form method="POST" action="?/webhook" use:enhance class="add" novalidate>
      <input type="hidden" name="id" value={data.newId} />
      <Field
        name="url"
        type="url"
        label="Webhook, for programs of your own"
        placeholder="https://example.org/brote"
        helper="Signed JSON; addresses in private networks only where the operator allows them"
        value={typed('url')}
        error={wrong('url')}
      />
      <Button type="submit" kind="tertiary">Add webhook</Button>
    </form>
  </section>

  <div class="stack">
    <form method="POST" action="?/quiet" use:enhance class="stack" novalidate>
      <h2>When to leave you alone</h2>
      {#if done === 'quiet'}<p role="status">Saved.</p>{/if}
      <div class="two">
        <Field
          name="quietFrom"
          type="time"
          label="From"
          value={typed('quietFrom', data.quiet ? clockTimeOf(data.quiet.fromMin) : '')}
          error={wrong('quietFrom')}
        />
        <Field
          name="quietUntil"
          type="time"
          label="Until"
          value={typed('quietUntil', data.quiet ? clockTimeOf(data.quiet.untilMin) : '')}
          error={wrong('quietUntil')}
        />
      </div>
      <p class="small soft">
        Left empty: the household’s night, {night}. What comes then is held until it is over, and dropped
        where it is of no more use.
      </p>
      <div><Button type="submit" kind="tertiary">Save</Button></div>
    </form>
    <Feeds feeds={data.feeds} shown={feed} newId={data.newId} locale={house} />
    <section class="stack" aria-labelledby="kinds-title">
      <h2 id="kinds-title">What there is</h2>
      <dl>
        {#each REMINDER_KINDS as kind (kind)}
          <dt>{REMINDER_KIND_WORDS[kind].name}</dt>
          <dd class="soft">{REMINDER_KIND_WORDS[kind].says}</dd>
        {/each}
      </dl>
    </section>
  </div>
</div>

<style>
  .apart {
    margin-bottom: 1rem;
  }
  .lead {
    margin: 0.25rem 0 1rem;
    max-width: 44rem;
  }
  .columns {
    display: grid;
    grid-template-columns: 1.3fr 1fr;
    gap: 2rem 3.5rem;
    align-items: start;
    margin-top: 1.25rem;
  }
  .channels {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  .none {
    padding: 0.5rem 0;
  }
  .add {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 1rem;
    align-items: start;
  }
  .add :global(.bx--btn) {
    margin-top: 1.5rem;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1rem;
  }
  dl {
    margin: 0;
  }
  dt {
    font-weight: 620;
  }
  dd {
    margin: 0 0 0.6rem;
  }
  @media (max-width: 47.99rem) {
    .columns,
    .add {
      grid-template-columns: minmax(0, 1fr);
    }
    .add :global(.bx--btn) {
      margin-top: 0;
    }
  }
</style>
