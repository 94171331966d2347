<script lang="ts">
  import { t } from '$messages/t.ts';
  import { untrack } from 'svelte';
  import { differences, type Difference } from '$core/steps/differences.ts';
  import type { Step } from '$core/steps/step.ts';
  import type { StepOn } from '$words/steps/amounts.ts';
  import { STEP_NAMES } from '$words/steps/names.ts';
  import { stepAmount } from '$words/steps/steps.ts';
  import { dayAndTime } from '$words/time.ts';

  interface Props {
    steps: readonly Step[];
    on: StepOn;
    /** What stands chosen now, by what it is called, to be told where it was changed. */
    chosen: Readonly<Record<string, string>>;
  }
  let { steps, on, chosen }: Props = $props();

  /** The last choice, and what follows from it: kept until the next one changes something else. */
  let before: { steps: readonly Step[]; chosen: Readonly<Record<string, string>> } = {
    steps: [],
    chosen: {}
  };
  let choices = $state.raw<string[]>([]);
  let changes = $state.raw<Difference[]>([]);
  $effect(() => {
    const after = { steps, chosen };
    untrack(() => {
      if (after.steps.length === 0) return;
      const made = Object.keys(after.chosen).filter(
        (name) => before.chosen[name] !== undefined && before.chosen[name] !== after.chosen[name]
      );
      const found = before.steps.length > 0 ? differences(before.steps, after.steps) : [];
      if (made.length > 0 || found.length > 0) {
        // Its answers come with a method, and are told by what they change.
        const told = made.includes(t('bench.method')) ? [t('bench.method')] : made;
        choices = told.map((name) => `${name}: ${after.chosen[name]}`);
        changes = found;
      }
      before = after;
    });
  });

  function words({ change, before: was, after: is }: Difference): string {
    const { now, locale } = on;
    const text = (step: Step) => {
      const { amount, more } = stepAmount(step.body, on);
      return more ? `${amount}, ${more}` : amount;
    };
    if (change === 'added') return t('bench.newText', { text: text(is!) });
    if (change === 'left-out') return t('bench.leftOut');
    if (change === 'time')
      return `${dayAndTime(was!.from, now, locale)} → ${dayAndTime(is!.from, now, locale)}`;
    const [old, next] = [stepAmount(was!.body, on), stepAmount(is!.body, on)];
    return old.amount === next.amount ? next.more : `${old.amount} → ${next.amount}`;
  }
  /** A shift of the whole is said once, not step by step. */
  const shown = $derived(changes.filter((one) => one.change !== 'time' && words(one) !== ''));
  const moved = $derived(changes.filter(({ change }) => change === 'time'));
</script>

<div aria-live="polite">
  {#if choices.length > 0 || changes.length > 0}
    <section class="changes small">
      {#if choices.length > 0}
        <h3>{t('bench.youChose')}</h3>
        <p>{choices.join('; ')}</p>
      {/if}
      <h3>{t('bench.whatChanged')}</h3>
      <ul>
        {#each shown as difference (difference.kind)}
          <li><strong>{STEP_NAMES[difference.kind]}</strong> {words(difference)}</li>
        {/each}
        {#each moved.slice(0, 3) as difference (difference.kind)}
          <li><strong>{STEP_NAMES[difference.kind]}</strong> {words(difference)}</li>
        {/each}
        {#if moved.length > 3}<li class="soft">
            {t('bench.movedMoreStepsMoveWith', { moved: moved.length - 3 })}
          </li>{/if}
        {#if shown.length + moved.length === 0}<li>{t('bench.nothingSteps')}</li>{/if}
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
