<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import { languageName } from '$words/languageName.ts';
  import { shortDate } from '$words/time.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong } = formAnswers(() => form);
  const house = $derived(data.household);
  const done = $derived(form && 'done' in form ? form.done : null);
  const invite = $derived(form && 'invite' in form ? (form.invite ?? null) : null);
</script>

<svelte:head><title>{t('household.peopleBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{t('household.people')}</h1>
<div class="columns">
  <section class="stack" aria-labelledby="members-title">
    <h2 id="members-title">{t('household.household2')}</h2>
    <ul>
      {#each data.members as member (member.id)}
        <li class="member">
          <span
            ><strong>{member.name}</strong>{member.id === data.member.id
              ? ` · ${t('household.you')}`
              : ''}</span
          >
          {#if member.id !== data.member.id}
            <details>
              <summary>{t('household.remove')}<span class="visually-hidden"> {member.name}</span></summary>
              <form method="POST" action="?/remove" use:enhance class="stack">
                <input type="hidden" name="member" value={member.id} />
                <p class="small">
                  {t('household.nameSignedOutEverywhereCan', { name: member.name })}
                </p>
                <div>
                  <Button type="submit" kind="danger-tertiary"
                    >{t('household.removeName', { name: member.name })}</Button
                  >
                </div>
              </form>
            </details>
          {/if}
        </li>
      {/each}
    </ul>
    {#if done === 'removed'}
      <p role="status">
        <Rich parts={rich('household.removedIfTheyKnowHouseholds')}
          >{#snippet link(text: string)}<a href="/household">{text}</a>{/snippet}</Rich
        >
      </p>
    {/if}
    {#if wrong('remove')}<p class="warn" role="alert">{wrong('remove')}</p>{/if}
    <p class="soft small">{t('household.logEachTraySaysWho')}</p>
    <h3>{t('household.inviteSomebody')}</h3>
    {#if invite}
      <ShownOnce secret={invite}
        >{t('household.sendThemAddressShownOnce', { inviteDays: data.inviteDays })}</ShownOnce
      >
    {/if}
    {#each data.invites as open (open.id)}
      <div class="invite">
        <span class="soft"
          >{t('household.invitationGoodUntilShortdate', {
            shortDate: shortDate(open.expiresAt, house)
          })}</span
        >
        <form method="POST" action="?/noInvite" use:enhance>
          <input type="hidden" name="invite" value={open.id} />
          <Button type="submit" kind="ghost" class="undo">{t('household.takeBack')}</Button>
        </form>
      </div>
    {/each}
    <form method="POST" action="?/invite" use:enhance>
      <input type="hidden" name="id" value={data.newId} />
      <Button type="submit" kind="tertiary">{t('household.makeInvitation')}</Button>
    </form>
    {#if wrong('invite')}<p class="warn" role="alert">{wrong('invite')}</p>{/if}
  </section>

  <div class="stack">
    <!-- The whole page comes again, for all of it is in that language. -->
    <form method="POST" action="?/language" class="stack">
      <h2 id="language-title">{t('household.language.title')}</h2>
      <p class="soft small">{t('household.language.help')}</p>
      <Select
        name="language"
        labelText={t('household.language.label')}
        selected={data.language}
        invalid={wrong('language') !== ''}
        invalidText={wrong('language')}
      >
        {#each data.languages as tag (tag)}<SelectItem value={tag} text={languageName(tag)} />{/each}
      </Select>
      <div><Button type="submit" kind="tertiary">{t('household.language.save')}</Button></div>
    </form>
    <form method="POST" action="?/passphrase" class="stack" use:enhance novalidate>
      <h2>{t('household.passphraseYourOwn')}</h2>
      {#if done === 'passphrase'}<p role="status">{t('household.savedFromNowOnYou')}</p>{/if}
      <p class="soft small">
        {data.own ? t('household.youSignWithYourOwn') : t('household.youSignWithHouseholdsAs')}
      </p>
      <Field
        type="password"
        name="now"
        label={t('household.oneYouSignWithNow')}
        error={wrong('now')}
        autocomplete="current-password"
      />
      <Field
        type="password"
        name="own"
        label={t('household.yourOwn')}
        helper={t('household.atLeastCharacters')}
        error={wrong('own')}
        autocomplete="new-password"
      />
      <div><Button type="submit" kind="tertiary">{t('household.save2')}</Button></div>
    </form>
    <form method="POST" action="?/leave" class="stack" use:enhance>
      <h2>{t('household.leaveHousehold')}</h2>
      <p class="soft small">
        {t('household.youSignedOutEverywhereReminded')}
      </p>
      {#if wrong('leave')}<p class="warn" role="alert">{wrong('leave')}</p>{/if}
      <div>
        <Button type="submit" kind="danger-tertiary" disabled={data.members.length < 2}
          >{t('household.leave')}</Button
        >
      </div>
      {#if data.members.length < 2}<p class="small soft">{t('household.lastOneCannot')}</p>{/if}
    </form>
  </div>
</div>

<style>
  .columns {
    --first: 1.2fr;
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
</style>
