<script lang="ts">
  import { percent } from '$words/percent.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Answer } from '$core/diagnosis/answer.ts';
  import type { Units } from '$core/units/format.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import {
    CAUSE_WORDS,
    CHECK_WORDS,
    evidenceWords,
    LOSS_OF_TRAY,
    symptomWords,
    UNEXPLAINED
  } from '$words/looks.ts';

  interface Props {
    answer: Answer;
    crop: Crop;
    units: Units;
    /** Takes the look back. */
    onundo: () => void;
  }
  let { answer, crop, units, onundo }: Props = $props();
  const words = $derived(answer.cause ? CAUSE_WORDS[answer.cause] : { ...UNEXPLAINED, next: '' });
  const sight = $derived(symptomWords(answer.sight, crop));
  const because = $derived(answer.because.map((evidence) => evidenceWords(evidence, units)).join('; '));
</script>

<article class="card" aria-label="{sight}: {words.is}">
  <p class="small soft">{sight}</p>
  <h3>{words.is}</h3>
  <dl>
    {#if because}
      <dt>{t('tray.why')}</dt>
      <dd>{t('tray.becauseBecause', { because })}</dd>
    {/if}
    {#if answer.checks.length > 0}
      <dt>{t('tray.check')}</dt>
      <dd>
        <ul>
          {#each answer.checks as check (check)}<li>{CHECK_WORDS[check]}</li>{/each}
        </ul>
      </dd>
    {/if}
    <dt>{t('tray.now')}</dt>
    <dd>{words.now}</dd>
    {#if words.next}
      <dt>{t('tray.nextTime')}</dt>
      <dd>{words.next}</dd>
    {/if}
    {#if answer.loss}
      <dt>{t('tray.lost')}</dt>
      <dd class:alarm={answer.loss === 'whole' || answer.loss === 'part'}>{LOSS_OF_TRAY[answer.loss]}</dd>
    {/if}
    {#if answer.others.length > 0}
      <dt>{t('tray.orElse')}</dt>
      <dd>
        {answer.others
          .map(({ cause, chance }) =>
            t('tray.otherCause', { cause: CAUSE_WORDS[cause].is, chance: percent(chance) })
          )
          .join('; ')}
      </dd>
    {/if}
  </dl>
  {#if answer.cause === 'mould' || answer.sight === 'mould'}<Caution>{CAUTIONS.mould}</Caution>{/if}
  <Button kind="ghost" class="undo" on:click={onundo}>{t('tray.takeLookBack')}</Button>
</article>

<style>
  h3 {
    font-size: 1.2rem;
  }
  dl {
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    gap: 0.3rem 1rem;
    margin: 0.6rem 0 0;
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    margin: 0;
  }
  ul {
    margin: 0;
    padding-left: 1.1rem;
  }
  .alarm {
    color: var(--alarm);
    font-weight: 600;
  }
</style>
