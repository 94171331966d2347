<script lang="ts">
  import { cropInText, cropName } from '$words/cropNames.ts';
  import { listParts } from '$words/lists.ts';
  import { t } from '$messages/t.ts';
  import type { Stop, StopPart } from '$core/steps/walk.ts';
  import { mayBeLost } from '$core/water/dry.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import { stageAt } from '$core/sowing/stage.ts';
  import { cropNames, containersWords } from '$words/containers.ts';
  import { stageWords } from '$words/events.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';
  import { windowBrief, windowOf, windowWords } from '$words/window.ts';

  interface Props {
    stop: Stop;
    now: number;
    locale: Locale;
    alone: boolean;
    /** It asks for nothing: at the width of a phone in a line. */
    quiet: boolean;
    /** What the drawing shows, for those who cannot see it. */
    picture: string;
  }
  let { stop, now, locale, alone, quiet, picture }: Props = $props();

  const first = $derived(stop.parts[0]!.projected);
  const names = $derived(cropNames(stop.parts.map(({ projected }) => projected)));

  function standing({ projected, ask }: StopPart): string {
    const stage = stageWords(stageAt(projected, now), projected.path);
    if (projected.state.sownAt !== null)
      return t('round.dayDaysbetweenStage', {
        daysBetween: zoneOf(locale.zone).daysBetween(projected.startAt, now),
        stage
      });
    if (ask.beginsAt === null) return stage;
    return `${stage}, ${begins(projected, ask.beginsAt)}`;
  }

  const begins = ({ soak }: StopPart['projected'], at: number): string =>
    soak.soakStart !== null
      ? t('round.begins.soak', { at: dayAndTime(at, now, locale) })
      : t('round.begins.sow', { at: dayAndTime(at, now, locale) });

  function brief({ projected, ask }: StopPart): string {
    if (projected.state.sownAt === null && ask.beginsAt !== null) return begins(projected, ask.beginsAt);
    if (projected.state.sownAt === null) return standing({ projected, ask });
    return windowBrief(windowOf(projected), now, locale);
  }
</script>

<header class:quiet={quiet && !alone}>
  <svelte:element this={alone ? 'h2' : 'h3'} id="stop-{stop.key}" class:visually-hidden={alone}>
    {#if alone}{t('round.namesNow', {
        names
      })}{:else}{#each listParts(stop.parts.length) as { item, text }, nth (nth)}{@const part =
          item === null ? null : stop.parts[item]!.projected}{#if part}<a href="/tray/{part.setup.id}"
            >{item === 0 ? cropName(part.crop.name) : cropInText(part.crop.name)}</a
          >{:else}{text}{/if}{/each}{/if}
  </svelte:element>
  {#each stop.parts as part (part.projected.setup.id)}
    {@const { projected } = part}
    {@const { windowOpen } = projected.forecast.marks}
    {@const stage = stageAt(projected, now)}
    <p class="soft small">
      {#if stop.parts.length > 1}<strong>{cropName(projected.crop.name)}</strong>{/if}
      {standing(part)}
      {#if part === stop.parts[0]}
        · {containersWords(first.setup)}{stop.parts.length > 1 ? ` · ${t('round.halfEach')}` : ''}
        <span class="visually-hidden">{picture}</span>
      {/if}
    </p>
    {#if projected.state.sownAt !== null && stage !== 'ended'}
      {@const lost = mayBeLost(projected, now)}
      <p class="window" class:open={windowOpen.p50 <= now && stage === 'light' && !lost}>
        {lost ? t('round.dryTooLongNoWindow') : windowWords(windowOf(projected), now, locale)}
      </p>
    {/if}
  {/each}
  {#if quiet && !alone}
    <p class="soft small brief">
      · {containersWords(first.setup)} · {stop.parts
        .map((part) =>
          stop.parts.length > 1 ? `${cropName(part.projected.crop.name)} ${brief(part)}` : brief(part)
        )
        .join(' · ')}
    </p>
  {/if}
</header>

<style>
  h2,
  h3 {
    font-size: 1.2rem;
  }
  h3 a {
    color: inherit;
    text-decoration: none;
    display: inline-block;
    padding: 0.1rem 0;
  }
  h3 a:hover {
    text-decoration: underline;
  }
  p {
    line-height: 1.3;
  }
  .window.open {
    font-weight: 650;
  }
  .quiet > * {
    display: none;
  }
  .quiet > h3,
  .quiet > .brief {
    display: inline;
    line-height: 1.35;
  }
  /* Name, day and container in one line. */
  @media (min-width: 48rem) {
    header:not(.quiet) {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.6rem;
      align-items: baseline;
    }
    .window {
      flex-basis: 100%;
    }
  }
  @media (max-width: 47.99rem) {
    p {
      line-height: 1.25;
    }
    .window {
      font-size: 0.9375rem;
    }
  }
</style>
