<script lang="ts">
  import { methodName } from '$words/methods.ts';
  import { cropInText } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { isSoaked, type Crop } from '$core/crops/crop.ts';
  import { MEDIA, type MediumStock, type MediumKind } from '$core/supplies/media/medium.ts';
  import type { PlannedSowing } from '$core/sowing/planSowing.ts';
  import { mostInStack, onTopOf } from '$core/shelf/stack.ts';
  import type { Units } from '$core/units/format.ts';
  import type { Product } from '$core/supplies/seed/product.ts';
  import type { Strengths } from '$core/supplies/seed/disinfect.ts';
  import type { Method } from '$core/supplies/methods/method.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import MethodFields from '$ui/methods/MethodFields.svelte';
  import { MEDIUM_IN_TEXT, MEDIUM_WORDS } from '$words/media.ts';
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
    products: readonly Product[];
    /** `YYYY-MM-DD`. */
    today: string;
    units: Units;
  }
  let {
    draft = $bindable(),
    strengths,
    products,
    today,
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
  <summary
    >{t('sow.advancedNow', {
      medium: media.find(({ id }) => id === draft.mediumId)?.name ?? MEDIUM_WORDS[draft.medium],
      method: methodName(method),
      density: draft.density
    })}</summary
  >
  <div class="stack">
    <Select
      labelText={t('sow.medium')}
      selected={draft.mediumId || draft.medium}
      on:change={(event) => chooseMedium((event.target as HTMLSelectElement).value)}
      invalid={!!wrong.medium}
      invalidText={wrong.medium}
    >
      {#each MEDIA as medium (medium)}<SelectItem value={medium} text={MEDIUM_WORDS[medium]} />{/each}
      {#each media as medium (medium.id)}<SelectItem value={medium.id} text={medium.name} />{/each}
    </Select>
    <Select
      labelText={t('sow.method')}
      selected={draft.methodKey}
      on:change={(event) => chooseMethod((event.target as HTMLSelectElement).value)}
      helperText={draft.method ? t('sow.changedSowingAlone') : ''}
      invalid={!!wrong.methodKey}
      invalidText={wrong.methodKey}
    >
      {#each methods as one (one.key)}<SelectItem value={one.key} text={methodName(one)} />{/each}
    </Select>
    {#if usualMedium}
      <p class="small">
        {t('sow.nameUsuallyGrownOnUsualmedium', {
          name: methodName(method),
          usualMedium: MEDIUM_IN_TEXT[usualMedium]
        })}
        <Button kind="ghost" class="chip quiet" on:click={() => chooseMedium(usualMedium)}
          >{t('sow.takeUsualmedium', { usualMedium: MEDIUM_IN_TEXT[usualMedium] })}</Button
        >
      </p>
    {/if}
    <details class="unfold">
      <summary>{t('sow.doSowingDifferently')}</summary>
      <MethodFields
        bind:method={() => method, (changed) => (draft.method = changed)}
        {wrong}
        {strengths}
        {products}
        {today}
        {units}
      />
    </details>
    <Choice
      legend={t('sow.density')}
      name="density"
      options={[
        { value: 'sparse', text: t('sow.sparse') },
        { value: 'usual', text: t('sow.usual') },
        { value: 'dense', text: t('sow.dense') },
        { value: 'own', text: t('sow.own') }
      ]}
      bind:value={draft.density}
    />
    {#if draft.density === 'own'}
      <TextInput
        labelText={units === 'us' ? t('sow.seedsPer') : t('sow.seedsPerCm')}
        helperText={units === 'us' ? t('sow.orWithUnitSuchAs') : t('sow.orWithUnitSuchAs2')}
        bind:value={draft.ownDensity}
        invalid={!!wrong.seedsPerCm2}
        invalidText={wrong.seedsPerCm2}
        inputmode="decimal"
      />
    {/if}
    <TextInput
      labelText={t('sow.germinationYourSeed')}
      helperText={alone
        ? t('sow.usualNameGerminationpct', {
            name: cropInText(alone.name),
            germinationPct: alone.germinationPct
          })
        : ''}
      bind:value={draft.germination}
      invalid={!!wrong.germinationPct}
      invalidText={wrong.germinationPct}
      inputmode="decimal"
    />
    {#if chosen.some((crop) => isSoaked(crop) && !crop.gelSeed) || draft.soak !== ''}
      <TextInput
        labelText={t('sow.soakHours')}
        helperText={t('sow.emptyCropsOwnSowDry', {
          when: alone ? 'yes' : 'no',
          soakMinH: alone ? alone.soakMinH : '',
          soakMaxH: alone ? alone.soakMaxH : ''
        })}
        bind:value={draft.soak}
        invalid={!!wrong.soakH}
        invalidText={wrong.soakH}
        inputmode="decimal"
      />
    {/if}
    {#if stacked && stacked.setup.count > 1 && (heights.length > 1 || draft.stack !== '')}
      <Select
        labelText={t('sow.traysStack')}
        selected={draft.stack}
        helperText={t('sow.upTimesWhatSeedAt')}
        on:change={(event) => (draft.stack = (event.target as HTMLSelectElement).value)}
        invalid={!!wrong.stackOf}
        invalidText={wrong.stackOf}
      >
        <SelectItem value="" text={t('sow.asManyAsSeedBears', { onTop: onTopOf(stacked) + 1 })} />
        {#each heights as height (height)}<SelectItem value={String(height)} text={String(height)} />{/each}
      </Select>
    {/if}
    {#if draft.parts.length > 0}
      <QuantityField
        label={draft.kind === 'one' ? t('sow.seedIfYouOverruleDensity') : t('sow.seedAllIfYouOverrule')}
        kind="mass"
        unit="g"
        bind:value={() => draft.ownSeedG ?? NaN, (typed) => (draft.ownSeedG = typed > 0 ? typed : null)}
        error={wrong.ownSeedG}
      />
    {/if}
  </div>
</details>
