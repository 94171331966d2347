<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import type { CalendarFeed } from '$contract/reminders.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    feeds: readonly CalendarFeed[];
    /** The address that was just made; shown this once. */
    shown: string | null;
    newId: string;
    locale: Locale;
  }
  let { feeds, shown, newId, locale }: Props = $props();
</script>

<section class="stack" aria-labelledby="calendar-title">
  <h2 id="calendar-title">{t('reminders.yourCalendar')}</h2>
  <p class="small soft">
    {t('reminders.roundsWithWhatBeDone')}
  </p>
  {#if shown}
    <ShownOnce secret={shown}>{t('reminders.addressShownOnceSubscribeYour')}</ShownOnce>
  {/if}
  {#if feeds.length > 0}
    <ul>
      {#each feeds as feed, index (feed.id)}
        <li>
          <span
            >{t('reminders.addressIndex', { index: index + 1 })}<br /><span class="small soft"
              >{feed.readAt === null
                ? t('reminders.noCalendarHasAskedYet')
                : t('reminders.lastAskedDayandtime', {
                    dayAndTime: dayAndTime(feed.readAt, Date.now(), locale)
                  })}</span
            ></span
          >
          <form method="POST" action="?/noFeed" use:enhance>
            <input type="hidden" name="feed" value={feed.id} />
            <Button type="submit" kind="ghost" class="undo"
              >{t('reminders.takeAway')}<span class="visually-hidden">
                {t('reminders.addressIndex2', { index: index + 1 })}</span
              ></Button
            >
          </form>
        </li>
      {/each}
    </ul>
  {/if}
  <div class="row">
    <form method="POST" action="?/feed" use:enhance>
      <input type="hidden" name="id" value={newId} />
      <Button type="submit" kind="tertiary">{t('reminders.makeCalendarAddress')}</Button>
    </form>
    <a class="chip" href="/calendar.ics" download="brote.ics">{t('reminders.orFileAsStandsToday')}</a>
  </div>
</section>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.6rem;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: center;
  }
</style>
