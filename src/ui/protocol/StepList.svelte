<script lang="ts">
  import type { KeptMedium, MediumKind } from '$core/supplies/media/medium.ts';
  import type { Step } from '$core/steps/step.ts';
  import { STEP_NAMES } from '$words/stepNames.ts';
  import { stepWords } from '$words/steps.ts';
  import { dayWords, dayAndTime, type Reading } from '$words/time.ts';
  import { isBenchStep } from '$core/steps/step.ts';

  interface Props {
    steps: readonly Step[];
    now: number;
    reading: Reading;
    on: { kind: MediumKind; own: KeptMedium | null };
  }
  let { steps, now, reading, on }: Props = $props();
</script>

<ol>
  {#each steps as step (step.body.kind)}
    {@const { amount, more } = stepWords(step.body, now, reading, on)}
    <li>
      <strong>{STEP_NAMES[step.body.kind]}</strong>
      <span
        >{amount}{#if more}<span class="small soft more">{more}</span>{/if}</span
      >
      <span class="small soft when"
        >{isBenchStep(step.body.kind)
          ? dayAndTime(step.from, now, reading)
          : `about ${dayWords(step.from, now, reading)}`}</span
      >
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
