<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { clockChangedWords, type Locale } from '$words/time.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';

  let { now, locale }: { now: number; locale: Locale } = $props();
  const journal = useJournal();
  const waiting = $derived(journal.waiting ? journal.outgoing.length : 0);
</script>

<!-- Busy until the server has answered and the page shows it: what was done is then told once. -->
<div class="bar" aria-live="polite" aria-busy={journal.outgoing.length > waiting}>
  {#if journal.refused}
    <div class="line alarm">
      <span>{journal.refused}</span><Button
        kind="tertiary"
        class="chip"
        on:click={() => (journal.refused = null)}>{t('app.close')}</Button
      >
    </div>
  {:else if waiting > 0}
    <div class="line alarm">
      <span
        >{t('app.noConnectionBroteCannotSave', {
          when: journal.waiting === 'offline' ? 'yes' : 'no',
          waiting
        })}</span
      >
      <Button kind="tertiary" class="chip" on:click={() => journal.flush()}>{t('app.tryNow')}</Button>
    </div>
  {:else if journal.planned}
    <div class="line">
      <span>{journal.planned.words}</span>
      <a href={journal.planned.href} onclick={() => (journal.planned = null)}>{t('sow.openTray')}</a>
      <Button kind="tertiary" class="chip" on:click={() => (journal.planned = null)}>{t('app.close')}</Button>
    </div>
  {:else if journal.last}
    {@const last = journal.last}
    <div class="line">
      <span
        >{last.words}{#if journal.correctedTo !== null}<br />{clockChangedWords(
            journal.correctedTo,
            now,
            locale
          )}{/if}</span
      ><Button kind="tertiary" class="chip" data-key="undo" on:click={() => journal.undoAll(last.events)}
        >{t('app.undo')}</Button
      >
    </div>
  {/if}
</div>

<style>
  .bar {
    position: fixed;
    z-index: 9;
    left: 0;
    right: 0;
    bottom: 0.9rem;
    display: flex;
    justify-content: center;
    pointer-events: none;
    padding: 0 0.75rem;
  }
  .line {
    pointer-events: auto;
    display: flex;
    align-items: center;
    gap: 1rem;
    padding: 0.4rem 0.5rem 0.4rem 1.1rem;
    border-radius: 12px;
    background: var(--ink);
    color: var(--paper);
    box-shadow: 0 4px 18px rgb(0 0 0 / 25%);
  }
  .line a {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    color: inherit;
  }
  .line :global(button) {
    flex: none;
  }
  .alarm {
    border-left: 8px solid var(--window);
  }
  @media (max-width: 47.99rem) {
    .bar {
      bottom: calc(4.6rem + env(safe-area-inset-bottom));
    }
  }
</style>
