<script lang="ts">
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { onMount, untrack, type Snippet } from 'svelte';
  import { afterNavigate } from '$app/navigation';
  import AsideList from '$ui/shell/AsideList.svelte';
  import Keys from '$ui/keys/Keys.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import Shell from '$ui/shell/Shell.svelte';
  import TimeBar from '$ui/shell/TimeBar.svelte';
  import UnreadableNotice from '$ui/shell/UnreadableNotice.svelte';
  import UndoBar from '$ui/shell/UndoBar.svelte';
  import TimerBar from '$ui/timers/TimerBar.svelte';
  import { ask } from '$ui/state/ask.ts';
  import { HouseholdClock } from '$ui/state/householdClock.ts';
  import { showNotices } from '$ui/state/openNotices.ts';
  import { dayAndTime } from '$words/time.ts';
  import { Timers, provideTimers } from '$ui/state/timers.svelte.ts';
  import { Journal, provideJournal } from '$ui/state/journal.svelte.ts';
  import type { LayoutData } from './$types';

  let { data, children }: { data: LayoutData; children: Snippet } = $props();

  // The household's clock runs on from what the server said, whatever this device's own clock shows. A page that was kept
  // from before says since when; what was loaded earlier than this page's clock stands moves it not back.
  const clock = new HouseholdClock(untrack(() => data.now));
  $effect(() => clock.heard(data.now));
  const now = () => clock.now();
  const journal = provideJournal(
    untrack(() => new Journal(`brote.journal.${data.household.id}`, data.member.id, now))
  );

  const timers = provideTimers(untrack(() => new Timers(journal, `brote.quieted.${data.household.id}`)));
  // Whatever was touched, here or by others, may have begun or ended a timer.
  $effect(() => {
    void data.now;
    timers.now = now();
    void timers.refresh();
  });

  /** Something was on its way to the server while this view was loaded: the notebook, say, knows nothing of it yet. */
  let behind = $state(false);
  afterNavigate(() => {
    behind = journal.outgoing.length > 0;
  });
  $effect(() => {
    if (!behind || journal.outgoing.length > 0) return;
    behind = false;
    void reload();
  });

  /** Up to when this page has shown what came. */
  let noticed = untrack(() => data.now);
  /** No answer came: what is shown is from before. */
  let keptSince = $state<number | null>(null);

  /** Keeps an open page up to date; a session that ran out asks over the page instead of leaving it. */
  async function refresh() {
    const answer = await ask('/api/ping');
    if (answer === null) return withoutNetwork();
    keptSince = null;
    if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) {
      journal.patches.atLeast = -Infinity;
      clock.set(Number(await answer.text()));
      // It was away, and is back.
      if (journal.outgoing.length > 0) await journal.flush();
      await reload();
      noticed = await showNotices(noticed);
    }
  }

  /** The round goes on by the clock, on what was loaded last. */
  function withoutNetwork() {
    keptSince ??= clock.told;
    journal.patches.atLeast = now();
  }

  onMount(() => {
    if (clock.startKept()) withoutNetwork();
    void journal.resume().then((sent) => (sent ? reload() : undefined));
    timers.resume();
    // No worker controls the first visit, and an update drops the copies: ask again when one takes control.
    const makeReady = () => navigator.serviceWorker?.controller?.postMessage('make-ready');
    makeReady();
    navigator.serviceWorker?.addEventListener('controllerchange', makeReady);
    const second = setInterval(() => (timers.now = now()), 1000);
    const tick = setInterval(() => document.visibilityState === 'visible' && void refresh(), 60_000);
    const online = () => void refresh();
    const offline = () => withoutNetwork();
    window.addEventListener('online', online);
    window.addEventListener('offline', offline);
    return () => {
      clearInterval(tick);
      clearInterval(second);
      navigator.serviceWorker?.removeEventListener('controllerchange', makeReady);
      window.removeEventListener('online', online);
      window.removeEventListener('offline', offline);
    };
  });
</script>

<Shell household={data.household.name}>
  {#if data.household.demo}
    <TimeBar now={data.now} locale={data.household} />
  {/if}
  {#if keptSince !== null}
    <p class="kept" role="status">
      {t('app.noNetworkAsWasLoaded', { dayAndTime: dayAndTime(keptSince, now(), data.household) })}
    </p>
  {/if}
  <TimerBar locale={data.household} />
  <FormSay />
  <UnreadableNotice records={data.unreadable} />
  <AsideList now={data.now} locale={data.household} />
  {@render children()}
</Shell>
<Keys />
<UndoBar now={data.now} locale={data.household} />
{#if journal.signedOut}
  {#await import('$ui/shell/SignInAgain.svelte') then { default: SignInAgain }}
    <SignInAgain household={data.household.name} member={data.member.name} onsignedin={() => void reload()} />
  {/await}
{/if}

<style>
  .kept {
    margin-bottom: 1rem;
    padding: 0.6rem 1rem;
    border-left: 8px solid var(--window);
    background: var(--paper-sunk);
    border-radius: 8px;
  }
</style>
