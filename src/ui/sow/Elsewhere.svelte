<script lang="ts">
  import { cropInText } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { beginsAt } from '$core/sowing/soak.ts';
  import { DAY } from '$core/time/zone.ts';
  import { tooWarm } from '$core/places/air/warmth.ts';
  import type { Place } from '$core/places/place.ts';
  import { dayAndTime, dayWords, type Locale } from '$words/time.ts';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';

  interface Props {
    /** What the same sowing comes to in each other place. */
    places: readonly { place: Place; sowing: PlannedSowing }[];
    now: number;
    locale: Locale;
    onchoose: (place: Place) => void;
  }
  let { places, now, locale, onchoose }: Props = $props();

  /** When it is begun and opens there, how likely in time, and how long it keeps uncut. */
  function words({ plan, projected: { crop } }: PlannedSowing, place: Place): string {
    if (plan.hindered)
      return t('sow.tooHinderedThereName', { hindered: plan.hindered, name: cropInText(crop.name) });
    if (plan.earliestAt !== null)
      return t('sow.readyDayAtEarliest', { day: dayWords(plan.earliestAt, now, locale) });
    const { windowOpen, windowClose } = plan.forecast.marks;
    const begin = dayAndTime(beginsAt(plan.soak), now, locale);
    const keeps = Math.max(1, Math.round((windowClose.p50 - windowOpen.p50) / DAY));
    const warm = tooWarm(crop, place) ? `${t('sow.tooWarmOnAverage')} ` : '';
    return t('sow.warmBegunBeginOpensDay', {
      warm,
      begin,
      day: dayWords(windowOpen.p50, now, locale),
      keeps
    });
  }
</script>

<ul>
  {#each places as { place, sowing } (place.id)}
    <li>
      <div>
        <strong>{place.name}</strong>
        <span class="small soft">{words(sowing, place)}</span>
      </div>
      <Button kind="tertiary" class="chip" on:click={() => onchoose(place)}
        >{t('sow.choose')}<span class="visually-hidden"> {place.name}</span></Button
      >
    </li>
  {:else}
    <li class="soft small">{t('sow.thereNoPlaceWithLight')}</li>
  {/each}
</ul>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    padding: 0.4rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  div {
    display: grid;
  }
</style>
