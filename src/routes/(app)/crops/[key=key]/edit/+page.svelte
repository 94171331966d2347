<script lang="ts">
  import { unitLabel } from '$words/units.ts';
  import { cropInText, cropName, cropNote } from '$words/cropNames.ts';
  import { rich, t, table } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { nearestCrop } from '$core/crops/check.ts';
  import { FIGURE_GROUPS, FIGURE_KEYS, FIGURES, type NumberKey, type OneOfKey } from '$core/crops/figures.ts';
  import { ANSWER_NAMES, FIGURE_NAMES, GROUP_NAMES } from '$words/cropFigures.ts';
  import { CONFIRMATIONS, doubtWords, REFUSED_WORDS } from '$words/plantNames.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import { CROPS } from '$core/crops/library.ts';
  import { confirmationOf, doubtIn, verdictOnPlant } from '$core/crops/names/verdict.ts';
  import { unitShown, shownIn } from '$core/units/field.ts';
  import { densityFigure, densityUnit } from '$core/units/format.ts';
  import { goto } from '$app/navigation';
  import { edibleNote } from '$words/edibleNote.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { units } = $derived(data.household);
  const crop = $derived<Crop>(data.crop);
  const { wrong, typed } = formAnswers(() => form);
  let name = $state(untrack(() => typed('name', cropName(data.crop.name))));
  let botanical = $state(untrack(() => typed('botanicalName', data.crop.botanicalName)));
  let family = $state(untrack(() => typed('family', data.crop.family)));
  const verdict = $derived(verdictOnPlant({ name, botanicalName: botanical, family }));
  const refused = $derived(verdict.kind === 'refused' ? REFUSED_WORDS[verdict.why] : null);
  const doubt = $derived(name.trim() === '' ? null : doubtIn(verdict));
  const confirmation = $derived(doubt && confirmationOf(doubt, { name, botanicalName: botanical }));
  /** The library's crop nearest to what is being described, where that is another than the one begun with. */
  const nearest = $derived(botanical.trim() === '' ? null : nearestCrop(CROPS, botanical, family));

  const groups = FIGURE_GROUPS.map((group) => ({
    group,
    keys: FIGURE_KEYS.filter((key) => FIGURES[key].group === group)
  }));
  const YES_NO: Record<string, string> = table('crops.answer.yesNo');
  const densityLabels = $derived.by(() => {
    const unit = densityUnit(units);
    return {
      sparse: t('crops.edit.density.sparse', { unit }),
      usual: t('crops.edit.density.usual', { unit }),
      dense: t('crops.edit.density.dense', { unit })
    };
  });
  const answerOf = (value: unknown): string =>
    typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
</script>

<svelte:head><title>{data.isNew ? t('crops.newCrop') : cropName(crop.name)} · Brote</title></svelte:head>

<p class="small">
  <a href={data.isNew ? '/crops' : `/crops/${crop.key}`}
    >← {data.isNew ? t('crops.crops') : cropName(crop.name)}</a
  >
</p>
<h1>{data.isNew ? t('crops.cropYourOwn') : t('crops.yourFiguresName', { name: cropInText(crop.name) })}</h1>
<form
  method="POST"
  action="?/save{data.isNew ? `&from=${data.from.key}` : ''}"
  class="stack"
  use:enhance={{ reset: false }}
  novalidate
>
  <input type="hidden" name="key" value={typed('key', crop.key)} />
  {#if data.isNew}
    <Select
      labelText={t('crops.startFromCropNearest')}
      selected={data.from.key}
      on:change={(event) => void goto(`?from=${(event.target as HTMLSelectElement).value}`)}
    >
      {#each CROPS as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
    </Select>
  {/if}
  <div class="fields">
    <Field
      name="name"
      label={t('crops.name')}
      value={name}
      oninput={(typed) => (name = typed)}
      error={refused ?? wrong('name')}
    />
    <Field
      name="botanicalName"
      label={t('crops.botanicalName')}
      value={botanical}
      oninput={(typed) => (botanical = typed)}
      error={wrong('botanicalName')}
    />
    <Field
      name="family"
      label={t('crops.family')}
      value={family}
      oninput={(typed) => (family = typed)}
      error={wrong('family')}
    />
  </div>
  {#if data.isNew && nearest && nearest.key !== data.from.key}
    <p class="small">
      <Rich parts={rich('crops.nearestLibraryNameLinkStart', { name: cropInText(nearest.name) })}
        >{#snippet link(text: string)}<a href="?from={nearest.key}">{text}</a>{/snippet}</Rich
      >
    </p>
  {/if}
  {#if edibleNote({ ...crop, name, botanicalName: botanical, family })}
    <Caution>{edibleNote({ ...crop, name, botanicalName: botanical, family })}</Caution>
  {/if}
  {#if doubt}
    <div class="doubt">
      <Caution>{doubtWords(doubt)}</Caution>
      {#key confirmation}
        <label>
          <input
            type="checkbox"
            name="sure"
            value={confirmation}
            checked={typed('sure') === confirmation}
            aria-invalid={wrong('sure') !== ''}
          />
          {CONFIRMATIONS[doubt.kind]}
        </label>
      {/key}
      {#if wrong('sure')}<p class="alarm small" role="alert">{wrong('sure')}</p>{/if}
    </div>
  {/if}
  <p class="small soft">
    {t('crops.onlyGrowPlantsKnownBe')}
  </p>
  {#key data.from.key}
    <fieldset>
      <legend>{t('crops.density')}</legend>
      <div class="fields">
        {#each ['sparse', 'usual', 'dense'] as const as density (density)}
          <Field
            name="seedsPerCm2.{density}"
            label={densityLabels[density]}
            value={typed(`seedsPerCm2.${density}`, densityFigure(crop.seedsPerCm2[density], units))}
            helper={data.book && !data.isNew
              ? t('crops.bookDensityfigure', {
                  densityFigure: densityFigure(data.book.seedsPerCm2[density], units)
                })
              : ''}
            error={wrong(`seedsPerCm2.${density}`)}
            inputmode="decimal"
          />
        {/each}
      </div>
    </fieldset>
    {#each groups as { group, keys } (group)}
      <fieldset>
        <legend>{GROUP_NAMES[group]}</legend>
        <div class="fields">
          {#each keys as key (key)}
            {@const one = FIGURES[key]}
            {#if one.kind === 'number'}
              {@const value = crop[key as NumberKey]}
              {@const book = data.book?.[key as NumberKey]}
              <Field
                name={key}
                label="{FIGURE_NAMES[key]} ({unitLabel(unitShown(one.unit, units))})"
                value={typed(key, shownIn(value, one.unit, units))}
                helper={book !== undefined && !data.isNew && book !== value
                  ? t('crops.bookBook', { book: shownIn(book, one.unit, units) })
                  : ''}
                error={wrong(key)}
                inputmode="decimal"
              />
            {:else}
              {@const options = one.kind === 'yes-no' ? YES_NO : ANSWER_NAMES[key as OneOfKey]}
              <Select name={key} labelText={FIGURE_NAMES[key]} selected={typed(key, answerOf(crop[key]))}>
                {#each Object.entries(options) as [value, text] (value)}<SelectItem {value} {text} />{/each}
              </Select>
            {/if}
          {/each}
        </div>
      </fieldset>
    {/each}
  {/key}
  <Field name="note" label={t('crops.note')} value={typed('note', cropNote(crop))} error={wrong('note')} />
  <div class="row">
    <Button type="submit" disabled={refused !== null}>{t('crops.save')}</Button>
    <Button kind="ghost" href={data.isNew ? '/crops' : `/crops/${crop.key}`}>{t('crops.notNow')}</Button>
    {#if data.isOwn}<Button type="submit" kind="ghost" class="undo" formaction="?/retire"
        >{data.book && data.book.key === crop.key ? t('crops.backBooksFigures') : t('crops.putAway')}</Button
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
