<script lang="ts">
  import type { Stop } from '$core/steps/walk.ts';
  import type { Moisture } from '$core/water/bucket.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';

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
  const feel = $derived(sown.filter(({ ask }) => ask.feel));
  const MOISTURES: readonly { moisture: Moisture; text: string }[] = [
    { moisture: 'dry', text: 'Dry' },
    { moisture: 'right', text: 'Right' },
    { moisture: 'wet', text: 'Wet' }
  ];
</script>

{#if sown.length > 0}
  <div
    class="row look"
    role="group"
    aria-label={feel.length > 0 ? `How damp is ${name}?` : `More of ${name}`}
  >
    {#if unsure}<strong class="small">Touch it first:</strong>{/if}
    {#each feel.length > 0 ? MOISTURES : [] as { moisture, text } (moisture)}
      <button
        class="chip quiet"
        onclick={() =>
          journal.recordAll(
            feel.map(({ projected }) => ({
              sowingId: projected.setup.id,
              body: { type: 'felt', moisture }
            })),
            `${name}: medium ${moisture}`
          )}>{text}</button
      >
    {/each}
    {#each sown as { projected: { setup, crop } } (setup.id)}
      <a class="closer" href="/tray/{setup.id}/look"
        >Look closer<span class={sown.length > 1 ? '' : 'visually-hidden'}>&nbsp;at {crop.name}</span></a
      >
    {/each}
  </div>
{/if}

<style>
  .closer {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    padding: 0 0.4rem;
  }
</style>
