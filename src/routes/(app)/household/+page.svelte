<script lang="ts">
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

<svelte:head><title>Household · Brote</title></svelte:head>

<HouseholdTabs />
<h1>{house.name}</h1>
<p class="soft lead">You are {data.member.name}.</p>
<div class="columns">
  <form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
    <h2>Settings</h2>
    {#if done === 'settings'}<p role="status">Saved.</p>{/if}
    <Field name="name" label="Household" value={typed('name', house.name)} error={wrong('name')} />
    <ZoneAndUnits zones={data.zones} bind:zone bind:units {wrong} />
    {#if wrong('planned')}
      <p class="warn" role="alert">{wrong('planned')}</p>
      <Choice
        legend="What is planned begins"
        name="planned"
        options={ZONE_CHANGES.map((value) => ({ value, text: ZONE_CHANGE_WORDS[value] }))}
        value={'' as ZoneChange}
      />
    {/if}
    <div class="four">
      <Field
        name="wake"
        type="time"
        label="Up from"
        value={typed('wake', clockTimeOf(house.wakeMin))}
        error={wrong('wake')}
      />
      <Field
        name="sleep"
        type="time"
        label="In bed by"
        helper="May lie past midnight"
        value={typed('sleep', clockTimeOf(house.sleepMin))}
        error={wrong('sleep')}
      />
      <Field
        name="morning"
        type="time"
        label="First round"
        value={typed('morning', clockTimeOf(house.roundsMin[0]!))}
        error={wrong('morning')}
      />
      <Field
        name="evening"
        type="time"
        label="Second round"
        helper="Left empty: one a day"
        value={typed('evening', house.roundsMin[1] === undefined ? '' : clockTimeOf(house.roundsMin[1]))}
        error={wrong('evening')}
      />
    </div>
    <Select name="methodKey" labelText="Usual method" selected={typed('methodKey', house.methodKey)}>
      {#each data.methods as method (method.key)}<SelectItem value={method.key} text={method.name} />{/each}
    </Select>
    <Select
      labelText="Nearest of these, for how strong daylight is"
      on:change={(event) => (latitude = (event.target as HTMLSelectElement).value || latitude)}
    >
      <SelectItem value="" text="I give the latitude myself" />
      {#each LATITUDES as { name, deg } (name)}<SelectItem value={String(deg)} text={name} />{/each}
    </Select>
    <Field
      name="latitudeDeg"
      label="Latitude (degrees, south negative)"
      helper="A rough figure will do; nobody else is asked"
      value={latitude}
      oninput={(typed) => (latitude = typed)}
      error={wrong('latitudeDeg')}
    />
    <p class="small">
      What you eat, like and have time for stands under <a href="/ahead/appetite">Ahead</a>, crops and methods
      under <a href="/crops">Crops</a>.
    </p>
    <Button type="submit">Save</Button>
  </form>

  <div class="stack">
    <section>
      <h2>Places</h2>
      <ul class="places">
        {#each data.places as place (place.id)}
          <li>
            <a href="/shelf/{place.id}">{place.name}</a><br /><span class="soft small"
              >{lightWords(place.light)} · {temperature(place.dayC, house.units)} by day, {temperature(
                place.nightC,
                house.units
              )} at night{place.movingAir ? ' · moving air' : ''}</span
            >
          </li>
        {:else}
          <li class="soft">A place is added with the first sowing that stands there.</li>
        {/each}
      </ul>
    </section>
    <form method="POST" action="?/theme">
      <h2>Look</h2>
      <div class="row">
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="light">Light</Button>
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="dark">Dark</Button>
        <Button type="submit" kind="tertiary" class="chip" name="theme" value="device">As this device</Button>
      </div>
    </form>
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
      Selling or giving greens away? Rules on washing, labelling, licensing and tax differ: ask your local
      authority.
    </p>
  </div>
</div>

<style>
  .lead {
    margin: 0.25rem 0 1.25rem;
  }
  .columns {
    display: grid;
    grid-template-columns: 1.2fr 1fr;
    gap: 2rem 3.5rem;
    align-items: start;
  }
  .four {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1rem;
    align-items: start;
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
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
