<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Select, SelectItem, SelectItemGroup } from 'carbon-components-svelte';
  import type { Crop } from '$core/crops/crop.ts';
  import { PAST_FIELDS } from '$core/notebook/past/columns.ts';
  import { nameKeyOf } from '$core/notebook/past/readPast.ts';
  import type { DayOrder } from '$core/time/readDay.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { DAY_ORDER_WORDS, linesWords, PAST_FIELD_WORDS } from '$words/past.ts';
  import type { PastImport } from './pastImport.svelte.ts';

  interface Named {
    id: string;
    name: string;
  }
  let {
    past,
    crops,
    places,
    containers
  }: { past: PastImport; crops: readonly Crop[]; places: readonly Named[]; containers: readonly Named[] } =
    $props();
  const columns = $derived(past.read?.columns ?? []);
  const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value;
  const LEAVE_OUT = '-';

  function choose(typed: string, value: string) {
    if (value === '') past.names.delete(nameKeyOf(typed));
    else past.names.set(nameKeyOf(typed), value === LEAVE_OUT ? null : value);
    past.changed();
  }
  const chosen = (typed: string): string => {
    const answer = past.names.get(nameKeyOf(typed));
    return answer === undefined ? '' : (answer ?? LEAVE_OUT);
  };
</script>

{#if past.list && past.list.orders.length > 1}
  <Choice
    legend={t('household.ambiguousCanBeReadMore', { ambiguous: past.list.ambiguous ?? '' })}
    name="past-order"
    options={past.list.orders.map((order) => ({ value: order, text: DAY_ORDER_WORDS[order] }))}
    value={past.order ?? ('' as DayOrder)}
    onchange={(value) => {
      past.order = value;
      past.changed();
    }}
  />
{/if}
{#if past.list && past.list.unknown.length > 0}
  <fieldset>
    <legend>{t('household.whichCropsThese')}</legend>
    {#each past.list.unknown as { typed, lines, like } (typed)}
      <Select
        size="sm"
        labelText="{typed} ({linesWords(lines)})"
        selected={chosen(typed)}
        on:change={(event) => choose(typed, valueOf(event))}
      >
        <SelectItem value="" text={t('household.chooseCrop')} />
        {#if like.length > 0}<SelectItemGroup label={t('household.perhaps')}>
            {#each like as crop (crop.key)}<SelectItem value={crop.key} text={cropName(crop.name)} />{/each}
          </SelectItemGroup>{/if}
        <SelectItem value={LEAVE_OUT} text={t('household.leaveOut')} />
        <SelectItemGroup label={t('household.allCrops')}>
          {#each crops.filter((crop) => !like.includes(crop)) as crop (crop.key)}<SelectItem
              value={crop.key}
              text={cropName(crop.name)}
            />{/each}
        </SelectItemGroup>
      </Select>
    {/each}
  </fieldset>
{/if}
{#if past.list?.unitless.has('mass')}
  <Choice
    legend={t('household.weightsWithoutUnit')}
    name="past-mass"
    options={[
      { value: 'g', text: t('notebook.past.unit.grams') },
      { value: 'oz', text: t('notebook.past.unit.ounces') }
    ]}
    value={past.massUnit}
    onchange={(value) => {
      past.massUnit = value;
      past.changed();
    }}
  />
{/if}
{#if past.list?.unitless.has('length')}
  <Choice
    legend={t('household.sizesWithoutUnit')}
    name="past-length"
    options={[
      { value: 'cm', text: t('notebook.past.unit.centimetres') },
      { value: 'in', text: t('notebook.past.unit.inches') }
    ]}
    value={past.lengthUnit}
    onchange={(value) => {
      past.lengthUnit = value;
      past.changed();
    }}
  />
{/if}
{#if past.list}
  <fieldset>
    <legend>{t('household.whereListDoesntSay')}</legend>
    <Select
      size="sm"
      labelText={t('household.theyStood')}
      selected={past.placeId}
      helperText={past.list.otherPlaces.length > 0
        ? t('household.alsoSliceWhichIsntPlace', {
            slice: past.list.otherPlaces.slice(0, 4).join(', '),
            otherPlaces: past.list.otherPlaces.length
          })
        : ''}
      on:change={(event) => {
        past.placeId = valueOf(event);
        past.changed();
      }}
    >
      {#each places as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
    </Select>
    <Select
      size="sm"
      labelText={t('household.theyGrew')}
      selected={past.containerId}
      helperText={past.containerId === '' ? t('household.broteLearnsNothingAboutYields') : ''}
      on:change={(event) => {
        past.containerId = valueOf(event);
        past.changed();
      }}
    >
      <SelectItem value="" text={t('household.iDontKnow')} />
      {#each containers as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
    </Select>
  </fieldset>
{/if}
{#if columns.length > 0}
  <details class="unfold" open={past.read?.ok === false}>
    <summary>{t('household.columns')}</summary>
    <fieldset>
      <legend class="visually-hidden">{t('household.whatEachColumnList')}</legend>
      {#each PAST_FIELDS as field (field)}
        <Select
          size="sm"
          labelText={PAST_FIELD_WORDS[field]}
          selected={String((past.by ?? past.list?.by)?.[field] ?? -1)}
          on:change={(event) => past.match(field, Number(valueOf(event)))}
        >
          <SelectItem
            value="-1"
            text={field === 'crop' || field === 'sown' ? t('household.chooseColumn') : t('household.notList')}
          />
          {#each columns as name, index (index)}<SelectItem
              value={String(index)}
              text={name || t('household.columnIndex', { index: index + 1 })}
            />{/each}
        </Select>
      {/each}
    </fieldset>
  </details>
{/if}

<style>
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    gap: 0.6rem;
    align-items: start;
  }
  legend {
    font-weight: 620;
    margin-bottom: 0.4rem;
  }
</style>
