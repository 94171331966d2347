<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { problem } from '$core/problem.ts';
  import { WEAK_WORDS } from '$words/disinfect.ts';
  import { asideName, quantityName } from '$words/calculators.ts';
  import { problemWords } from '$words/problems.ts';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { untrack, type Snippet } from 'svelte';
  import { replaceState } from '$app/navigation';
  import type { Crop } from '$core/crops/crop.ts';
  import { calculate, type Aside, type Calculated, type Calculator } from '$core/calculators/calculator.ts';
  import { figure, mass, volume, type Units } from '$core/units/format.ts';
  import { readQuantity, showQuantity, shownUnit } from './quantities.ts';
  import { workingOf } from './working.ts';

  interface Props {
    calculator: Calculator;
    crops: readonly Crop[];
    units: Units;
    /** What the address says: quantities as typed, oldest first. */
    params: readonly (readonly [string, string])[];
    /** What else is to be said of the crop chosen. */
    beside?: Snippet<[Crop]>;
  }
  let { calculator, crops, units, params, beside }: Props = $props();

  type Beyond = NonNullable<Calculated['beyond']>;

  const start = untrack(() => new Map(params));
  let cropKey = $state(start.get('crop') ?? 'radish');
  const crop = $derived(crops.find(({ key }) => key === cropKey) ?? crops[0]!);
  const context = $derived({ crop });
  const quantities = $derived(calculator.quantities(context));
  const keys = untrack(() => new Set(quantities.map(({ key }) => key)));

  let typed = $state<string[]>([...start.keys()].filter((key) => keys.has(key)));
  let texts = $state<Record<string, string>>(Object.fromEntries(start));

  const reads = $derived(
    Object.fromEntries(
      quantities.map(({ key, kind }) => [key, readQuantity(texts[key] ?? '', kind, units)] as const)
    )
  );
  const given = $derived(
    Object.fromEntries(
      quantities.map(({ key }) => {
        const read = reads[key]!;
        return [key, read.ok ? read.value : NaN];
      })
    )
  );
  const result = $derived(calculate(calculator, context, given, typed));
  const working = $derived(
    Number.isFinite(result.values[result.free])
      ? workingOf(calculator, context, result.values, result.free, units)
      : ''
  );

  function type(key: string, text: string) {
    texts[key] = text;
    // Emptied, it is worked out again, or goes back to where it began.
    typed =
      text.trim() === '' ? typed.filter((one) => one !== key) : [...typed.filter((one) => one !== key), key];
    remember();
  }
  /** The address always says what stands here, so that it can be sent to somebody. */
  function remember() {
    const words = typed.filter((key) => key !== result.free).map((key) => [key, texts[key] ?? '']);
    if (calculator.ofCrop) words.unshift(['crop', cropKey]);
    replaceState(`?${new URLSearchParams(words)}`, {});
  }
  const shown = (key: string): string => {
    const quantity = quantities.find((one) => one.key === key)!;
    if (key !== result.free && typed.includes(key)) return texts[key] ?? '';
    return showQuantity(result.values[key]!, quantity.kind, units);
  };
  function wrongOf(key: string): string {
    const read = reads[key]!;
    if (key === result.free || !typed.includes(key)) return '';
    if (!read.ok) return problemWords(read.problem);
    const outside = result.outside.find((one) => one.key === key);
    return outside
      ? problemWords(
          problem('figure-outside', {
            label: quantityName(calculator.key, key),
            low: outside.low,
            high: outside.high
          })
        )
      : '';
  }
  /** What it would take, and that it cannot be. */
  function beyondWords({ quantity: { key, kind, low, high }, value }: Beyond): string {
    const unit = shownUnit(kind, units);
    const shown = (of: number) => `${showQuantity(of, kind, units)}${unit ? ` ${unit}` : ''}`;
    const limit =
      value > high
        ? t('bench.moreThanShown', { shown: shown(high) })
        : t('bench.lessThanShown', { shown: shown(low) });
    return t('bench.labelWouldHaveBeShown', {
      label: quantityName(calculator.key, key),
      shown: shown(value),
      limit
    });
  }
  function asideWords({ kind, value }: Aside): string {
    if (kind === 'mass') return mass(value, units);
    if (kind === 'volume') return volume(value, units);
    if (kind === 'area')
      return t('bench.valueCmValue', { value: figure(Math.round(value)), value2: figure(value / 6.4516) });
    if (kind === 'seeds') return t('bench.aboutValue', { value: Math.round(value) });
    if (kind === 'teaspoons')
      return value < 3
        ? t('bench.maxTsp', { max: figure(Math.max(0.25, Math.round(value * 4) / 4)) })
        : t('bench.valueTbsp', { value: figure(Math.round((value / 3) * 4) / 4) });
    return figure(value);
  }
</script>

<div class="sums">
  <form class="stack" onsubmit={(event) => event.preventDefault()} novalidate>
    {#if calculator.ofCrop}
      <Select
        labelText={t('bench.crop')}
        selected={crop.key}
        on:change={(event) => {
          cropKey = (event.target as HTMLSelectElement).value;
          remember();
        }}
      >
        {#each crops as one (one.key)}<SelectItem value={one.key} text={cropName(one.name)} />{/each}
      </Select>
    {/if}
    <div class="fields">
      {#each quantities as quantity (quantity.key)}
        {@const unit = shownUnit(quantity.kind, units)}
        <div class:free={quantity.key === result.free}>
          <TextInput
            labelText="{quantityName(calculator.key, quantity.key)}{unit ? ` (${unit})` : ''}"
            value={shown(quantity.key)}
            on:input={(event) => type(quantity.key, String(event.detail ?? ''))}
            invalid={wrongOf(quantity.key) !== ''}
            invalidText={wrongOf(quantity.key)}
            helperText={quantity.key === result.free ? t('bench.workedOut') : ''}
            inputmode={quantity.kind === 'area' ? 'text' : 'decimal'}
            autocomplete="off"
          />
        </div>
      {/each}
    </div>
  </form>
  <section class="card stack" aria-label={t('bench.whatComes')} aria-live="polite">
    {#if result.refused}
      <p class="warn">{problemWords(result.refused)}</p>
    {:else if result.beyond}
      <p class="warn">{beyondWords(result.beyond)}</p>
    {:else if working}
      <p class="working">{working}</p>
      <dl>
        {#each result.asides as aside (aside.key)}
          <div>
            <dt class="soft">{asideName(calculator.key, aside.key)}</dt>
            <dd>{asideWords(aside)}</dd>
          </div>
        {/each}
      </dl>
      {#if result.isWeak && (calculator.key === 'hypochlorite' || calculator.key === 'peroxide')}
        <p class="warn small">{WEAK_WORDS[calculator.key]}</p>
      {/if}
      {@render beside?.(crop)}
      <p class="small soft">
        {t('bench.typeAnyFieldCanBe')}
      </p>
    {:else}
      <p class="soft">{t('bench.correctWhatMarkedWorkedOut')}</p>
    {/if}
  </section>
</div>

<style>
  .sums {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(18rem, 1fr));
    gap: 1.5rem;
    align-items: start;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: 0.9rem;
    align-items: start;
  }
  .free :global(input) {
    border-color: var(--beet);
    border-width: 2.5px;
    font-weight: 680;
  }
  .working {
    font-size: 1.1rem;
    font-weight: 560;
  }
  dl {
    margin: 0;
  }
  dl div {
    display: grid;
    grid-template-columns: 1fr 1fr;
    padding: 0.2rem 0;
  }
  dd {
    margin: 0;
    font-weight: 620;
  }
</style>
