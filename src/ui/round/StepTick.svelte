<script lang="ts">
  import type { StopStep } from '$core/steps/walk.ts';
  import type { KeptMedium } from '$core/supplies/media/medium.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { stepCaution } from '$words/cautions.ts';
  import { cardWords } from '$words/steps/steps.ts';
  import type { Locale } from '$words/time.ts';
  import TickFace from './TickFace.svelte';

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
    <TickFace
      title={named ? `${of}: ${words.title}` : words.title}
      why="{step.late ? 'Late. ' : ''}{words.why}"
      onclick={() => void journal.recordAll(records, `${of}: ${words.done}`)}
    />
  {:else}
    <TickFace
      title={named ? `${of}: ${words.title}` : words.title}
      why={words.why}
      href="/tray/{setup.id}/harvest"
    />
  {/if}
  {#if caution}<Caution>{caution}</Caution>{/if}
  {#if body.kind === 'soak'}
    <p class="small"><a href="/bench">All of tonight’s preparing on one sheet</a></p>
  {:else if body.kind === 'sow'}
    <p class="small"><a href="/bench">Step by step on the bench</a></p>
  {/if}
</div>
