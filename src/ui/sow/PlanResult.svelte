<script lang="ts">
  import { cropInText, cropName, cropNote } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Place } from '$core/places/place.ts';
  import { isSoaked } from '$core/crops/crop.ts';
  import { bandsOf } from '$core/picture/bands.ts';
  import { stepsOf } from '$core/steps/compile.ts';
  import { unheeded } from '$core/supplies/methods/path.ts';
  import { unheededWords } from '$words/unheeded.ts';
  import { wayNotesOf } from '$core/sowing/wayNotes.ts';
  import { wayNoteWords } from '$words/wayNotes.ts';
  import type { MediumStock, MediumKind } from '$core/supplies/media/medium.ts';
  import Changes from '$ui/protocol/Changes.svelte';
  import StepList from '$ui/protocol/StepList.svelte';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { hasReservoir } from '$core/water/bucket.ts';
  import { tooShort } from '$core/water/lasts.ts';
  import { hasPool } from '$core/supplies/media/below.ts';
  import { onMediumWords, POOL_WORDS } from '$words/media.ts';
  import { tooShortWords } from '$words/lasting.ts';
  import { pressingWords } from '$words/pressing.ts';
  import { advisedWords } from '$words/disinfect.ts';
  import { ownSoakWords, usualSoakWords } from '$words/soak.ts';
  import { spoonsWords } from '$words/spoons.ts';
  import { spoonsFor } from '$core/supplies/seed/spoons.ts';
  import { aboutGreens } from '$words/greens.ts';
  import { area, figure, mass, seedDensity, seedMass } from '$core/units/format.ts';
  import BandChart from '$ui/bands/BandChart.svelte';
  import Figure from '$ui/fields/Figure.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { dayAndTime, dayWords, fromTo, type Locale } from '$words/time.ts';
  import { suitWords } from '$words/warmth.ts';
  import { windowOf, windowWords } from '$words/window.ts';

  interface Props {
    sowing: PlannedSowing;
    /** Containers it goes into. */
    count: number;
    /** The only one, and so without its crop's name over it. */
    alone: boolean;
    medium: { kind: MediumKind; own: MediumStock | null };
    /** What stands chosen, by what it is called. */
    chosen: Readonly<Record<string, string>>;
    now: number;
    locale: Locale;
    /** The household's first sowing of all: germs are spoken of, soak or no soak. */
    first: boolean;
    /** Whether its seed was overruled by hand. */
    own: boolean;
    /** Where it is to stand, and the household's other places. */
    place: Place;
    places: readonly Place[];
    onoffer: (at: number) => void;
  }
  let { sowing, count, alone, first, medium, chosen, now, locale, own, place, places, onoffer }: Props =
    $props();

  const { plan, projected, setup } = $derived(sowing);
  const { crop } = $derived(projected);
  const { seedG } = $derived(setup);
  const steps = $derived(stepsOf(projected));
  const on = $derived({ now, locale, containers: count, medium });
  /** Where it stands in light. */
  const lit = $derived(projected.carriedTo ?? place);
  const refused = $derived(
    unheeded(crop, setup.method, {
      medium: setup.medium,
      reservoir: hasReservoir(setup),
      depthCm: setup.container.depthCm,
      light: lit.light.kind
    })
  );

  const { parts } = $derived(projected);
  const ownSoak = $derived(
    setup.soakH === null
      ? []
      : parts.map((part) => ownSoakWords(part.crop, setup.soakH!)).filter((words) => words !== '')
  );
  const { seed } = $derived(plan);
  const spoons = $derived(spoonsWords(spoonsFor(crop, seedG)));
  const advised = $derived(
    advisedWords(steps.flatMap(({ body }) => (body.kind === 'weigh' ? body.disinfect : [])))
  );
  const suit = $derived(suitWords(crop, projected.suit, locale.units));
  const wayNotes = $derived(wayNotesOf(projected).map((note) => wayNoteWords(note, crop)));
  const dries = $derived(
    tooShortWords(
      tooShort(
        {
          crop,
          medium: setup.medium,
          container: setup.container,
          method: setup.method,
          place: lit,
          gapH: projected.gapH
        },
        places
      )
    )
  );
  /** Containers that there is seed for. */
  const enough = $derived(Math.floor(count * (1 - sowing.shortG / Math.max(seedG, sowing.shortG)) + 1e-6));
  const press = $derived(steps.flatMap(({ body }) => (body.kind === 'press' ? [body] : []))[0]);
  const sowAt = $derived(dayAndTime(plan.soak.sowAt, now, locale));
</script>

<section
  class="card stack"
  aria-label={alone ? t('bench.whatComes') : t('sow.whatNameComes', { name: cropName(crop.name) })}
  aria-live="polite"
>
  {#if !alone}<h2>{cropName(crop.name)}</h2>{/if}
  <Figure
    label={own ? t('sow.seedYourOwnFigure') : t('sow.seed')}
    value={seedMass(seedG, locale.units)}
    beside={t('sow.spoonsSeedspercmSeedsCmSeedspercm', {
      spoons,
      density: seedDensity(seed.seedsPerCm2, locale.units)
    })}
  >
    {#snippet working()}
      {t('sow.areacmCmSeedspercmSeedsCm', {
        area: area(seed.areaCm2, locale.units),
        density: seedDensity(seed.seedsPerCm2, locale.units),
        thousandSeedWeightG: figure(crop.thousandSeedWeightG)
      })}{#if Math.abs(seed.germinationFactor - 1) > 0.001}
        {t('sow.germinationfactorLotsGermination', {
          germinationFactor: figure(seed.germinationFactor)
        })}{/if}
      {t('sow.seedgGAboutSeedsSeeds', { seedG: figure(seed.seedG), seeds: Math.round(seed.seeds) })}
    {/snippet}
  </Figure>
  {#if advised}<p class="small soft">{advised}</p>{/if}
  {#if seed.weakLot}<p class="warn small">
      {t('sow.lessThanLotSproutsMore')}
    </p>{/if}
  {#if sowing.shortG > 0}<p class="warn small">
      {t('sow.seedmassMoreThanLotHolds', { seedMass: seedMass(sowing.shortG, locale.units) })}
      {#if count > 1 && enough > 0}{t('sow.enoughEnough', { enough })}{/if}
    </p>{/if}
  {#if crop.gelSeed}<p class="small soft">{t('sow.seedCoatTurnsGelWhen')}</p>{/if}

  {#if plan.soak.soakStart !== null}
    <Figure
      label={t('sow.soak')}
      value={fromTo(plan.soak.soakStart, plan.soak.soakEnd!, now, locale)}
      beside="{Math.round(plan.soak.soakH * 10) / 10} h"
    >
      {#snippet working()}
        {#each parts as part, nth (nth)}
          {#if isSoaked(part.crop)}{parts.length > 1 ? `${cropName(part.crop.name)}: ` : ''}{usualSoakWords(
              part.crop
            )}.{/if}
        {/each}
        {setup.soakH === null
          ? t('sow.movedWithinSoYouUp')
          : t('sow.yoursUsedAsYouGave')}{#if crop.drainH > 0}
          {t('sow.thenDrainhHDraining', { drainH: crop.drainH })}{/if}
      {/snippet}
    </Figure>
    {#if plan.soak.endsAsleep}<p class="warn small">
        {t('sow.noStartLetsSoakBegin')}
      </p>{/if}
  {/if}
  {#each ownSoak as words (words)}<p class="warn small">{words}</p>{/each}
  {#if first || plan.soak.soakStart !== null}<Caution>{CAUTIONS.germs}</Caution>{/if}
  <Figure
    label={t('sow.sow')}
    value={sowAt.charAt(0).toUpperCase() + sowAt.slice(1)}
    beside="{count > 1
      ? `${t('sow.seedmassEach', { seedMass: seedMass(seedG / count, locale.units) })} `
      : ''}{onMediumWords(setup.medium, plan.mediumMl, locale.units)}{press?.pressing
      ? t('sow.pressedWithAmountOnBoth', {
          amount: pressingWords(press.pressing, locale.units).amount,
          when: press.shared ? 'yes' : 'no'
        })
      : press?.later
        ? t('sow.underLidPressedWithAmount', {
            amount: pressingWords(press.later, locale.units).amount,
            when: press.shared ? 'yes' : 'no'
          })
        : ''}"
  />

  {#if suit}<p class="warn" role="status">{suit}</p>{/if}
  {#each wayNotes as words (words)}<p class="warn small">{words}</p>{/each}
  {#if hasPool(setup.medium) && projected.path.poursADay === 0}<p class="small soft">{POOL_WORDS()}</p>{/if}
  {#if dries}<p class="warn" role="status">{dries}</p>{/if}
  {#if !projected.suit.hindered}
    <div>
      <p class="label small soft">{t('sow.cut')}</p>
      <p class="window">
        <strong>{windowWords(windowOf(projected), now, locale)}</strong>
      </p>
      <p class="small soft">
        {t('sow.bestAboutDayClosesAbout', {
          day: dayWords(plan.forecast.marks.windowBest.p50, now, locale),
          day2: dayWords(plan.forecast.marks.windowClose.p50, now, locale)
        })}
      </p>
    </div>
    {#if plan.earliestAt !== null}
      <div class="warn stack" role="alert">
        <p>
          {t('sow.tooNearNameHereStarted', {
            name: cropInText(crop.name),
            day: dayWords(plan.earliestAt, now, locale)
          })}
        </p>
        <div>
          <Button kind="tertiary" class="chip" on:click={() => onoffer(plan.earliestAt!)}
            >{t('sow.takeDay', { day: dayWords(plan.earliestAt, now, locale) })}</Button
          >
        </div>
      </div>
    {:else if plan.chance !== null}
      <p class="small soft">{t('sow.openByEveningYouAsked', { chance: Math.round(plan.chance * 100) })}</p>
    {/if}
    <BandChart id="plan" rows={[{ name: t('sow.expected'), bands: bandsOf(projected) }]} {now} {locale} />
    <Figure
      label={t('sow.gives')}
      value={aboutGreens(plan.yieldG.usual, locale.units)}
      beside={t('sow.massToMass', {
        low: mass(plan.yieldG.low, locale.units),
        high: mass(plan.yieldG.high, locale.units)
      })}
    />
  {/if}
  <Changes {steps} {on} {chosen} />
  {#if refused.length > 0}
    <ul class="refused small soft" aria-label={t('sow.whatNotDoneMethodWhy')}>
      {#each refused as one (one.question)}<li>{unheededWords(one)}</li>{/each}
    </ul>
  {/if}
  <details class="unfold">
    <summary>{t('sow.everyStepWithAmountDay')}</summary>
    <StepList {steps} {on} />
  </details>
  {#if !isSoaked(crop) && cropNote(crop)}<p class="small soft">{cropNote(crop)}</p>{/if}
</section>

<style>
  .stack {
    gap: 0.6rem;
  }
  .refused {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  .window {
    font-size: 1.15rem;
  }
</style>
