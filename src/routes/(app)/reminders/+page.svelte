<script lang="ts">
  import { REMINDER_KIND_WORDS, reminderWords } from '$words/reminders.ts';
  import { dayAndTimeAlone } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const said = $derived(
    data.reminders.map((reminder) => ({
      ...reminder,
      // In the words of when it came: what was tomorrow then.
      words: reminderWords(reminder.body, reminder.toldAt, data.household, data.media)
    }))
  );
</script>

<svelte:head><title>What came · Brote</title></svelte:head>

<header class="page-head">
  <h1>What came</h1>
  <a class="bx--btn bx--btn--tertiary" href="/household/reminders">Where reminders go</a>
</header>
<ol>
  {#each said as { id, kind, toldAt, words } (id)}
    <li>
      <p class="small soft">
        {dayAndTimeAlone(toldAt, data.now, data.household)} · {REMINDER_KIND_WORDS[kind].name}
      </p>
      <h2><a href={words.path}>{words.title}</a></h2>
      <p>{words.summary}</p>
      <details class="unfold">
        <summary>Why this came</summary>
        {#each words.lines as line (line)}<p class="small">{line}</p>{/each}
        <p class="small">
          {words.why} <a href="/household/reminders">Turn “{REMINDER_KIND_WORDS[kind].name}” off</a> for any of
          your channels.
        </p>
      </details>
    </li>
  {:else}
    <li class="soft">Nothing yet. What is due at your rounds, soaks and harvest windows is told here.</li>
  {/each}
</ol>

<style>
  ol {
    list-style: none;
    margin: 1rem 0 0;
    padding: 0;
    max-width: 44rem;
  }
  li {
    padding: 1rem 0;
    border-top: 1.5px solid var(--ink-faint);
    display: grid;
    gap: 0.25rem;
  }
  h2 {
    font-size: 1.15rem;
  }
  h2 a {
    color: inherit;
  }
</style>
