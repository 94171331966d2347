<script lang="ts">
  import { t } from '$messages/t.ts';
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import WeeksAhead from '$ui/ahead/WeeksAhead.svelte';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
</script>

<svelte:head><title>{t('ahead.aheadBrote')}</title></svelte:head>

{#if data.small || page.hydrated}
  <WeeksAhead {data} />
{:else}
  <AheadTabs />
  <header class="page-head">
    <div>
      <h1>{t('ahead.weeksAhead')}</h1>
      <p class="soft">{t('ahead.workingOutWeeksAheadNeeds')}</p>
    </div>
  </header>
{/if}
