<script lang="ts">
  import { t } from '$messages/t.ts';
  import { oneStop } from '$ui/fields/oneStop.ts';
  import type { Stop } from '$core/steps/walk.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { MOISTURE_WORDS } from '$words/moisture.ts';

  /** How damp the medium of a container is, of both its halves at once. */
  interface Props {
    stop: Stop;
    name: string;
    unsure?: boolean;
  }
  let { stop, name, unsure = false }: Props = $props();
  const journal = useJournal();
  const sown = $derived(
    stop.parts.filter(({ projected: { state } }) => state.sownAt !== null && state.stage !== 'ended')
  );
  const feel = $derived(sown.filter(({ ask }) => ask.feel.length > 0));
  /** The step that waters it asks for that itself. */
  const asksStanding = $derived(stop.steps.some(({ of }) => of.some(({ ifStood }) => ifStood !== null)));
  const chips = $derived(
    (feel[0]?.ask.feel ?? []).filter((moisture) => moisture !== 'standing' || !asksStanding)
  );
</script>

{#if chips.length > 0}
  <div
    class="row look feel"
    role="toolbar"
    tabindex="-1"
    use:oneStop
    aria-label={t('round.howDampName', { name })}
  >
    {#if unsure}<strong class="small">{t('round.touchFirst')}</strong>{/if}
    {#each chips as moisture (moisture)}
      <button
        class="chip quiet"
        data-key={moisture}
        onclick={() =>
          journal.recordAll(
            feel.map(({ projected }) => ({
              sowingId: projected.setup.id,
              body: { type: 'felt', moisture }
            })),
            `${name}: ${MOISTURE_WORDS[moisture].told}`
          )}>{MOISTURE_WORDS[moisture].chip}</button
      >
    {/each}
  </div>
{/if}

<style>
  .feel {
    gap: 0.35rem;
  }
  .feel > strong {
    margin-inline-end: 0.25rem;
  }
  /* In one line with what may be felt. */
  @media (max-width: 47.99rem) {
    .feel .chip {
      padding-inline: 0.75rem;
    }
  }
</style>
