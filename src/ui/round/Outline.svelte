<script lang="ts">
  import type { Crop } from '$core/crops/crop.ts';
  import { cropOfSowing } from '$core/sowing/sowing.ts';
  import type { Place } from '$core/places/place.ts';
  import { DAY } from '$core/time/zone.ts';
  import type { SowingRecord } from '$core/sowing/record.ts';

  /** Which trays stand where, for the moment before the page can follow them. */
  interface Props {
    records: readonly SowingRecord[];
    places: readonly Place[];
    ownCrops: readonly Crop[];
    now: number;
  }
  let { records, places, ownCrops, now }: Props = $props();
  const own = $derived(new Map(ownCrops.map((crop) => [crop.key, crop])));

  /** What is planned for later days is one line on the round. */
  const soon = $derived(records.filter(({ setup, log }) => log !== '[]' || setup.sowAt < now + 2 * DAY));
  const shelves = $derived(
    places
      .map((place) => ({ place, here: soon.filter(({ setup }) => setup.placeId === place.id) }))
      .filter(({ here }) => here.length > 0)
  );
</script>

{#each shelves as { place, here } (place.id)}
  <section aria-label={place.name} aria-busy="true">
    <p class="soft">{place.name}</p>
    {#each here as { setup } (setup.id)}
      <p class="tray">
        {cropOfSowing(setup, own).name} <span class="soft small">{setup.container.name}</span>
      </p>
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
