<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { dayAndTime, timeOfDay } from '$words/time.ts';
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
  import { FEED_KINDS } from '$contract/reminders.ts';
  import { REMINDER_KINDS } from '$core/reminders/reminder.ts';
  import { REMINDER_KIND_WORDS } from '$words/reminders.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
  const house = $derived(data.household);
  const done = $derived(form && 'done' in form ? form.done : null);
  const secret = $derived(form && 'secret' in form ? (form.secret ?? null) : null);
  const feed = $derived(form && 'feed' in form ? (form.feed ?? null) : null);
  const feedKind = $derived(form && 'feedKind' in form ? form.feedKind : null);
  const night = $derived(
    t('household.clocktimeClocktime', {
      clockTime: timeOfDay(house.sleepMin, house),
      clockTime2: timeOfDay(house.wakeMin, house)
    })
  );

  // What is on its way is looked after until it has gone, or has not.
  const LOOK_MS = 1500;
  onMount(() => {
    const timer = setInterval(() => {
      if (data.channels.some(({ waiting }) => waiting > 0)) void reload();
    }, LOOK_MS);
    return () => clearInterval(timer);
  });
</script>

<svelte:head><title>{t('household.remindersBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{t('household.reminders')}</h1>
<p class="lead">
  <Rich parts={rich('household.nameBroteRemindsYouApp', { name: data.member.name })}
    >{#snippet link(text: string)}<a href="/reminders">{text}</a>{/snippet}</Rich
  >
</p>
{#if data.setAside !== null}
  <p class="warn apart" role="alert">
    {t('household.sinceDayandtimeBroteHasNot', {
      dayAndTime: dayAndTime(data.setAside, data.now, data.household)
    })}
  </p>
{/if}
{#if data.outside}
  <p class="card">
    <Rich parts={rich('household.demoNothingLeavesMachineMail')}
      >{#snippet link(text: string)}<a href={data.outside} target="_blank" rel="noreferrer">{text}</a
        >{/snippet}</Rich
    >
  </p>
{/if}
<div class="columns">
  <section class="stack" aria-labelledby="channels-title">
    <h2 id="channels-title">{t('household.whereReachesYou')}</h2>
    {#if done === 'test'}<p role="status">{t('household.testOnWay')}</p>{/if}
    {#if secret}
      <ShownOnce {secret}>
        {t('household.signingSecretShownOnceWhoever')}
        {#snippet after()}
          <p class="small soft">
            {t('household.callsSignedAsOpenStandard')}
          </p>
        {/snippet}
      </ShownOnce>
    {/if}
    <ul class="channels">
      {#each data.channels as channel (channel.id)}
        <ChannelRow {channel} now={data.now} locale={house} aheadMs={house.demo ? house.clockAheadMs : 0} />
      {:else}
        <li class="soft none">{t('household.nowhereYetButHere')}</li>
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
        label={t('household.mail')}
        placeholder={t('household.nameExampleOrg')}
        helper={data.hasMail ? t('household.eachMailHasLinkEnds') : t('household.broteHasNoMailServer')}
        value={typed('to')}
        error={wrong('to')}
        autocomplete="email"
      />
      <Button type="submit" kind="tertiary">{t('household.addMail')}</Button>
    </form>
    <form method="POST" action="?/webhook" use:enhance class="add" novalidate>
      <input type="hidden" name="id" value={data.newId} />
      <Field
        name="url"
        type="url"
        label={t('household.webhookProgramsYourOwn')}
        placeholder={t('household.httpsExampleOrgBrote')}
        helper={t('household.signedJsonAddressesPrivateNetworks')}
        value={typed('url')}
        error={wrong('url')}
      />
      <Button type="submit" kind="tertiary">{t('household.addWebhook')}</Button>
    </form>
  </section>

  <div class="stack">
    <form method="POST" action="?/quiet" use:enhance class="stack" novalidate>
      <h2>{t('household.whenLeaveYouAlone')}</h2>
      {#if done === 'quiet'}<p role="status">{t('household.saved')}</p>{/if}
      <div class="pair">
        <Field
          name="quietFrom"
          type="time"
          label={t('household.from')}
          value={typed('quietFrom', data.quiet ? clockTimeOf(data.quiet.fromMin) : '')}
          error={wrong('quietFrom')}
        />
        <Field
          name="quietUntil"
          type="time"
          label={t('household.until')}
          value={typed('quietUntil', data.quiet ? clockTimeOf(data.quiet.untilMin) : '')}
          error={wrong('quietUntil')}
        />
      </div>
      <p class="small soft">
        {t('household.leftEmptyHouseholdsNightNight', { night })}
      </p>
      <div><Button type="submit" kind="tertiary">{t('household.save')}</Button></div>
    </form>
    {#each FEED_KINDS as kind (kind)}
      <Feeds
        {kind}
        feeds={data.feeds.filter((one) => one.kind === kind)}
        shown={feedKind === kind ? feed : null}
        newId={data.newId}
        locale={house}
      />
    {/each}
    <section class="stack" aria-labelledby="kinds-title">
      <h2 id="kinds-title">{t('household.whatThere')}</h2>
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
    --first: 1.3fr;
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
    .add {
      grid-template-columns: minmax(0, 1fr);
    }
    .add :global(.bx--btn) {
      margin-top: 0;
    }
  }
</style>
