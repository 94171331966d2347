<script lang="ts">
  import { fieldUnit } from '$core/units/field.ts';
  import { cropName } from '$words/cropNames.ts';
  import { formattedAs, rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { isByArea, usualUses } from '$core/costs/prices.ts';
  import { findCrop, withOwnCrops } from '$core/crops/library.ts';
  import { KEPT_MEDIA, type MediumKind } from '$core/supplies/media/medium.ts';
  import { area, seedMass, volume } from '$core/units/format.ts';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import FormSay from '$ui/shell/FormSay.svelte';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { money } from '$words/money.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { prices } = $derived(data);
  const us = $derived(data.household.units === 'us');
  const { wrong, typed } = formAnswers(() => form);
  const crops = $derived(withOwnCrops(data.ownCrops));
  const done = $derived(form && 'done' in form ? form.done : null);
  const names = new Intl.DisplayNames(formattedAs(), { type: 'currency' });

  const media = $derived([
    ...data.media.map(({ id, name, kind }) => ({ key: id, name, kind })),
    ...KEPT_MEDIA.map((kind) => ({ key: kind as string, name: MEDIUM_WORDS[kind], kind }))
  ]);
  const mediumOf = (key: string) => media.find((one) => one.key === key);
  let chosen = $state('coir');
  const kind = $derived<MediumKind>(mediumOf(chosen)?.kind ?? 'coir');
  const nameOf = (key: string): string => cropName(findCrop(key, data.ownCrops)?.name ?? key);
  const yearCost = $derived((data.year?.crops ?? []).reduce((sum, { cost }) => sum + (cost ?? 0), 0));
</script>

<svelte:head><title>{t('household.moneyBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{t('household.money')}</h1>
<p class="soft lead">
  {t('household.whatTrayCostFollowsFrom')}
</p>
<FormSay />

<div class="columns">
  <div class="stack">
    <form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
      <h2>{t('household.allTrays')}</h2>
      {#if done === 'money'}<p role="status">{t('household.saved')}</p>{/if}
      <Select
        name="currency"
        labelText={t('household.money')}
        selected={typed('currency', prices.currency)}
        invalid={wrong('currency') !== ''}
        invalidText={wrong('currency')}
      >
        {#each data.currencies as code (code)}<SelectItem
            value={code}
            text="{code}, {names.of(code)}"
          />{/each}
      </Select>
      <div class="pair">
        <Field
          name="kWh"
          label={t('household.kwhCosts')}
          helper={t('household.offBillLampsWattsStand')}
          value={typed('kWh', prices.kWh)}
          error={wrong('kWh')}
          inputmode="decimal"
        />
        <Field
          name="feedL"
          label={t('household.litreFeedCosts')}
          value={typed('feedL', prices.feedL)}
          error={wrong('feedL')}
          inputmode="decimal"
        />
      </div>
      <div><Button type="submit">{t('household.save')}</Button></div>
    </form>

    <section class="stack">
      <h2>{t('household.media')}</h2>
      {#if Object.keys(prices.media).length > 0}
        <ul>
          {#each Object.entries(prices.media) as [key, medium] (key)}
            {@const known = mediumOf(key)}
            <li>
              <span
                ><Rich
                  parts={rich('household.strongNameStrongMoneyValue', {
                    name: known?.name ?? t('household.mediumWasPutAway'),
                    money: money(medium.price, prices.currency),
                    value:
                      known && isByArea(known.kind)
                        ? area(medium.amount, data.household.units)
                        : volume(medium.amount, data.household.units),
                    when: medium.uses > 1 ? 'yes' : 'no',
                    uses: medium.uses > 1 ? medium.uses : ''
                  })}
                /></span
              >
              <form method="POST" action="?/forget" use:enhance>
                <input type="hidden" name="of" value="medium" /><input type="hidden" name="key" value={key} />
                <Button type="submit" kind="ghost" class="chip quiet"
                  >{t('household.forget')}<span class="visually-hidden"> {known?.name}</span></Button
                >
              </form>
            </li>
          {/each}
        </ul>
      {/if}
      <form method="POST" action="?/medium" class="stack" use:enhance={{ reset: false }} novalidate>
        <Select
          name="key"
          labelText={t('household.medium')}
          bind:selected={chosen}
          invalid={wrong('medium.key') !== ''}
          invalidText={wrong('medium.key')}
        >
          {#each media as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
        </Select>
        <div class="three">
          <Field
            name="price"
            label={t('household.costs')}
            error={wrong('medium.price')}
            inputmode="decimal"
          />
          <Field
            name="amount"
            label={isByArea(kind) ? t('household.soManyCm') : t('household.soManyLitres')}
            helper={us
              ? isByArea(kind)
                ? t('household.squareInchCmMatHas')
                : t('household.quartLAsLaidSwollen')
              : isByArea(kind)
                ? t('household.cmMatHas')
                : t('household.asLaidSwollen')}
            error={wrong('medium.amount')}
            inputmode="decimal"
          />
          {#key chosen}<Field
              name="uses"
              label={t('household.usedTimes')}
              value={String(usualUses(kind))}
              error={wrong('medium.uses')}
              inputmode="numeric"
            />{/key}
        </div>
        <div><Button type="submit" kind="tertiary">{t('household.keepPrice')}</Button></div>
      </form>
    </section>
  </div>

  <div class="stack">
    <section class="stack">
      <h2>{t('household.shop')}</h2>
      <p class="small soft">{t('household.whatYouWouldPaySame')}</p>
      {#if Object.keys(prices.shop).length > 0}
        <ul>
          {#each Object.entries(prices.shop) as [key, per100] (key)}
            <li>
              <span
                ><Rich
                  parts={rich('household.strongCropnameStrongMoneyG', {
                    cropName: nameOf(key),
                    money: money(per100, prices.currency)
                  })}
                /></span
              >
              <form method="POST" action="?/forget" use:enhance>
                <input type="hidden" name="of" value="shop" /><input type="hidden" name="key" value={key} />
                <Button type="submit" kind="ghost" class="chip quiet"
                  >{t('household.forget')}<span class="visually-hidden"> {nameOf(key)}</span></Button
                >
              </form>
            </li>
          {/each}
        </ul>
      {/if}
      <form method="POST" action="?/shop" class="stack" use:enhance={{ reset: false }} novalidate>
        <Select
          name="key"
          labelText={t('household.crop')}
          invalid={wrong('shop.key') !== ''}
          invalidText={wrong('shop.key')}
        >
          {#each crops as crop (crop.key)}<SelectItem value={crop.key} text={cropName(crop.name)} />{/each}
        </Select>
        <div class="pair">
          <Field name="price" label={t('household.costs')} error={wrong('shop.price')} inputmode="decimal" />
          <Field
            name="amount"
            label={t('household.soMany', { unit: fieldUnit('mass', data.household.units) })}
            error={wrong('shop.amount')}
            inputmode="decimal"
          />
        </div>
        <div><Button type="submit" kind="tertiary">{t('household.keepPrice')}</Button></div>
      </form>
    </section>

    <section>
      <h2>{t('household.seedYear')}</h2>
      {#if data.year}
        <p class="small soft">
          {t('household.atPaceLastDaysDays', {
            days: Math.round(data.year.days),
            when: yearCost > 0 ? 'yes' : 'no',
            money: yearCost > 0 ? money(yearCost, prices.currency) : ''
          })}
        </p>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
        <div class="scroll" role="region" aria-label={t('household.seedYear')} tabindex="0">
          <table class="plain">
            <thead
              ><tr
                ><th scope="col">{t('household.crop')}</th><th scope="col" class="n"
                  >{t('household.sowings')}</th
                ><th scope="col" class="n">{t('household.year')}</th><th scope="col" class="n"
                  >{t('household.costs')}</th
                ></tr
              ></thead
            >
            <tbody>
              {#each data.year.crops as { cropKey, sowings, yearG, cost } (cropKey)}
                <tr
                  ><th scope="row">{nameOf(cropKey)}</th><td class="n">{sowings}</td><td class="n"
                    >{seedMass(yearG, data.household.units)}</td
                  ><td class="n">{cost === null ? '–' : money(cost, prices.currency)}</td></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {:else}
        <p class="soft">{t('household.afterFourWeeksSowingStands')}</p>
      {/if}
    </section>
  </div>
</div>

<style>
  .lead {
    margin: 0.4rem 0 1rem;
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
</style>
