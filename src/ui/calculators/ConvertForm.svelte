<script lang="ts">
  import { unitLabel } from '$words/units.ts';
  import { t } from '$messages/t.ts';
  import { TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { replaceState } from '$app/navigation';
  import { convert, CONVERSIONS, unitsIn, type ConversionGroup } from '$core/calculators/convert.ts';
  import { readNumber } from '$core/units/parseQuantity.ts';
  import { figure } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';

  /** What the address says. */
  let { params }: { params: readonly (readonly [string, string])[] } = $props();

  const GROUPS = [...Object.keys(CONVERSIONS), 'temperature'] as ConversionGroup[];
  const NAMES: Record<ConversionGroup, string> = {
    weight: t('bench.weight'),
    volume: t('bench.volume'),
    length: t('bench.length'),
    area: t('bench.area'),
    density: t('bench.seedDensity'),
    pressure: t('bench.pressing'),
    strength: t('bench.strength'),
    temperature: t('bench.temperature')
  };
  const start = untrack(() => new Map(params));
  const asked = start.get('of') as ConversionGroup;
  let group = $state<ConversionGroup>(GROUPS.includes(asked) ? asked : 'volume');
  let unit = $state(
    untrack(() =>
      unitsIn(group).includes(start.get('unit') ?? '') ? start.get('unit')! : unitsIn(group)[0]!
    )
  );
  let text = $state(start.get('value') ?? '1');

  const value = $derived(readNumber(text));

  function remember() {
    replaceState(`?${new URLSearchParams({ of: group, unit, value: text })}`, {});
  }
  function choose() {
    unit = unitsIn(group)[0]!;
    remember();
  }
  function type(of: string, typed: string) {
    unit = of;
    text = typed;
    remember();
  }
  const shown = (of: string): string =>
    of === unit ? text : value === null ? '' : figure(convert(group, value, unit, of));
</script>

<form class="stack" onsubmit={(event) => event.preventDefault()} novalidate>
  <Choice
    legend={t('bench.what')}
    name="of"
    options={GROUPS.map((one) => ({ value: one, text: NAMES[one] }))}
    bind:value={group}
    onchange={choose}
  />
  <div class="fields">
    {#each unitsIn(group) as of (of)}
      <TextInput
        labelText={unitLabel(of)}
        value={shown(of)}
        on:input={(event) => type(of, String(event.detail ?? ''))}
        invalid={of === unit && value === null}
        invalidText={t('bench.writeNumberSuchAsOr')}
        inputmode="decimal"
        autocomplete="off"
      />
    {/each}
  </div>
</form>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
    gap: 0.9rem;
    align-items: start;
  }
</style>
