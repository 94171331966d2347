<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { isSoaked, type Crop } from '$core/crops/crop.ts';
  import { MEDIA, type MediumStock, type MediumKind } from '$core/supplies/media/medium.ts';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { mostInStack, onTopOf } from '$core/shelf/stack.ts';
  import type { Units } from '$core/units/format.ts';
  import type { Strengths } from '$core/supplies/seed/disinfect.ts';
  import type { Method } from '$core/supplies/methods/method.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import MethodFields from '$ui/methods/MethodFields.svelte';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import type { Draft } from './draft.ts';

  /** What a household rarely changes: medium, method, density, and figures of its own. */
  interface Props {
    draft: Draft;
    /** Crops that are chosen so far. */
    chosen: readonly Crop[];
    method: Method;
    methods: readonly Method[];
    media: readonly MediumStock[];
    /** The sowings that the draft plans so far. */
    sowings: readonly PlannedSowing[];
    wrong: Record<string, string>;
    strengths: Strengths;
    units: Units;
  }
  let {
    draft = $bindable(),
    strengths,
    sowings,
    chosen,
    method,
    methods,
    media,
    wrong,
    units
  }: Props = $props();

  /** What its method is usually grown on, where that is not what was chosen: offered, never taken by itself. */
  const usualMedium = $derived(method.medium !== draft.medium ? method.medium : null);
  const alone = $derived(chosen.length === 1 ? chosen[0]! : null);

  /** A stack of its own trays, where it has one. */
  const stacked = $derived(
    sowings.map(({ projected }) => projected).find(({ path }) => path.cover === 'stacked')
  );
  const heights = $derived(
    stacked
      ? Array.from({ length: Math.min(mostInStack(stacked), stacked.setup.count) }, (_, n) => n + 1)
      : []
  );

  function chooseMedium(value: string) {
    const own = media.find(({ id }) => id === value);
    draft.mediumId = own?.id ?? '';
    draft.medium = own?.kind ?? (value as MediumKind);
  }
  function chooseMethod(key: string) {
    draft.methodKey = key;
    draft.method = null;
  }
</script>

<details class="unfold">
  <summary>Medium, method, density, own figures</summary>
  <div class="stack">
    <Select
      labelText="Medium"
      selected={draft.mediumId || draft.medium}
      on:change={(event) => chooseMedium((event.target as HTMLSelectElement).value)}
      invalid={!!wrong.medium}
      invalidText={wrong.medium}
    >
      {#each MEDIA as medium (medium)}<SelectItem value={medium} text={MEDIUM_WORDS[medium]} />{/each}
      {#each media as medium (medium.id)}<SelectItem value={medium.id} text={medium.name} />{/each}
    </Select>
    <Select
      labelText="Method"
      selected={draft.methodKey}
      on:change={(event) => chooseMethod((event.target as HTMLSelectElement).value)}
      helperText={draft.method ? 'Changed for this sowing alone' : ''}
      invalid={!!wrong.methodKey}
      invalidText={wrong.methodKey}
    >
      {#each methods as one (one.key)}<SelectItem value={one.key} text={one.name} />{/each}
    </Select>
    {#if usualMedium}
      <p class="small">
        {method.name} is usually grown on {MEDIUM_WORDS[usualMedium].toLowerCase()}.
        <Button kind="ghost" class="chip quiet" on:click={() => chooseMedium(usualMedium)}
          >Take {MEDIUM_WORDS[usualMedium].toLowerCase()}</Button
        >
      </p>
    {/if}
    <details class="unfold">
      <summary>Do this sowing differently</summary>
      <MethodFields
        bind:method={() => method, (changed) => (draft.method = changed)}
        {wrong}
        {strengths}
        {units}
      />
    </details>
    <Choice
      legend="Density"
      name="density"
      options={[
        { value: 'sparse', text: 'Sparse' },
        { value: 'usual', text: 'Usual' },
        { value: 'dense', text: 'Dense' },
        { value: 'own', text: 'Own' }
      ]}
      bind:value={draft.density}
    />
    {#if draft.density === 'own'}
      <TextInput
        labelText={units === 'us' ? 'Seeds per in²' : 'Seeds per cm²'}
        helperText={units === 'us'
          ? 'Or with a unit, such as 2 per cm²'
          : 'Or with a unit, such as 11 per in²'}
        bind:value={draft.ownDensity}
        invalid={!!wrong.seedsPerCm2}
        invalidText={wrong.seedsPerCm2}
        inputmode="decimal"
      />
    {/if}
    <TextInput
      labelText="Germination of your seed (%)"
      helperText={alone ? `Usual for ${alone.name.toLowerCase()}: ${alone.germinationPct} %` : ''}
      bind:value={draft.germination}
      invalid={!!wrong.germinationPct}
      invalidText={wrong.germinationPct}
      inputmode="decimal"
    />
    {#if chosen.some((crop) => isSoaked(crop) && !crop.gelSeed) || draft.soak !== ''}
      <TextInput
        labelText="Soak (hours)"
        helperText="Empty for the crop’s own, 0 to sow it dry{alone
          ? `; usual ${alone.soakMinH} to ${alone.soakMaxH} h`
          : ''}"
        bind:value={draft.soak}
        invalid={!!wrong.soakH}
        invalidText={wrong.soakH}
        inputmode="decimal"
      />
    {/if}
    {#if stacked && stacked.setup.count > 1 && (heights.length > 1 || draft.stack !== '')}
      <Select
        labelText="Trays in a stack"
        selected={draft.stack}
        helperText="Up to 1.5 times what the seed at the bottom bears"
        on:change={(event) => (draft.stack = (event.target as HTMLSelectElement).value)}
        invalid={!!wrong.stackOf}
        invalidText={wrong.stackOf}
      >
        <SelectItem value="" text="As many as the seed bears ({onTopOf(stacked) + 1})" />
        {#each heights as height (height)}<SelectItem value={String(height)} text={String(height)} />{/each}
      </Select>
    {/if}
    {#if draft.parts.length > 0}
      <QuantityField
        label={draft.kind === 'one'
          ? 'Seed, if you overrule it and the density'
          : 'Seed in all, if you overrule it and the density'}
        kind="mass"
        unit="g"
        bind:value={() => draft.ownSeedG ?? NaN, (typed) => (draft.ownSeedG = typed > 0 ? typed : null)}
        error={wrong.ownSeedG}
      />
    {/if}
  </div>
</details>
