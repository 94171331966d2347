<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import type { SecretFeed, FeedKind } from '$contract/reminders.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    kind: FeedKind;
    feeds: readonly SecretFeed[];
    /** The address that was just made; shown this once. */
    shown: string | null;
    newId: string;
    locale: Locale;
  }
  let { kind, feeds, shown, newId, locale }: Props = $props();

  const WORDS: Record<
    FeedKind,
    { title: string; lead: string; shown: string; unread: string; make: string }
  > = {
    calendar: {
      title: t('reminders.yourCalendar'),
      lead: t('reminders.roundsWithWhatBeDone'),
      shown: t('reminders.addressShownOnceSubscribeYour'),
      unread: t('reminders.noCalendarHasAskedYet'),
      make: t('reminders.makeCalendarAddress')
    },
    display: {
      title: t('reminders.display.title'),
      lead: t('reminders.display.lead'),
      shown: t('reminders.display.shown'),
      unread: t('reminders.display.unread'),
      make: t('reminders.display.make')
    }
  };
  const words = $derived(WORDS[kind]);
</script>

<section class="stack" aria-labelledby="{kind}-title">
  <h2 id="{kind}-title">{words.title}</h2>
  <p class="small soft">
    {words.lead}
  </p>
  {#if shown}
    <ShownOnce secret={shown}>{words.shown}</ShownOnce>
  {/if}
  {#if feeds.length > 0}
    <ul>
      {#each feeds as feed, index (feed.id)}
        <li>
          <span
            >{t('reminders.addressIndex', { index: index + 1 })}<br /><span class="small soft"
              >{feed.readAt === null
                ? words.unread
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
      <input type="hidden" name="kind" value={kind} />
      <Button type="submit" kind="tertiary">{words.make}</Button>
    </form>
    {#if kind === 'calendar'}
      <a class="chip" href="/calendar.ics" download="brote.ics">{t('reminders.orFileAsStandsToday')}</a>
    {/if}
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
