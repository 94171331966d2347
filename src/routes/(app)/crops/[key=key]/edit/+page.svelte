<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { enhance } from '$app/forms';
  import { CROP_FIGURES, nearestCrop } from '$core/crops/check.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import { CROPS } from '$core/crops/library.ts';
  import { isKnownFood, refusedWhy } from '$core/crops/refused.ts';
  import { figure } from '$core/units/format.ts';
  import { goto } from '$app/navigation';
  import { edibleNote } from '$words/edibleNote.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const crop = $derived<Crop>(data.crop);
  const { wrong, kept } = formAnswers(() => form);
  let name = $state(untrack(() => kept('name', data.crop.name)));
  let botanical = $state(untrack(() => kept('botanicalName', data.crop.botanicalName)));
  const refused = $derived(refusedWhy(name, botanical));
  let family = $state(untrack(() => kept('family', data.crop.family)));
  /** The library's crop nearest to what is being described, where that is another than the one begun with. */
  const nearest = $derived(botanical.trim() === '' ? null : nearestCrop(CROPS, botanical, family));

  type FigureKey = keyof typeof CROP_FIGURES;
  const GROUPS: { heading: string; figures: FigureKey[] }[] = [
    { heading: 'Seed', figures: ['thousandSeedWeightG', 'germinationPct'] },
    { heading: 'Soak', figures: ['soakMinH', 'soakBestH', 'soakMaxH', 'drainH'] },
    { heading: 'Press', figures: ['pressMinGCm2', 'pressMaxGCm2'] },
    {
      heading: 'Days from sowing, at a steady 21 °C in good light',
      figures: [
        'rootedD21',
        'lightReadyD21',
        'windowOpenD21',
        'windowBestD21',
        'windowCloseD21',
        'durationCv'
      ]
    },
    { heading: 'Warmth', figures: ['baseC', 'optimumC', 'maximumC', 'keepBelowC'] },
    {
      heading: 'Harvest',
      figures: [
        'heightMinCm',
        'heightMaxCm',
        'yieldLowGM2',
        'yieldMidGM2',
        'yieldHighGM2',
        'keepsMinD',
        'keepsMaxD',
        'keepAtC'
      ]
    }
  ];
  const CHOICES = [
    { key: 'cover', label: 'Cover the seed', options: { none: 'no', thin: 'thinly', full: 'fully' } },
    {
      key: 'germinationLight',
      label: 'Sprouts in',
      options: { dark: 'the dark', light: 'light', either: 'either' }
    },
    {
      key: 'disinfect',
      label: 'Disinfecting',
      options: { no: 'not needed', optional: 'as you wish', advised: 'advised' }
    },
    {
      key: 'harvestCue',
      label: 'Cut when',
      options: {
        cotyledon: 'seed leaves are open',
        'true-leaf': 'the first true leaf shows',
        height: 'tall enough',
        tips: 'tips are long'
      }
    },
    { key: 'mouldRisk', label: 'Mould risk', options: { low: 'low', medium: 'medium', high: 'high' } },
    {
      key: 'droughtRisk',
      label: 'Hurt by drought',
      options: { low: 'little', medium: 'somewhat', high: 'badly' }
    }
  ] as const;
  const yesNo = (value: boolean) => (value ? 'yes' : 'no');
</script>

<svelte:head><title>{data.isNew ? 'New crop' : crop.name} · Brote</title></svelte:head>

<p class="small">
  <a href={data.isNew ? '/crops' : `/crops/${crop.key}`}>← {data.isNew ? 'Crops' : crop.name}</a>
</p>
<h1>{data.isNew ? 'A crop of your own' : `Your figures for ${crop.name.toLowerCase()}`}</h1>
<form
  method="POST"
  action="?/save{data.isNew ? `&from=${data.from.key}` : ''}"
  class="stack"
  use:enhance={() =>
    ({ update }) =>
      update({ reset: false })}
  novalidate
>
  <input type="hidden" name="key" value={kept('key', crop.key)} />
  {#if data.isNew}
    <Select
      labelText="Start from the crop nearest to it"
      selected={data.from.key}
      on:change={(event) => void goto(`?from=${(event.target as HTMLSelectElement).value}`)}
    >
      {#each CROPS as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
    </Select>
  {/if}
  <div class="fields">
    <Field
      name="name"
      label="Name"
      value={name}
      oninput={(typed) => (name = typed)}
      error={refused ?? wrong('name')}
    />
    <Field
      name="botanicalName"
      label="Botanical name"
      value={botanical}
      oninput={(typed) => (botanical = typed)}
      error={wrong('botanicalName')}
    />
    <Field
      name="family"
      label="Family"
      value={family}
      oninput={(typed) => (family = typed)}
      error={wrong('family')}
    />
  </div>
  {#if data.isNew && nearest && nearest.key !== data.from.key}
    <p class="small">
      The nearest in the library is {nearest.name.toLowerCase()}:
      <a href="?from={nearest.key}">start from its figures</a>.
    </p>
  {/if}
  {#if edibleNote({ ...crop, name, botanicalName: botanical, family })}
    <Caution>{edibleNote({ ...crop, name, botanicalName: botanical, family })}</Caution>
  {/if}
  <p class="small soft">
    Only plants that are known to be good to eat young. Nightshades, rhubarb, ornamental sweet pea, lupin,
    castor bean and raw kidney bean are refused. Brote cannot know every plant: if in doubt, leave it.
  </p>
  {#if !refused && name.trim() !== '' && !isKnownFood({ name, botanicalName: botanical })}
    <div class="doubt">
      <Caution
        >Brote does not know this plant. Eat no seedling whose young leaves are not known to be food.</Caution
      >
      <label>
        <input
          type="checkbox"
          name="sure"
          value="yes"
          checked={kept('sure') === 'yes'}
          aria-invalid={wrong('sure') !== ''}
        />
        I know that its young leaves are eaten
      </label>
      {#if wrong('sure')}<p class="alarm small" role="alert">Say so with a tick, or leave this plant.</p>{/if}
    </div>
  {/if}
  {#key data.from.key}
    <fieldset>
      <legend>Density</legend>
      <div class="fields">
        {#each ['sparse', 'usual', 'dense'] as const as density (density)}
          <Field
            name="seedsPerCm2.{density}"
            label="{density.charAt(0).toUpperCase()}{density.slice(1)} (seeds/cm²)"
            value={kept(`seedsPerCm2.${density}`, figure(crop.seedsPerCm2[density]))}
            helper={data.book && !data.isNew ? `Book: ${figure(data.book.seedsPerCm2[density])}` : ''}
            error={wrong(`seedsPerCm2.${density}`)}
            inputmode="decimal"
          />
        {/each}
      </div>
    </fieldset>
    {#each GROUPS as group (group.heading)}
      <fieldset>
        <legend>{group.heading}</legend>
        <div class="fields">
          {#each group.figures as key (key)}
            {@const [, , label, unit] = CROP_FIGURES[key]!}
            <Field
              name={key}
              label="{label} ({unit})"
              value={kept(key, figure(crop[key]))}
              helper={data.book && !data.isNew && data.book[key] !== crop[key]
                ? `Book: ${figure(data.book[key])}`
                : ''}
              error={wrong(key)}
              inputmode="decimal"
            />
          {/each}
        </div>
      </fieldset>
    {/each}
    <fieldset>
      <legend>Habits</legend>
      <div class="fields">
        {#each CHOICES as { key, label, options } (key)}
          <Select name={key} labelText={label} selected={kept(key, crop[key])}>
            {#each Object.entries(options) as [value, text] (value)}<SelectItem {value} {text} />{/each}
          </Select>
        {/each}
        <Select name="gelSeed" labelText="Seed gels when wet" selected={kept('gelSeed', yesNo(crop.gelSeed))}>
          <SelectItem value="no" text="no" /><SelectItem value="yes" text="yes" />
        </Select>
        <Select name="regrows" labelText="Grows again" selected={kept('regrows', yesNo(crop.regrows))}>
          <SelectItem value="no" text="no" /><SelectItem value="yes" text="yes" />
        </Select>
      </div>
    </fieldset>
  {/key}
  <Field name="note" label="Note" value={kept('note', crop.note)} error={wrong('note')} />
  <div class="row">
    <Button type="submit" disabled={refused !== null}>Save</Button>
    <Button kind="ghost" href={data.isNew ? '/crops' : `/crops/${crop.key}`}>Not now</Button>
    {#if data.kept}<button class="undo" formaction="?/retire"
        >{data.book && data.book.key === crop.key ? 'Back to the book’s figures' : 'Put it away'}</button
      >{/if}
  </div>
</form>

<style>
  form {
    margin-top: 1rem;
    max-width: 52rem;
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
  }
  legend {
    padding: 0;
    font-weight: 620;
    margin-bottom: 0.4rem;
  }
  .doubt {
    display: grid;
    gap: 0.5rem;
  }
  .doubt label {
    display: flex;
    align-items: center;
    gap: 0.75rem;
    min-height: 2.75rem;
  }
  .doubt input {
    width: 1.5rem;
    height: 1.5rem;
    margin: 0;
    flex: none;
    accent-color: var(--beet);
  }
  .alarm {
    color: var(--alarm);
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    gap: 0.75rem;
    align-items: start;
  }
</style>
