<script lang="ts">
  import type { Answer } from '$core/diagnosis/causes.ts';
  import type { Units } from '$core/units/format.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { CAUSE_WORDS, evidenceWords, LOSS_OF_TRAY, SYMPTOM_WORDS } from '$words/looks.ts';

  interface Props {
    answer: Answer;
    units: Units;
    /** Takes the look back. */
    onundo: () => void;
  }
  let { answer, units, onundo }: Props = $props();
  const words = $derived(CAUSE_WORDS[answer.cause]);
  const because = $derived(answer.because.map((evidence) => evidenceWords(evidence, units)).join('; '));
</script>

<article class="card" aria-label="{SYMPTOM_WORDS[answer.sight]}: {words.is}">
  <p class="small soft">{SYMPTOM_WORDS[answer.sight]}</p>
  <h3>{words.is}</h3>
  <dl>
    {#if because}
      <dt>Why</dt>
      <dd>Because {because}.</dd>
    {/if}
    <dt>Now</dt>
    <dd>{words.now}</dd>
    <dt>Next time</dt>
    <dd>{words.next}</dd>
    <dt>Lost?</dt>
    <dd class:alarm={answer.loss === 'whole' || answer.loss === 'part'}>{LOSS_OF_TRAY[answer.loss]}</dd>
    {#if answer.others.length > 0}
      <dt>Or else</dt>
      <dd>
        {answer.others
          .map(
            ({ cause, chance }) => `${CAUSE_WORDS[cause].is.toLowerCase()} (${Math.round(chance * 100)} %)`
          )
          .join('; ')}
      </dd>
    {/if}
  </dl>
  {#if answer.cause === 'mould' || answer.sight === 'mould'}<Caution>{CAUTIONS.mould}</Caution>{/if}
  <button class="undo" onclick={onundo}>Take this look back</button>
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
  .alarm {
    color: var(--alarm);
    font-weight: 600;
  }
</style>
