<script lang="ts">
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import WeeksAhead from '$ui/ahead/WeeksAhead.svelte';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
</script>

<svelte:head><title>Ahead · Brote</title></svelte:head>

{#if data.small || page.hydrated}
  <WeeksAhead {data} />
{:else}
  <AheadTabs />
  <header class="page-head">
    <div>
      <h1>The weeks ahead</h1>
      <p class="soft">Working out the weeks ahead. This needs JavaScript in your browser.</p>
    </div>
  </header>
{/if}
