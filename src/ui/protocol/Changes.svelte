<script lang="ts">
  import { untrack } from 'svelte';
  import type { KeptMedium, MediumKind } from '$core/supplies/media/medium.ts';
  import { differences, type Difference } from '$core/steps/differences.ts';
  import type { Step } from '$core/steps/step.ts';
  import { STEP_NAMES } from '$words/stepNames.ts';
  import { stepWords } from '$words/steps.ts';
  import { dayAndTime, type Reading } from '$words/time.ts';

  interface Props {
    steps: readonly Step[];
    now: number;
    reading: Reading;
    on: { kind: MediumKind; own: KeptMedium | null };
  }
  let { steps, now, reading, on }: Props = $props();

  /** What the last choice changed: kept until the next one changes something else. */
  let before: readonly Step[] = [];
  let changes = $state.raw<Difference[]>([]);
  $effect(() => {
    const after = steps;
    untrack(() => {
      const found = before.length > 0 && after.length > 0 ? differences(before, after) : [];
      if (found.length > 0) changes = found;
      if (after.length > 0) before = after;
    });
  });

  function words({ change, before: was, after: is }: Difference): string {
    const text = (step: Step) => {
      const { amount, more } = stepWords(step.body, now, reading, on);
      return more ? `${amount}, ${more}` : amount;
    };
    if (change === 'added') return `new: ${text(is!)}`;
    if (change === 'left-out') return 'left out';
    if (change === 'time')
      return `${dayAndTime(was!.from, now, reading)} → ${dayAndTime(is!.from, now, reading)}`;
    const [old, next] = [stepWords(was!.body, now, reading, on), stepWords(is!.body, now, reading, on)];
    return old.amount === next.amount ? next.more : `${old.amount} → ${next.amount}`;
  }
  /** A shift of the whole is said once, not step by step. */
  const shown = $derived(changes.filter(({ change }) => change !== 'time'));
  const moved = $derived(changes.filter(({ change }) => change === 'time'));
</script>

<div aria-live="polite">
  {#if changes.length > 0}
    <section class="changes small">
      <h3>What that changed</h3>
      <ul>
        {#each shown as difference (difference.kind)}
          <li><strong>{STEP_NAMES[difference.kind]}</strong> {words(difference)}</li>
        {/each}
        {#each moved.slice(0, 3) as difference (difference.kind)}
          <li><strong>{STEP_NAMES[difference.kind]}</strong> {words(difference)}</li>
        {/each}
        {#if moved.length > 3}<li class="soft">
            and {moved.length - 3} more steps move with {moved.length - 3 === 1 ? 'it' : 'them'}
          </li>{/if}
      </ul>
    </section>
  {/if}
</div>

<style>
  .changes {
    padding: 0.6rem 0.9rem;
    border-left: 5px solid var(--beet);
    background: var(--beet-soft);
    border-radius: 0 8px 8px 0;
  }
  h3 {
    font-size: 1rem;
  }
  ul {
    margin: 0.25rem 0 0;
    padding: 0;
    list-style: none;
  }
</style>
