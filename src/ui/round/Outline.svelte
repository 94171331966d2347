<script lang="ts">
  import { cropOf } from '$core/crops/library.ts';
  import type { Place } from '$core/clock/place.ts';
  import type { SowingRecord } from '$core/sowing/record.ts';

  /** Which trays stand where, for the moment before the page can follow them. */
  let { records, places }: { records: readonly SowingRecord[]; places: readonly Place[] } = $props();

  const shelves = $derived(
    places
      .map((place) => ({ place, here: records.filter(({ setup }) => setup.placeId === place.id) }))
      .filter(({ here }) => here.length > 0)
  );
</script>

{#each shelves as { place, here } (place.id)}
  <section aria-label={place.name} aria-busy="true">
    <p class="soft">{place.name}</p>
    {#each here as { setup } (setup.id)}
      <p class="tray">{cropOf(setup.cropKey).name} <span class="soft small">{setup.container.name}</span></p>
    {/each}
  </section>
{/each}

<style>
  section {
    margin-top: 1.75rem;
  }
  .tray {
    min-height: 10rem;
    font-size: 1.3rem;
    border-bottom: 1.5px solid var(--ink-faint);
  }
</style>
