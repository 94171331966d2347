<script lang="ts">
  import type { StopStep } from '$core/steps/walk.ts';
  import type { KeptMedium } from '$core/supplies/media/medium.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { stepCaution } from '$words/cautions.ts';
  import { cardWords } from '$words/steps/steps.ts';
  import type { Locale } from '$words/time.ts';
  import Cut from 'carbon-icons-svelte/lib/Cut.svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';

  interface Props {
    step: StopStep;
    /** What it is done to, for the undo line. */
    of: string;
    /** One of two halves: its crop is named. */
    named: boolean;
    now: number;
    locale: Locale;
    media: readonly KeptMedium[];
  }
  let { step, of, named, now, locale, media }: Props = $props();
  const journal = useJournal();

  const { body } = $derived(step);
  const { setup } = $derived(step.of[0]!.projected);
  const own = $derived(media.find(({ id }) => id === setup.mediumId) ?? null);
  const words = $derived(
    cardWords(step, { now, locale, containers: setup.count, medium: { kind: setup.medium, own } })
  );
  const records = $derived(
    step.of.flatMap(({ projected, records, key }) =>
      records ? [{ sowingId: projected.setup.id, body: records, taskKey: key }] : []
    )
  );
  const caution = $derived(stepCaution(body));
</script>

<div class="task">
  {#if records.length > 0}
    <button class="tick" onclick={() => journal.recordAll(records, `${of}: ${words.done}`)}>
      <span class="box" aria-hidden="true"><Checkmark size={24} /></span>
      <span
        ><strong>{named ? `${of}: ` : ''}{words.title}</strong><span class="why small"
          >{step.late ? 'Late. ' : ''}{words.why}</span
        ></span
      >
    </button>
  {:else}
    <a class="tick" href="/tray/{setup.id}/harvest">
      <span class="box cut" aria-hidden="true"><Cut size={24} /></span>
      <span
        ><strong>{named ? `${of}: ` : ''}{words.title}</strong><span class="why small">{words.why}</span
        ></span
      >
    </a>
  {/if}
  {#if caution}<Caution>{caution}</Caution>{/if}
  {#if body.kind === 'soak'}
    <p class="small"><a href="/bench">All of tonight’s preparing on one sheet</a></p>
  {:else if body.kind === 'sow'}
    <p class="small"><a href="/bench">Step by step on the bench</a></p>
  {/if}
</div>

<style>
  .tick {
    display: flex;
    width: 100%;
    align-items: center;
    gap: 0.9rem;
    text-align: left;
    padding: 0.6rem 0.8rem;
    border: 1.5px solid var(--beet);
    border-radius: 10px;
    background: var(--paper-raised);
    color: var(--ink);
    font: inherit;
    text-decoration: none;
    cursor: pointer;
    box-sizing: border-box;
  }
  .tick:hover {
    background: var(--beet-soft);
  }
  .box {
    flex: none;
    display: grid;
    place-items: center;
    width: 2.75rem;
    height: 2.75rem;
    border-radius: 8px;
    background: var(--beet);
    color: var(--on-beet);
    font-size: 1.3rem;
  }
  .box.cut {
    background: var(--window);
    color: #2a2521;
  }
  .tick strong {
    display: block;
    font-weight: 620;
  }
  .why {
    display: block;
    color: var(--ink-soft);
  }
</style>
