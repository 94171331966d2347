<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { shortagesOf, standsOf, type Stand } from '$core/ahead/room.ts';
  import type { Place } from '$core/places/place.ts';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { standingOf } from '$core/sowing/standing.ts';
  import type { ContainerStock } from '$core/supplies/containers/container.ts';
  import { ofSize } from '$core/supplies/containers/sizes.ts';
  import { shortageWords } from '$words/ahead.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  /** What is short for a sowing where and when it is to stand, with the nearest that goes. */
  interface Props {
    sowings: readonly PlannedSowing[];
    place: Place;
    places: readonly Place[];
    /** What stands, or will by what is on the list. */
    stands: readonly Stand[];
    stock: readonly ContainerStock[];
    now: number;
    locale: Locale;
    /** Takes another place, or a later day for it to be ready by. */
    /** `light` for where it is carried to. */
    onplace: (place: Place, light: boolean) => void;
    onlater: (at: number) => void;
  }
  let { sowings, place, places, stands, stock, now, locale, onplace, onlater }: Props = $props();

  const MOST = 3;
  const shortages = $derived(
    standingOf(sowings.map(({ setup, projected }) => ({ ...projected, setup }))).flatMap((standing) => {
      const [first] = standing.sowings;
      const owned = ofSize(first!.setup.container, [...stock])?.owned ?? null;
      const needsLight = standing.sowings.some(({ path }) => path.lightFrom !== null);
      const all = places.some(({ id }) => id === place.id) ? places : [...places, place];
      return shortagesOf(standsOf(standing), needsLight, { places: all, stands, owned }).map((short) => ({
        ...short,
        at: all.find(({ id }) => id === short.placeId) ?? place,
        size: first!.setup.container.name,
        // Begun so much later, it is ready in eight of ten by then.
        readyAt:
          short.laterMs === null
            ? null
            : Math.max(...standing.sowings.map(({ forecast }) => forecast.marks.windowOpen.p90)) +
              short.laterMs
      }));
    })
  );
</script>

{#each shortages as short, n (n)}
  <div class="warn stack" role="status">
    <p>{shortageWords(short, short.at, short.size, now, locale)}</p>
    {#if short.elsewhere.length > 0 || short.readyAt !== null}
      <div class="row">
        {#each short.elsewhere.slice(0, MOST) as other (other.id)}
          <Button kind="tertiary" class="chip" on:click={() => onplace(other, short.placeId !== place.id)}
            >{short.placeId === place.id ? t('sow.putAt') : t('sow.carry')} {other.name}</Button
          >
        {/each}
        {#if short.readyAt !== null && Number.isFinite(short.readyAt)}
          <Button kind="tertiary" class="chip" on:click={() => onlater(short.readyAt!)}
            >{t('sow.haveByDayInstead', { day: dayWords(short.readyAt, now, locale) })}</Button
          >
        {/if}
      </div>
    {/if}
  </div>
{/each}
