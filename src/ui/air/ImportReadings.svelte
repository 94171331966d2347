<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { problemWords } from '$words/problems.ts';
  import { Button, FileUploaderButton, TextArea } from 'carbon-components-svelte';
  import { READINGS_HEADER, readReadingsCsv } from '$core/places/air/csv.ts';
  import { checkReading } from '$core/places/air/reading.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import Rich from '$ui/shell/Rich.svelte';
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
        said = t('shelf.addedTakenSent', { added, sent });
        busy = false;
        return;
      }
      added += sent.added;
    }
    said = t('shelf.addedNewReadingReadingsTaken', {
      added,
      when: good.length > added ? 'yes' : 'no',
      good: good.length > added ? good.length - added : ''
    });
    if (bad.length === 0) text = '';
    busy = false;
    await reload('brote:place');
  }
</script>

<section aria-labelledby="import-title" class="stack">
  <h2 id="import-title">{t('shelf.bringFile')}</h2>
  <p class="small soft">
    <Rich parts={rich('shelf.readings.file.help', { columns: READINGS_HEADER })} />
  </p>
  <div>
    <FileUploaderButton
      kind="tertiary"
      size="field"
      labelText={t('shelf.chooseCsvFile')}
      accept={['.csv', '.txt', 'text/csv']}
      on:change={({ detail }) => void take(detail[0])}
    />
  </div>
  <TextArea labelText={t('shelf.orPasteHere')} bind:value={text} rows={3} />
  {#if read && !read.ok}<p class="warn" role="alert">{problemWords(read.problem)}</p>{/if}
  {#if read?.ok}
    <p>{t('shelf.goodReadingReadingsCanBe', { good: good.length, bad: bad.length })}</p>
    {#if bad.length > 0}
      <ul class="small">
        {#each bad.slice(0, SHOWN) as line (line.line)}<li>
            {t('shelf.lineLineProblem', { line: line.line, problem: problemWords(line.problem) })}
          </li>{/each}
        {#if bad.length > SHOWN}<li>{t('shelf.badMore', { bad: bad.length - SHOWN })}</li>{/if}
      </ul>
    {/if}
    <div>
      <Button kind="tertiary" disabled={good.length === 0 || busy} on:click={bring}
        >{t('shelf.takeGood', { good: good.length })}</Button
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
