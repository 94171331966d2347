<script lang="ts">
  import { reload } from '$ui/state/reload.ts';
  import { problemWords } from '$words/problems.ts';
  import { Button, FileUploaderButton, TextArea } from 'carbon-components-svelte';
  import { readReadingsCsv } from '$core/places/air/csv.ts';
  import { checkReading } from '$core/places/air/reading.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { decodeText } from '../data/decode.ts';
  import { sendReadings } from './sendReadings.ts';

  let { placeId, zone, now }: { placeId: string; zone: string; now: number } = $props();
  const AT_ONCE = 4000;
  const SHOWN = 5;
  let text = $state('');
  let said = $state('');
  let busy = $state(false);
  const read = $derived(text.trim() === '' ? null : readReadingsCsv(text, zoneOf(zone)));
  const lines = $derived(
    read?.ok
      ? read.lines.map((line) => {
          if (!line.ok) return line;
          const checked = checkReading(line.reading, now);
          return checked.ok ? line : { line: line.line, ok: false as const, problem: checked.problem };
        })
      : []
  );
  const good = $derived(lines.flatMap((line) => (line.ok ? [line.reading] : [])));
  const bad = $derived(lines.flatMap((line) => (line.ok ? [] : [line])));

  async function take(file: File | undefined) {
    if (file) text = decodeText(new Uint8Array(await file.arrayBuffer()));
  }
  async function bring() {
    busy = true;
    said = '';
    let added = 0;
    for (let from = 0; from < good.length; from += AT_ONCE) {
      const sent = await sendReadings(placeId, 'file', good.slice(from, from + AT_ONCE));
      if (typeof sent === 'string') {
        said = `${added} taken. ${sent}`;
        busy = false;
        return;
      }
      added += sent.added;
    }
    said = `${added} new ${added === 1 ? 'reading' : 'readings'} taken${good.length > added ? `; ${good.length - added} were known already` : ''}.`;
    if (bad.length === 0) text = '';
    busy = false;
    await reload('brote:place');
  }
</script>

<section aria-labelledby="import-title" class="stack">
  <h2 id="import-title">Bring in a file</h2>
  <p class="small soft">
    CSV with a first line that names its columns, such as <code>time,temperature,humidity</code>. The day and
    its time may stand in two columns. °F is read where the heading says °F; times without a zone are yours.
  </p>
  <div>
    <FileUploaderButton
      kind="tertiary"
      size="field"
      labelText="Choose a CSV file"
      accept={['.csv', '.txt', 'text/csv']}
      on:change={({ detail }) => void take(detail[0])}
    />
  </div>
  <TextArea labelText="Or paste it here" bind:value={text} rows={3} />
  {#if read && !read.ok}<p class="warn" role="alert">{problemWords(read.problem)}</p>{/if}
  {#if read?.ok}
    <p>{good.length} {good.length === 1 ? 'reading' : 'readings'} can be taken, {bad.length} cannot.</p>
    {#if bad.length > 0}
      <ul class="small">
        {#each bad.slice(0, SHOWN) as line (line.line)}<li>
            Line {line.line}: {problemWords(line.problem)}
          </li>{/each}
        {#if bad.length > SHOWN}<li>and {bad.length - SHOWN} more</li>{/if}
      </ul>
    {/if}
    <div>
      <Button kind="tertiary" disabled={good.length === 0 || busy} on:click={bring}>Take {good.length}</Button
      >
    </div>
  {/if}
  {#if said}<p role="status">{said}</p>{/if}
</section>

<style>
  ul {
    margin: 0;
    padding-left: 1.2rem;
  }
</style>
