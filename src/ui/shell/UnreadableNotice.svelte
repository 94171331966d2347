<script lang="ts">
  import { t } from '$messages/t.ts';
  import { unreadableWords } from '$words/unreadable.ts';

  interface Props {
    records: readonly { table: string; id: string; name: string | null; fault: string }[];
  }
  let { records }: Props = $props();
</script>

{#if records.length > 0}
  <section class="unreadable" role="status" aria-labelledby="unreadable-title">
    <h2 id="unreadable-title">
      {t('app.oneRecordCouldNotBe', { records: records.length })}
    </h2>
    <ul>
      {#each records as record (record.table + record.id)}<li>{unreadableWords(record)}</li>{/each}
    </ul>
    <p class="small">
      {t('app.everythingElseShownPlaceContainer')}
    </p>
  </section>
{/if}

<style>
  .unreadable {
    margin-bottom: 1rem;
    padding: 0.6rem 1rem;
    border-left: 8px solid var(--window);
    background: var(--paper-sunk);
    border-radius: 8px;
  }
  h2 {
    font-size: 1rem;
    margin: 0 0 0.25rem;
  }
  ul {
    margin: 0;
    padding-left: 1.1rem;
  }
  p {
    margin: 0.4rem 0 0;
  }
</style>
