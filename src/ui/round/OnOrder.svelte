<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { rich } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { onMount } from 'svelte';
  import { ask } from '$ui/state/ask.ts';

  /** What standing orders ask to begin before the next round: asked for apart, so that the round need not wait for it. */
  let due = $state<{ key: string; crop: string; container: string }[]>([]);
  onMount(async () => {
    const answer = await ask('/api/ahead/due');
    if (answer?.ok) ({ due } = (await answer.json()) as { due: typeof due });
  });
</script>

{#each due as { key, crop, container } (key)}
  <p class="order">
    <Rich parts={rich('round.onStandingOrderStrongCrop', { crop: cropName(crop), container })}
      >{#snippet link(text: string)}<a class="chip" href="/ahead?chosen={encodeURIComponent(key)}">{text}</a
        >{/snippet}</Rich
    >
  </p>
{/each}

<style>
  .order {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 0.75rem;
    align-items: center;
    margin: 0.5rem 0 0;
  }
</style>
