<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { useJournal, outgoingWords } from '$ui/state/journal.svelte.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  let { now, locale }: { now: number; locale: Locale } = $props();
  const journal = useJournal();
</script>

{#if journal.aside.length > 0}
  <section class="card stack" aria-labelledby="aside-title">
    <h2 id="aside-title">
      {t('app.oneThingWasNotTaken', { aside: journal.aside.length })}
    </h2>
    <ul>
      {#each journal.aside as one (one.event.id)}
        <li>
          <div>
            <strong>{outgoingWords(one)}</strong>
            <span class="small soft">{dayAndTime(one.event.at, now, locale)}</span><br />
            <span class="small">{one.say}</span>
          </div>
          <div class="row">
            <Button kind="tertiary" class="chip" on:click={() => void journal.again(one.event.id)}
              >{t('app.tryAgain')}</Button
            >
            {#if one.event.body.type !== 'noted'}
              <Button kind="tertiary" class="chip" on:click={() => void journal.asNote(one.event.id)}
                >{t('app.keepAsNote')}</Button
              >
            {/if}
            <Button kind="ghost" class="chip quiet" on:click={() => journal.drop(one.event.id)}
              >{t('app.drop')}<span class="visually-hidden">: {outgoingWords(one)}</span></Button
            >
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  section {
    border-left: 8px solid var(--window);
    margin-bottom: 1.25rem;
  }
  h2 {
    font-size: 1.05rem;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.9rem;
  }
  li {
    display: grid;
    gap: 0.4rem;
  }
</style>
