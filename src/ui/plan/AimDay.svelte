<script lang="ts">
  import { percent } from '$words/percent.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { SowingEvent } from '$core/sowing/event.ts';
  import { aimOf } from '$core/sowing/aim.ts';
  import { reach, type Outlook } from '$core/sowing/reach.ts';
  import type { HouseholdFacts } from '$core/sowing/project.ts';
  import type { SowingSetup } from '$core/sowing/sowing.ts';
  import { tooWarm } from '$core/places/air/warmth.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import type { Place } from '$core/places/place.ts';
  import { laterWords } from '$words/places.ts';
  import { dayWords, isoDay, type Locale } from '$words/time.ts';

  interface Props {
    facts: HouseholdFacts;
    crop: Crop;
    setup: SowingSetup;
    events: readonly SowingEvent[];
    /** The day it is likeliest to open, to begin with. */
    likelyAt: number;
    now: number;
    locale: Locale;
    onmove: (place: Place) => void;
  }
  let { facts, crop, setup, events, likelyAt, now, locale, onmove }: Props = $props();
  let typed = $state<string | null>(null);
  const day = $derived(
    typed ?? isoDay(Math.max(now, Number.isFinite(likelyAt) ? likelyAt : now), locale.zone)
  );
  const by = $derived.by(() => {
    const aim = aimOf(day, facts.rhythm);
    return aim?.kind === 'by' ? aim.at : null;
  });
  const found = $derived(by === null || by < now ? null : reach(facts, setup, events, by, now));
  const SHOWN = 4;

  const courseWords = ({ course }: Outlook): string =>
    course.kind === 'stay'
      ? t('ahead.leaveWhere')
      : course.kind === 'move'
        ? t('ahead.moveNameTooWarmOn', {
            name: course.place.name,
            when: tooWarm(crop, course.place) ? 'yes' : 'no'
          })
        : t('ahead.leaveUntilOpensThenHold', { name: course.place.name });
  const chanceWords = (chance: number): string =>
    chance >= 0.85
      ? t('ahead.veryLikely')
      : chance >= 0.6
        ? t('ahead.chance.likely')
        : chance >= 0.3
          ? t('ahead.chance.perhaps')
          : t('ahead.chance.hardly');
  function gainWords(outlook: Outlook): string {
    const opens = Number.isFinite(outlook.opensAt)
      ? t('ahead.opensDay', { day: dayWords(outlook.opensAt, now, locale) })
      : t('ahead.doesNotOpen');
    const keeps = Number.isFinite(outlook.keepsD)
      ? t('ahead.goodUncutMaxDays', { max: Math.max(1, Math.round(outlook.keepsD)) })
      : '';
    const shift = outlook.course.kind === 'move' ? laterWords(outlook.laterD) : '';
    return [opens, keeps, shift].filter(Boolean).join(' · ');
  }
</script>

<div class="stack">
  <TextInput
    type="date"
    labelText={t('ahead.iWantCutOn')}
    value={day}
    on:input={(event) => (typed = String(event.detail ?? ''))}
    invalid={by === null || by < now}
    invalidText={by === null ? t('ahead.notDateChooseOneFrom') : t('ahead.dayHasPassedChooseOne')}
  />
  {#if found}
    {#if found.nearest}
      <p class="warn" role="status">
        <Rich
          parts={rich('ahead.notBeCountedOnDay', {
            day: dayWords(found.nearest.at, now, locale),
            course: courseWords(found.nearest.outlook)
          })}
        />
        <Button kind="ghost" class="undo" on:click={() => (typed = isoDay(found.nearest!.at, locale.zone))}
          >{t('ahead.takeDay')}</Button
        >
      </p>
    {/if}
    <ol>
      {#each found.outlooks.slice(0, SHOWN) as outlook (outlook.course.kind + ('place' in outlook.course ? outlook.course.place.id : ''))}
        <li>
          <div>
            <strong>{courseWords(outlook)}</strong>
            <span class="small"
              >{t('ahead.chance.of', {
                chance: percent(outlook.chance),
                word: chanceWords(outlook.chance)
              })}</span
            >
            <span class="small soft">{gainWords(outlook)}</span>
          </div>
          {#if outlook.course.kind === 'move'}
            {@const { place } = outlook.course}
            <Button kind="tertiary" class="chip" on:click={() => onmove(place)}
              >{t('ahead.move2')}<span class="visually-hidden">
                {t('ahead.name', { name: place.name })}</span
              ></Button
            >
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
</div>

<style>
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: center;
    padding: 0.4rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  li div {
    display: grid;
  }
</style>
