<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
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

  const names = $derived(new Map(crops.map(({ key, name }) => [key, cropName(name)])));
  const day = (at: number | null): string => (at === null ? '–' : dateAlone(at, locale));
  const gave = ({ lost, cutG }: PastSowing): string =>
    lost ? LOSS_WORDS[lost] : cutG === null ? '–' : mass(cutG, locale.units);
  const others = $derived(
    [
      past.list && past.list.orders.length > 1 && past.order === null
        ? t('household.chooseHowDatesWrittenFirst')
        : '',
      past.open > 0
        ? t('household.linesWaitsWaitNameCrop', { lines: linesWords(past.open), open: past.open })
        : '',
      past.list && past.list.leftOut > 0
        ? t('household.linesLeftOut', { lines: linesWords(past.list.leftOut) })
        : ''
    ].filter(Boolean)
  );
</script>

<h2>
  {past.good.length === 0
    ? t('household.nothingImportYet')
    : t('household.sowingsImport', { sowings: sowingsWords(past.good.length) })}
</h2>
{#each others as line (line)}<p>{line}</p>{/each}
{#if past.good.length > 0}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="scroll" role="region" aria-label={t('household.sowingsImport2')} tabindex="0">
    <table>
      <thead
        ><tr
          ><th scope="col">{t('household.line')}</th><th scope="col">{t('household.crop')}</th><th scope="col"
            >{t('household.sown')}</th
          ><th scope="col">{t('household.ready')}</th><th scope="col">{t('household.cut2')}</th><th
            scope="col"
            class="n">{t('household.seed')}</th
          ><th scope="col" class="n">{t('household.yield')}</th></tr
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
  {#if past.good.length > SHOWN}<p class="small soft">
      {t('household.goodMore', { good: past.good.length - SHOWN })}
    </p>{/if}
{/if}
{#if past.wrong.length > 0}
  <h3>{t('household.linesCantBeImported', { lines: linesWords(past.wrong.length) })}</h3>
  <ul class="small">
    {#each past.wrong.slice(0, SHOWN) as { line, problem } (line)}<li>
        {t('household.lineLineProblem', { line, problem: problemWords(problem) })}
      </li>{/each}
    {#if past.wrong.length > SHOWN}<li>
        {t('household.wrongMore', { wrong: past.wrong.length - SHOWN })}
      </li>{/if}
  </ul>
{/if}

<style>
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
