<script lang="ts">
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
  <h2 id="calendar-title">In your calendar</h2>
  <p class="small soft">
    Rounds with what is to be done, soaks, and harvest windows. Whoever has the address can read them: take it
    away if it gets about.
  </p>
  {#if shown}
    <ShownOnce secret={shown}>Its address, shown this once. Subscribe to it in your calendar:</ShownOnce>
  {/if}
  {#if feeds.length > 0}
    <ul>
      {#each feeds as feed, index (feed.id)}
        <li>
          <span
            >Address {index + 1}<br /><span class="small soft"
              >{feed.readAt === null
                ? 'No calendar has asked yet'
                : `Last asked ${dayAndTime(feed.readAt, Date.now(), locale)}`}</span
            ></span
          >
          <form method="POST" action="?/noFeed" use:enhance>
            <input type="hidden" name="feed" value={feed.id} />
            <Button type="submit" kind="ghost" class="undo"
              >Take it away<span class="visually-hidden">: address {index + 1}</span></Button
            >
          </form>
        </li>
      {/each}
    </ul>
  {/if}
  <div class="row">
    <form method="POST" action="?/feed" use:enhance>
      <input type="hidden" name="id" value={newId} />
      <Button type="submit" kind="tertiary">Make a calendar address</Button>
    </form>
    <a class="chip" href="/calendar.ics" download="brote.ics">Or a file, as it stands today</a>
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
