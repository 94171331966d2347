<script lang="ts">
  import type { Crop } from '$core/crops/crop.ts';
  import type { PastSowing } from '$core/notebook/past/pastSowing.ts';
  import { mass, seedMass } from '$core/units/format.ts';
  import { LOSS_WORDS } from '$words/events.ts';
  import { linesWords, sowingsWords } from '$words/past.ts';
  import { problemWords } from '$words/problems.ts';
  import { dateAlone, type Locale } from '$words/time.ts';
  import type { PastImport } from './pastImport.svelte.ts';

  let { past, crops, locale }: { past: PastImport; crops: readonly Crop[]; locale: Locale } = $props();
  const SHOWN = 8;

  const names = $derived(new Map(crops.map(({ key, name }) => [key, name])));
  const day = (at: number | null): string => (at === null ? '–' : dateAlone(at, locale));
  const gave = ({ lost, cutG }: PastSowing): string =>
    lost ? LOSS_WORDS[lost] : cutG === null ? '–' : mass(cutG, locale.units);
  const others = $derived(
    [
      past.list && past.list.orders.length > 1 && past.order === null
        ? 'Choose how dates are written first.'
        : '',
      past.open > 0
        ? `${linesWords(past.open)} ${past.open === 1 ? 'waits' : 'wait'} for the name of the crop.`
        : '',
      past.list && past.list.leftOut > 0 ? `${linesWords(past.list.leftOut)} left out.` : ''
    ].filter(Boolean)
  );
</script>

<h2>
  {past.good.length === 0 ? 'Nothing to import yet' : `${sowingsWords(past.good.length)} to import`}
</h2>
{#each others as line (line)}<p>{line}</p>{/each}
{#if past.good.length > 0}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="scroll" role="region" aria-label="Sowings to import" tabindex="0">
    <table>
      <thead
        ><tr
          ><th scope="col">Line</th><th scope="col">Crop</th><th scope="col">Sown</th><th scope="col"
            >Ready</th
          ><th scope="col">Cut</th><th scope="col" class="n">Seed</th><th scope="col" class="n">Yield</th></tr
        ></thead
      >
      <tbody>
        {#each past.good.slice(0, SHOWN) as { line, past: one } (line)}
          <tr
            ><td>{line}</td><th scope="row">{names.get(one.cropKey) ?? one.cropKey}</th><td
              >{day(one.sownAt)}</td
            ><td>{day(one.openedAt)}</td><td>{day(one.cutAt)}</td><td class="n"
              >{one.seedG === null ? '–' : seedMass(one.seedG, locale.units)}</td
            ><td class="n">{gave(one)}</td></tr
          >
        {/each}
      </tbody>
    </table>
  </div>
  {#if past.good.length > SHOWN}<p class="small soft">and {past.good.length - SHOWN} more</p>{/if}
{/if}
{#if past.wrong.length > 0}
  <h3>{linesWords(past.wrong.length)} can’t be imported</h3>
  <ul class="small">
    {#each past.wrong.slice(0, SHOWN) as { line, problem } (line)}<li>
        Line {line}: {problemWords(problem)}
      </li>{/each}
    {#if past.wrong.length > SHOWN}<li>and {past.wrong.length - SHOWN} more</li>{/if}
  </ul>
{/if}

<style>
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
  }
  th,
  td {
    text-align: left;
    font-weight: 400;
    padding: 0.3rem 1.25rem 0.3rem 0;
    border-bottom: 1px solid var(--ink-faint);
    white-space: nowrap;
  }
  .n {
    text-align: right;
  }
  ul {
    margin: 0;
    padding-left: 1.2rem;
  }
</style>
