<script lang="ts">
  import { unreadableWords } from '$words/unreadable.ts';

  interface Props {
    records: readonly { table: string; id: string; name: string | null; fault: string }[];
  }
  let { records }: Props = $props();
</script>

{#if records.length > 0}
  <section class="unreadable" role="status" aria-labelledby="unreadable-title">
    <h2 id="unreadable-title">
      {records.length === 1 ? 'One record could not be read' : `${records.length} records could not be read`}
    </h2>
    <ul>
      {#each records as record (record.table + record.id)}<li>{unreadableWords(record)}</li>{/each}
    </ul>
    <p class="small">
      Everything else is shown. A place, a container or a crop goes by usual values until you open it and save
      it again; anything else is left out. A backup brings the record back as it was.
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
