<script lang="ts">
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
    legend="“{past.list.ambiguous}” can be read in more than one way. In this list dates are"
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
    <legend>Which crops are these?</legend>
    {#each past.list.unknown as { typed, lines, like } (typed)}
      <Select
        size="sm"
        labelText="{typed} ({linesWords(lines)})"
        selected={chosen(typed)}
        on:change={(event) => choose(typed, valueOf(event))}
      >
        <SelectItem value="" text="Choose a crop" />
        {#if like.length > 0}<SelectItemGroup label="Perhaps">
            {#each like as crop (crop.key)}<SelectItem value={crop.key} text={crop.name} />{/each}
          </SelectItemGroup>{/if}
        <SelectItem value={LEAVE_OUT} text="Leave out" />
        <SelectItemGroup label="All crops">
          {#each crops.filter((crop) => !like.includes(crop)) as crop (crop.key)}<SelectItem
              value={crop.key}
              text={crop.name}
            />{/each}
        </SelectItemGroup>
      </Select>
    {/each}
  </fieldset>
{/if}
{#if past.list?.unitless.has('mass')}
  <Choice
    legend="Weights without a unit are in"
    name="past-mass"
    options={[
      { value: 'g', text: 'grams' },
      { value: 'oz', text: 'ounces' }
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
    legend="Sizes without a unit are in"
    name="past-length"
    options={[
      { value: 'cm', text: 'centimetres' },
      { value: 'in', text: 'inches' }
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
    <legend>Where the list doesn’t say</legend>
    <Select
      size="sm"
      labelText="They stood in"
      selected={past.placeId}
      helperText={past.list.otherPlaces.length > 0
        ? `Also for ${past.list.otherPlaces.slice(0, 4).join(', ')}, which ${past.list.otherPlaces.length === 1 ? 'isn’t a place' : 'aren’t places'} on your shelf.`
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
      labelText="They grew in"
      selected={past.containerId}
      helperText={past.containerId === ''
        ? 'Brote learns nothing about yields from trays of an unknown size.'
        : ''}
      on:change={(event) => {
        past.containerId = valueOf(event);
        past.changed();
      }}
    >
      <SelectItem value="" text="I don’t know" />
      {#each containers as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
    </Select>
  </fieldset>
{/if}
{#if columns.length > 0}
  <details class="unfold" open={past.read?.ok === false}>
    <summary>Columns</summary>
    <fieldset>
      <legend class="visually-hidden">What each column of the list is</legend>
      {#each PAST_FIELDS as field (field)}
        <Select
          size="sm"
          labelText={PAST_FIELD_WORDS[field]}
          selected={String((past.by ?? past.list?.by)?.[field] ?? -1)}
          on:change={(event) => past.match(field, Number(valueOf(event)))}
        >
          <SelectItem
            value="-1"
            text={field === 'crop' || field === 'sown' ? 'Choose a column' : 'Not in the list'}
          />
          {#each columns as name, index (index)}<SelectItem
              value={String(index)}
              text={name || `Column ${index + 1}`}
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
