<script lang="ts">
  import { t } from '$messages/t.ts';
  import { isBenchStep, type Step, type StepKind } from '$core/steps/step.ts';
  import type { StepOn } from '$words/steps/amounts.ts';
  import { STEP_NAMES } from '$words/steps/names.ts';
  import { stepAmount } from '$words/steps/steps.ts';
  import { dayAndTime, dayWords } from '$words/time.ts';

  interface Props {
    steps: readonly Step[];
    on: StepOn;
  }
  let { steps, on }: Props = $props();

  const AFTER_CUT: readonly StepKind[] = ['wash', 'keep', 'clean'];
  function when({ body, from }: Step): string {
    if (AFTER_CUT.includes(body.kind)) return t('bench.afterCut');
    if (body.kind === 'water') return t('bench.fromAboutDay', { day: dayWords(from, on.now, on.locale) });
    return isBenchStep(body.kind)
      ? dayAndTime(from, on.now, on.locale)
      : t('bench.aboutDay', { day: dayWords(from, on.now, on.locale) });
  }
</script>

<ol>
  {#each steps as step (step.body.kind)}
    {@const { amount, more } = stepAmount(step.body, on)}
    <li>
      <strong>{STEP_NAMES[step.body.kind]}</strong>
      <span
        >{amount}{#if more}<span class="small soft more">{more}</span>{/if}</span
      >
      <span class="small soft when">{when(step)}</span>
    </li>
  {/each}
</ol>

<style>
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: grid;
    grid-template-columns: 5.5rem minmax(0, 1fr) 8.5rem;
    gap: 0.2rem 0.75rem;
    padding: 0.3rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  .more {
    margin-left: 0.4rem;
  }
  .when {
    text-align: right;
  }
  @media (max-width: 30rem) {
    li {
      grid-template-columns: 5rem minmax(0, 1fr);
    }
    .when {
      grid-column: 2;
      text-align: left;
    }
  }
</style>
