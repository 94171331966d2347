<script lang="ts">
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { Button, FileUploaderButton } from 'carbon-components-svelte';
  import { ask } from '$ui/state/ask.ts';

  /** What the server said of a package. */
  interface Said {
    tables?: { name: string; added: number; known: number }[];
    settings?: boolean;
    message?: string;
    rows?: { file: string; line: number; say: string }[];
  }
  let file = $state<File | null>(null);
  let busy = $state(false);
  let said = $state<Said | null>(null);
  const added = $derived((said?.tables ?? []).reduce((sum, table) => sum + table.added, 0));
  const known = $derived((said?.tables ?? []).reduce((sum, table) => sum + table.known, 0));
  const of = (name: string): number => said?.tables?.find((table) => table.name === name)?.added ?? 0;

  async function bring() {
    if (!file) return;
    busy = true;
    const answer = await ask('/api/data/import', {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: file
    });
    busy = false;
    said = answer
      ? ((await answer.json().catch(() => ({ message: t('household.broteCouldNotTakeTry') }))) as Said)
      : { message: t('household.noConnectionNothingWasTaken') };
    if (answer?.ok) await reload();
  }
</script>

<section class="stack" aria-labelledby="bring">
  <h2 id="bring">{t('household.bringPackage')}</h2>
  <p class="small soft">
    {t('household.whatHereStaysAsWhat')}
  </p>
  <div>
    <FileUploaderButton
      kind="tertiary"
      size="field"
      labelText={t('household.choosePackageBrote')}
      accept={['.zip', 'application/zip']}
      on:change={({ detail }) => {
        file = detail[0] ?? null;
        said = null;
      }}
    />
  </div>
  <div>
    <Button kind="tertiary" disabled={!file || busy} on:click={bring}
      >{busy ? t('household.taking') : t('household.take')}</Button
    >
  </div>
  {#if said?.tables}
    <p role="status">
      {added === 0
        ? t('household.everythingWasHereAlready')
        : t('household.takenSowingsWithEntriesTheir', {
            of: of('sowings'),
            of2: of('events'),
            of3: of('readings'),
            added: added - of('sowings') - of('events') - of('readings')
          })}
      {known > 0 && added > 0 ? t('household.knownWereHereAlready', { known }) : ''}
      {said.settings ? t('household.settingsWereTakenOverAs') : ''}
    </p>
  {:else if said}
    <div role="alert" class="alarm">
      <p>{said.message}</p>
      {#if said.rows}
        <ul>
          {#each said.rows.slice(0, 8) as row, index (index)}<li>
              {t('household.fileLineLineSay', { file: row.file, line: row.line, say: row.say })}
            </li>{/each}
          {#if said.rows.length > 8}<li>{t('household.more')}</li>{/if}
        </ul>
      {/if}
    </div>
  {/if}
</section>

<style>
  .alarm {
    color: var(--alarm);
    background: var(--alarm-soft);
    padding: 0.75rem 1rem;
    border-radius: 8px;
  }
  ul {
    margin: 0.4rem 0 0;
    padding-left: 1.2rem;
  }
</style>
