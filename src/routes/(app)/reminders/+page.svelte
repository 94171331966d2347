<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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

<svelte:head><title>{t('reminders.whatCameBrote')}</title></svelte:head>

<header class="page-head">
  <h1>{t('reminders.whatCame')}</h1>
  <a class="bx--btn bx--btn--tertiary" href="/household/reminders">{t('reminders.whereRemindersGo')}</a>
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
        <summary>{t('reminders.whyCame')}</summary>
        {#each words.lines as line (line)}<p class="small">{line}</p>{/each}
        <p class="small">
          <Rich
            parts={rich('reminders.whyLinkTurnNameOff', {
              why: words.why,
              name: REMINDER_KIND_WORDS[kind].name
            })}>{#snippet link(text: string)}<a href="/household/reminders">{text}</a>{/snippet}</Rich
          >
        </p>
      </details>
    </li>
  {:else}
    <li class="soft">{t('reminders.nothingYetWhatDueAt')}</li>
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
