<script lang="ts">
  import KeyList from '$ui/keys/KeyList.svelte';
  import { methodName } from '$words/methods.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import { temperature } from '$core/units/format.ts';
  import { untrack } from 'svelte';
  import { LATITUDES } from '$words/latitudes.ts';
  import { lightWords } from '$words/places.ts';
  import { clockTimeOf, ZONE_CHANGES, type ZoneChange } from '$contract/schemas/household.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { ZONE_CHANGE_WORDS } from '$words/zone.ts';
  import Devices from '$ui/household/Devices.svelte';
  import HouseholdTabs from '$ui/household/HouseholdTabs.svelte';
  import ZoneAndUnits from '$ui/household/ZoneAndUnits.svelte';
  import Passphrase from '$ui/household/Passphrase.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const house = $derived(data.household);
  const { wrong, typed } = formAnswers(() => form);
  const done = $derived(form && 'done' in form ? form.done : null);
  let zone = $state(untrack(() => typed('zone', house.zone)));
  let units = $state<string>(untrack(() => typed('units', house.units)));
  let latitude = $state(untrack(() => typed('latitudeDeg', String(house.latitudeDeg))));
</script>

<svelte:head><title>{t('household.householdBrote')}</title></svelte:head>

<HouseholdTabs />
<h1>{house.name}</h1>
<p class="soft lead">{t('household.youName', { name: data.member.name })}</p>
<div class="columns">
  <form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
    <h2>{t('household.settings')}</h2>
    {#if done === 'settings'}<p role="status">{t('household.saved')}</p>{/if}
    <Field
      name="name"
      label={t('household.household')}
      value={typed('name', house.name)}
      error={wrong('name')}
    />
    <ZoneAndUnits zones={data.zones} bind:zone bind:units {wrong} />
    {#if wrong('planned')}
      <p class="warn" role="alert">{wrong('planned')}</p>
      <Choice
        legend={t('household.whatPlannedBegins')}
        name="planned"
        options={ZONE_CHANGES.map((value) => ({ value, text: ZONE_CHANGE_WORDS[value] }))}
        value={'' as ZoneChange}
      />
    {/if}
    <div class="pair">
      <Field
        name="wake"
        type="time"
        label={t('household.upFrom')}
        value={typed('wake', clockTimeOf(house.wakeMin))}
        error={wrong('wake')}
      />
      <Field
        name="sleep"
        type="time"
        label={t('household.bedBy')}
        helper={t('household.mayLiePastMidnight')}
        value={typed('sleep', clockTimeOf(house.sleepMin))}
        error={wrong('sleep')}
      />
      <Field
        name="morning"
        type="time"
        label={t('household.firstRound')}
        value={typed('morning', clockTimeOf(house.roundsMin[0]!))}
        error={wrong('morning')}
      />
      <Field
        name="evening"
        type="time"
        label={t('household.secondRound')}
        helper={t('household.leftEmptyOneDay')}
        value={typed('evening', house.roundsMin[1] === undefined ? '' : clockTimeOf(house.roundsMin[1]))}
        error={wrong('evening')}
      />
    </div>
    <Select
      name="methodKey"
      labelText={t('household.usualMethod')}
      selected={typed('methodKey', house.methodKey)}
    >
      {#each data.methods as method (method.key)}<SelectItem
          value={method.key}
          text={methodName(method)}
        />{/each}
    </Select>
    <Select
      labelText={t('household.nearestTheseHowStrongDaylight')}
      on:change={(event) => (latitude = (event.target as HTMLSelectElement).value || latitude)}
    >
      <SelectItem value="" text={t('household.iGiveLatitudeMyself')} />
      {#each LATITUDES as { name, deg } (name)}<SelectItem value={String(deg)} text={name} />{/each}
    </Select>
    <Field
      name="latitudeDeg"
      label={t('household.latitudeDegreesSouthNegative')}
      helper={t('household.roughFigureWillDoNobody')}
      value={latitude}
      oninput={(typed) => (latitude = typed)}
      error={wrong('latitudeDeg')}
    />
    <p class="small">
      <Rich parts={rich('household.whatYouEatLikeHave')}
        >{#snippet link(text: string)}<a href="/ahead/appetite">{text}</a>{/snippet}{#snippet link2(
          text: string
        )}<a href="/crops">{text}</a>{/snippet}</Rich
      >
    </p>
    <Button type="submit">{t('household.save')}</Button>
  </form>

  <div class="stack">
    <section>
      <h2>{t('household.places')}</h2>
      <ul class="places">
        {#each data.places as place (place.id)}
          <li>
            <a href="/shelf/{place.id}">{place.name}</a><br /><span class="soft small"
              >{t('household.lightTemperatureByDayTemperature', {
                light: lightWords(place.light),
                temperature: temperature(place.dayC, house.units),
                temperature2: temperature(place.nightC, house.units),
                when: place.movingAir ? 'yes' : 'no'
              })}</span
            >
          </li>
        {:else}
          <li class="soft">{t('household.placeAddedWithFirstSowing')}</li>
        {/each}
      </ul>
    </section>
    <form method="POST" action="?/theme">
      <h2>{t('household.look')}</h2>
      <div class="row">
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="light"
          >{t('household.light')}</Button
        >
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="dark"
          >{t('household.dark')}</Button
        >
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="device"
          >{t('household.asDevice')}</Button
        >
      </div>
    </form>
    <details class="unfold">
      <summary>{t('app.keys.title')}</summary>
      <KeyList />
    </details>
    {#if !house.demo}
      <Devices
        sessions={data.sessions}
        here={data.sessionId}
        now={data.now}
        locale={house}
        done={done === 'sessions'}
      />
      <Passphrase {wrong} done={done === 'passphrase'} />
    {/if}
    <p class="small soft">
      {t('household.sellingOrGivingGreensAway')}
    </p>
  </div>
</div>

<style>
  .lead {
    margin: 0.25rem 0 1.25rem;
  }
  .columns {
    --first: 1.2fr;
  }
  .places {
    list-style: none;
    margin: 0.5rem 0 0;
    padding: 0;
    display: grid;
    gap: 0.6rem;
  }
  h2 {
    margin-bottom: 0.25rem;
  }
</style>
