<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import { shortDate } from '$words/time.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong } = formAnswers(() => form);
  const house = $derived(data.household);
  const done = $derived(form && 'done' in form ? form.done : null);
  const invite = $derived(form && 'invite' in form ? (form.invite ?? null) : null);
</script>

<svelte:head><title>People · Brote</title></svelte:head>

<HouseholdTabs />
<h1>People</h1>
<div class="columns">
  <section class="stack" aria-labelledby="members-title">
    <h2 id="members-title">In this household</h2>
    <ul>
      {#each data.members as member (member.id)}
        <li class="member">
          <span><strong>{member.name}</strong>{member.id === data.member.id ? ', you' : ''}</span>
          {#if member.id !== data.member.id}
            <details>
              <summary>Remove<span class="visually-hidden"> {member.name}</span></summary>
              <form method="POST" action="?/remove" use:enhance class="stack">
                <input type="hidden" name="member" value={member.id} />
                <p class="small">
                  {member.name} is signed out everywhere and can no longer sign in under this name. Invitations
                  and sitters’ addresses {member.name} made stop working. Everybody in the household is told. What
                  {member.name} did stays in the logs.
                </p>
                <div>
                  <Button type="submit" kind="danger-tertiary">Remove {member.name}</Button>
                </div>
              </form>
            </details>
          {/if}
        </li>
      {/each}
    </ul>
    {#if done === 'removed'}
      <p role="status">
        Removed. If they know the household’s passphrase, <a href="/household">change it under Settings</a>:
        every device that signs in with it is then asked again.
      </p>
    {/if}
    {#if wrong('remove')}<p class="warn" role="alert">{wrong('remove')}</p>{/if}
    <p class="soft small">The log of each tray says who did what.</p>
    <h3>Invite somebody</h3>
    {#if invite}
      <ShownOnce secret={invite}
        >Send them this address, shown this once. It works for one person, for {data.inviteDays} days; they choose
        their name and a passphrase of their own.</ShownOnce
      >
    {/if}
    {#each data.invites as open (open.id)}
      <div class="invite">
        <span class="soft">An invitation, good until {shortDate(open.expiresAt, house)}</span>
        <form method="POST" action="?/noInvite" use:enhance>
          <input type="hidden" name="invite" value={open.id} />
          <Button type="submit" kind="ghost" class="undo">Take it back</Button>
        </form>
      </div>
    {/each}
    <form method="POST" action="?/invite" use:enhance>
      <input type="hidden" name="id" value={data.newId} />
      <Button type="submit" kind="tertiary">Make an invitation</Button>
    </form>
    {#if wrong('invite')}<p class="warn" role="alert">{wrong('invite')}</p>{/if}
  </section>

  <div class="stack">
    <form method="POST" action="?/passphrase" class="stack" use:enhance novalidate>
      <h2>A passphrase of your own</h2>
      {#if done === 'passphrase'}<p role="status">Saved: from now on you sign in with it.</p>{/if}
      <p class="soft small">
        {data.own
          ? 'You sign in with your own. Nobody else of the household can sign in as you.'
          : 'You sign in with the household’s, as everybody who knows it can. With one of your own, nobody else signs in as you.'}
      </p>
      <Field
        type="password"
        name="now"
        label="The one you sign in with now"
        error={wrong('now')}
        autocomplete="current-password"
      />
      <Field
        type="password"
        name="own"
        label="Your own"
        helper="At least 8 characters"
        error={wrong('own')}
        autocomplete="new-password"
      />
      <div><Button type="submit" kind="tertiary">Save it</Button></div>
    </form>
    <form method="POST" action="?/leave" class="stack" use:enhance>
      <h2>Leave this household</h2>
      <p class="soft small">
        You are signed out everywhere and reminded no more. What you did stays in the logs under your name.
        Whoever knows the household’s passphrase can still come in: those who stay change it under Settings.
      </p>
      {#if wrong('leave')}<p class="warn" role="alert">{wrong('leave')}</p>{/if}
      <div>
        <Button type="submit" kind="danger-tertiary" disabled={data.members.length < 2}>Leave</Button>
      </div>
      {#if data.members.length < 2}<p class="small soft">The last one cannot.</p>{/if}
    </form>
  </div>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: 1.2fr 1fr;
    gap: 2rem 3.5rem;
    align-items: start;
    margin-top: 1rem;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.5rem;
  }
  .member {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 0.25rem 1rem;
  }
  .member summary {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
    cursor: pointer;
    text-decoration: underline;
  }
  .member details[open] {
    flex-basis: 100%;
    padding-bottom: 0.75rem;
  }
  .invite {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
  }
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
