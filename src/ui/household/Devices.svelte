<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    sessions: readonly { id: string; memberName: string; agent: string; usedAt: number }[];
    /** The session of this page. */
    here: string;
    now: number;
    locale: Locale;
    /** Something was just signed out. */
    done: boolean;
  }
  let { sessions, here, now, locale, done }: Props = $props();
  const others = $derived(sessions.filter(({ id }) => id !== here));
</script>

<section class="stack" aria-labelledby="devices-title">
  <h2 id="devices-title">{t('household.signed')}</h2>
  {#if done}<p role="status">{t('household.signedOutThere')}</p>{/if}
  <ul>
    {#each sessions as session (session.id)}
      <li>
        <div>
          <strong>{session.memberName}</strong>, {session.agent}<br />
          <span class="small soft"
            >{session.id === here
              ? t('household.device')
              : t('household.lastUsedDayandtime', {
                  dayAndTime: dayAndTime(session.usedAt, now, locale)
                })}</span
          >
        </div>
        {#if session.id === here}
          <form method="POST" action="/sign-out">
            <Button type="submit" kind="tertiary">{t('household.signOut')}</Button>
          </form>
        {:else}
          <form method="POST" action="?/signOut" use:enhance>
            <input type="hidden" name="session" value={session.id} />
            <Button type="submit" kind="tertiary" class="chip"
              >{t('household.signOut2')}<span class="visually-hidden"
                >: {session.memberName}, {session.agent}</span
              ></Button
            >
          </form>
        {/if}
      </li>
    {/each}
  </ul>
  {#if others.length > 1}
    <form method="POST" action="?/signOut" use:enhance>
      <input type="hidden" name="session" value="others" />
      <Button type="submit" kind="tertiary" class="chip">{t('household.signOutAllS')}</Button>
    </form>
  {/if}
  <p class="small soft">{t('household.deviceNobodyUsesDaysSigned')}</p>
</section>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.75rem;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
  }
</style>
