<script lang="ts">
  import { onMount, untrack, type Snippet } from 'svelte';
  import { invalidateAll } from '$app/navigation';
  import AsideList from '$ui/shell/AsideList.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import Shell from '$ui/shell/Shell.svelte';
  import SignInAgain from '$ui/shell/SignInAgain.svelte';
  import TimeBar from '$ui/shell/TimeBar.svelte';
  import UndoBar from '$ui/shell/UndoBar.svelte';
  import TimerBar from '$ui/timers/TimerBar.svelte';
  import { ask } from '$ui/state/ask.ts';
  import { Timers, provideTimers } from '$ui/state/timers.svelte.ts';
  import { Journal, provideJournal } from '$ui/state/journal.svelte.ts';
  import type { LayoutData } from './$types';

  let { data, children }: { data: LayoutData; children: Snippet } = $props();

  // The household's clock runs on from what the server said, whatever this device's own clock shows.
  let loadedAt = untrack(() => ({ told: data.now, here: 0 }));
  $effect(() => {
    loadedAt = { told: data.now, here: performance.now() };
  });
  const now = () => loadedAt.told + performance.now() - loadedAt.here;
  const journal = provideJournal(
    untrack(() => new Journal(`brote.journal.${data.household.id}`, data.member.id, now))
  );

  const timers = provideTimers(
    untrack(() => new Timers(data.household, journal, `brote.quieted.${data.household.id}`))
  );
  // Whatever was touched, here or by others, may have begun or ended a timer.
  $effect(() => {
    void data.now;
    timers.now = now();
    void timers.refresh();
  });

  /** Keeps an open page up to date; a session that ran out asks over the page instead of leaving it. */
  async function refresh() {
    const answer = await ask('/api/ping');
    if (answer?.status === 401) journal.signedOut = true;
    else if (answer?.ok) {
      // It was away, and is back.
      if (journal.waiting && journal.outgoing.length > 0) await journal.flush();
      await invalidateAll();
    }
  }

  onMount(() => {
    journal.resume();
    timers.resume();
    const second = setInterval(() => (timers.now = now()), 1000);
    const tick = setInterval(() => document.visibilityState === 'visible' && void refresh(), 60_000);
    const online = () => void journal.flush();
    window.addEventListener('online', online);
    return () => {
      clearInterval(tick);
      clearInterval(second);
      window.removeEventListener('online', online);
    };
  });
</script>

<Shell household={data.household.name}>
  {#if data.household.demo}
    <TimeBar now={data.now} locale={data.household} />
  {/if}
  <TimerBar locale={data.household} />
  <FormSay />
  <AsideList now={data.now} locale={data.household} />
  {@render children()}
</Shell>
<UndoBar />
{#if journal.signedOut}
  <SignInAgain
    household={data.household.name}
    member={data.member.name}
    onsignedin={() => void invalidateAll()}
  />
{/if}
