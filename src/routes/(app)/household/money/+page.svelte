<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { isByArea, usualUses } from '$core/costs/prices.ts';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { KEPT_MEDIA, type MediumKind } from '$core/supplies/media/medium.ts';
  import { seedMass, volume } from '$core/units/format.ts';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { areaWords, money } from '$words/money.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { prices } = $derived(data);
  const us = $derived(data.household.units === 'us');
  const { wrong, typed } = formAnswers(() => form);
  const crops = $derived(withOwnCrops(data.ownCrops));
  const done = $derived(form && 'done' in form ? form.done : null);
  const names = new Intl.DisplayNames('en', { type: 'currency' });

  const media = $derived([
    ...data.media.map(({ id, name, kind }) => ({ key: id, name, kind })),
    ...KEPT_MEDIA.map((kind) => ({ key: kind as string, name: MEDIUM_WORDS[kind], kind }))
  ]);
  const mediumOf = (key: string) => media.find((one) => one.key === key);
  let chosen = $state('coir');
  const kind = $derived<MediumKind>(mediumOf(chosen)?.kind ?? 'coir');
  const cropName = (key: string): string => findCrop(key, data.ownCrops)?.name ?? key;
  const yearCost = $derived((data.year?.crops ?? []).reduce((sum, { cost }) => sum + (cost ?? 0), 0));
</script>

<svelte:head><title>Money · Brote</title></svelte:head>

<HouseholdTabs />
<h1>Money</h1>
<p class="soft lead">
  What a tray cost follows from these. All of it is optional, and in your own money; nothing is looked up.
</p>
<FormSay />

<div class="columns">
  <div class="stack">
    <form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
      <h2>For all trays</h2>
      {#if done === 'money'}<p role="status">Saved.</p>{/if}
      <Select
        name="currency"
        labelText="Money"
        selected={typed('currency', prices.currency)}
        invalid={wrong('currency') !== ''}
        invalidText={wrong('currency')}
      >
        {#each data.currencies as code (code)}<SelectItem
            value={code}
            text="{code}, {names.of(code)}"
          />{/each}
      </Select>
      <div class="two">
        <Field
          name="kWh"
          label="A kWh costs"
          helper="Off the bill; a lamp’s watts stand with its place"
          value={typed('kWh', prices.kWh)}
          error={wrong('kWh')}
          inputmode="decimal"
        />
        <Field
          name="feedL"
          label="A litre of feed costs"
          value={typed('feedL', prices.feedL)}
          error={wrong('feedL')}
          inputmode="decimal"
        />
      </div>
      <div><Button type="submit">Save</Button></div>
    </form>

    <section class="stack">
      <h2>Media</h2>
      {#if Object.keys(prices.media).length > 0}
        <ul>
          {#each Object.entries(prices.media) as [key, medium] (key)}
            {@const known = mediumOf(key)}
            <li>
              <span
                ><strong>{known?.name ?? 'A medium that was put away'}</strong>: {money(
                  medium.price,
                  prices.currency
                )} for {known && isByArea(known.kind)
                  ? areaWords(medium.amount, data.household.units)
                  : volume(medium.amount, data.household.units)}{medium.uses > 1
                  ? `, used ${medium.uses} times`
                  : ''}</span
              >
              <form method="POST" action="?/forget" use:enhance>
                <input type="hidden" name="of" value="medium" /><input type="hidden" name="key" value={key} />
                <Button type="submit" kind="ghost" class="chip quiet"
                  >Forget<span class="visually-hidden"> {known?.name}</span></Button
                >
              </form>
            </li>
          {/each}
        </ul>
      {/if}
      <form method="POST" action="?/medium" class="stack" use:enhance={{ reset: false }} novalidate>
        <Select
          name="key"
          labelText="Medium"
          bind:selected={chosen}
          invalid={wrong('medium.key') !== ''}
          invalidText={wrong('medium.key')}
        >
          {#each media as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
        </Select>
        <div class="three">
          <Field name="price" label="Costs" error={wrong('medium.price')} inputmode="decimal" />
          <Field
            name="amount"
            label={isByArea(kind) ? 'For so many cm²' : 'For so many litres'}
            helper={us
              ? isByArea(kind)
                ? 'A square inch is 6.45 cm²; a 10 × 20 in mat has 1290'
                : 'A quart is 0.95 L; as laid, swollen'
              : isByArea(kind)
                ? 'A 25 × 18 cm mat has 450'
                : 'As laid, swollen'}
            error={wrong('medium.amount')}
            inputmode="decimal"
          />
          {#key chosen}<Field
              name="uses"
              label="Used, times"
              value={String(usualUses(kind))}
              error={wrong('medium.uses')}
              inputmode="numeric"
            />{/key}
        </div>
        <div><Button type="submit" kind="tertiary">Keep this price</Button></div>
      </form>
    </section>
  </div>

  <div class="stack">
    <section class="stack">
      <h2>In the shop</h2>
      <p class="small soft">What you would pay for the same greens, so that a tray can be set against it.</p>
      {#if Object.keys(prices.shop).length > 0}
        <ul>
          {#each Object.entries(prices.shop) as [key, per100] (key)}
            <li>
              <span><strong>{cropName(key)}</strong>: {money(per100, prices.currency)} for 100 g</span>
              <form method="POST" action="?/forget" use:enhance>
                <input type="hidden" name="of" value="shop" /><input type="hidden" name="key" value={key} />
                <Button type="submit" kind="ghost" class="chip quiet"
                  >Forget<span class="visually-hidden"> {cropName(key)}</span></Button
                >
              </form>
            </li>
          {/each}
        </ul>
      {/if}
      <form method="POST" action="?/shop" class="stack" use:enhance={{ reset: false }} novalidate>
        <Select
          name="key"
          labelText="Crop"
          invalid={wrong('shop.key') !== ''}
          invalidText={wrong('shop.key')}
        >
          {#each crops as crop (crop.key)}<SelectItem value={crop.key} text={crop.name} />{/each}
        </Select>
        <div class="two">
          <Field name="price" label="Costs" error={wrong('shop.price')} inputmode="decimal" />
          <Field name="amount" label="For so many g" error={wrong('shop.amount')} inputmode="decimal" />
        </div>
        <div><Button type="submit" kind="tertiary">Keep this price</Button></div>
      </form>
    </section>

    <section>
      <h2>Seed for a year</h2>
      {#if data.year}
        <p class="small soft">
          At the pace of the last {Math.round(data.year.days)} days{yearCost > 0
            ? `: about ${money(yearCost, prices.currency)}, where packets have a price`
            : ''}.
        </p>
        <div class="scroll" role="region" aria-label="Seed for a year" tabindex="-1">
          <table class="plain">
            <thead
              ><tr
                ><th scope="col">Crop</th><th scope="col" class="n">Sowings</th><th scope="col" class="n"
                  >A year</th
                ><th scope="col" class="n">Costs</th></tr
              ></thead
            >
            <tbody>
              {#each data.year.crops as { cropKey, sowings, yearG, cost } (cropKey)}
                <tr
                  ><th scope="row">{cropName(cropKey)}</th><td class="n">{sowings}</td><td class="n"
                    >{seedMass(yearG, data.household.units)}</td
                  ><td class="n">{cost === null ? '–' : money(cost, prices.currency)}</td></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {:else}
        <p class="soft">After four weeks of sowing it stands here.</p>
      {/if}
    </section>
  </div>
</div>

<style>
  .lead {
    margin: 0.4rem 0 1rem;
  }
  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2rem 3rem;
    align-items: start;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem;
    align-items: start;
  }
  .three {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 0.75rem;
    align-items: start;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
  }
  .scroll {
    overflow-x: auto;
  }
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
