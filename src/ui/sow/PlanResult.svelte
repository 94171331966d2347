<script lang="ts">
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
  import { figure, mass, seedMass } from '$core/units/format.ts';
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
  aria-label={alone ? 'What it comes to' : `What ${crop.name} comes to`}
  aria-live="polite"
>
  {#if !alone}<h2>{crop.name}</h2>{/if}
  <Figure
    label={own ? 'Seed, your own figure' : 'Seed'}
    value={seedMass(seedG, locale.units)}
    beside="{spoons} · {figure(seed.seedsPerCm2)} seeds/cm² ({figure(seed.seedsPerCm2 * 6.4516)} per in²)"
  >
    {#snippet working()}
      {figure(seed.areaCm2)} cm² × {figure(seed.seedsPerCm2)} seeds/cm² × {figure(crop.thousandSeedWeightG)} g per
      1000 seeds{#if Math.abs(seed.germinationFactor - 1) > 0.001}
        × {figure(seed.germinationFactor)} for the lot’s germination{/if} = {figure(seed.seedG)} g, about {Math.round(
        seed.seeds
      )} seeds. Spoons are by how this seed lies; a scale is surer.
    {/snippet}
  </Figure>
  {#if advised}<p class="small soft">{advised}</p>{/if}
  {#if seed.weakLot}<p class="warn small">
      Less than 70 % of this lot sprouts: more seed fills the tray but the dead seed moulds. Fresher seed is
      the better answer.
    </p>{/if}
  {#if sowing.shortG > 0}<p class="warn small">
      {seedMass(sowing.shortG, locale.units)} more than that lot holds: have more at hand, or weigh the packet again.
      {#if count > 1 && enough > 0}It is enough for {enough}.{/if}
    </p>{/if}
  {#if crop.gelSeed}<p class="small soft">The seed coat turns to gel when wet: never soak it.</p>{/if}

  {#if plan.soak.soakStart !== null}
    <Figure
      label="Soak"
      value={fromTo(plan.soak.soakStart, plan.soak.soakEnd!, now, locale)}
      beside="{Math.round(plan.soak.soakH * 10) / 10} h"
    >
      {#snippet working()}
        {#each parts as part, nth (nth)}
          {#if isSoaked(part.crop)}{parts.length > 1 ? `${part.crop.name}: ` : ''}{usualSoakWords(
              part.crop
            )}.{/if}
        {/each}
        {setup.soakH === null
          ? 'It is moved within that so that you are up when it begins and ends.'
          : 'Yours is used as you gave it.'}{#if crop.drainH > 0}
          Then {crop.drainH} h of draining.{/if}
      {/snippet}
    </Figure>
    {#if plan.soak.endsAsleep}<p class="warn small">
        No start lets this soak begin and end while you are up. This is the least bad one: set an alarm.
      </p>{/if}
  {/if}
  {#each ownSoak as words (words)}<p class="warn small">{words}</p>{/each}
  {#if first || plan.soak.soakStart !== null}<Caution>{CAUTIONS.germs}</Caution>{/if}
  <Figure
    label="Sow"
    value={sowAt.charAt(0).toUpperCase() + sowAt.slice(1)}
    beside="{count > 1 ? `${seedMass(seedG / count, locale.units)} each, ` : ''}{onMediumWords(
      setup.medium,
      plan.mediumMl,
      locale.units
    )}{press?.pressing
      ? `, pressed with ${pressingWords(press.pressing, locale.units).amount}${press.shared ? ' on both halves' : ''}`
      : press?.later
        ? `, under a lid; pressed with ${pressingWords(press.later, locale.units).amount}${press.shared ? ' on both halves' : ''} once it has rooted`
        : ''}"
  />

  {#if suit}<p class="warn" role="status">{suit}</p>{/if}
  {#each wayNotes as words (words)}<p class="warn small">{words}</p>{/each}
  {#if hasPool(setup.medium) && projected.path.poursADay === 0}<p class="small soft">{POOL_WORDS}</p>{/if}
  {#if dries}<p class="warn" role="status">{dries}</p>{/if}
  {#if !projected.suit.hindered}
    <div>
      <p class="label small soft">Cut</p>
      <p class="window">
        <strong>{windowWords(windowOf(projected), now, locale)}</strong>
      </p>
      <p class="small soft">
        Best about {dayWords(plan.forecast.marks.windowBest.p50, now, locale)}; closes about {dayWords(
          plan.forecast.marks.windowClose.p50,
          now,
          locale
        )}. It sharpens with every look.
      </p>
    </div>
    {#if plan.earliestAt !== null}
      <div class="warn stack" role="alert">
        <p>
          Too near for {crop.name.toLowerCase()} here. Started now, it is ready {dayWords(
            plan.earliestAt,
            now,
            locale
          )} at the earliest (in 8 of 10 such sowings).
        </p>
        <div>
          <Button kind="tertiary" class="chip" on:click={() => onoffer(plan.earliestAt!)}
            >Take {dayWords(plan.earliestAt, now, locale)}</Button
          >
        </div>
      </div>
    {:else if plan.chance !== null}
      <p class="small soft">Open by the evening you asked for: {Math.round(plan.chance * 100)} in 100.</p>
    {/if}
    <BandChart id="plan" rows={[{ name: 'Expected', bands: bandsOf(projected) }]} {now} {locale} />
    <Figure
      label="Gives"
      value="about {mass(plan.yieldG.usual, locale.units)}"
      beside="{mass(plan.yieldG.low, locale.units)} to {mass(plan.yieldG.high, locale.units)}"
    />
  {/if}
  <Changes {steps} {on} {chosen} />
  {#if refused.length > 0}
    <ul class="refused small soft" aria-label="What is not done of the method, and why">
      {#each refused as one (one.question)}<li>{unheededWords(one)}</li>{/each}
    </ul>
  {/if}
  <details class="unfold">
    <summary>Every step, with its amount and day</summary>
    <StepList {steps} {on} />
  </details>
  {#if !isSoaked(crop) && crop.note}<p class="small soft">{crop.note}</p>{/if}
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
