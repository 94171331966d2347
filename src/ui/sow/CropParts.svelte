<script lang="ts">
  import { cropInText, cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Crop } from '$core/crops/crop.ts';
  import {
    cropOfLot,
    holds,
    leftG,
    lotFlags,
    lotGermination,
    type LotStock
  } from '$core/supplies/seed/lot.ts';
  import { MOST_VARIETY_LETTERS } from '$core/choice/choiceData.ts';
  import { MOST_PARTS } from '$core/crops/blend.ts';
  import { figure, mass, type Units } from '$core/units/format.ts';
  import CropPicker from './CropPicker.svelte';
  import Choice from '$ui/fields/Choice.svelte';
  import type { DraftPart, SeedDraft } from './draft.ts';
  import { FLAG_WORDS } from '$words/lots.ts';

  interface Props {
    draft: SeedDraft;
    /** For sowings to come again: no halves, and each takes the lot that is to be used first unless one is chosen for a blend. */
    again?: boolean;
    crops: readonly Crop[];
    lots: readonly LotStock[];
    units: Units;
    today: string;
    wrong: Record<string, string>;
    /** Days until one crop may be cut, sown now as the rest of the form says; left out where nothing is sown now. */
    daysHere?: (crop: Crop) => number | null;
  }
  let { draft = $bindable(), again = false, crops, lots, units, today, wrong, daysHere }: Props = $props();

  const empty = (): DraftPart => ({ cropKey: '', lotId: '', share: '1' });
  const lotsOf = (cropKey: string) => lots.filter((lot) => holds(lot, cropKey));

  function kind(value: SeedDraft['kind']) {
    const [first = empty(), ...rest] = draft.parts;
    draft.parts =
      value === 'one' ? [first] : [first, rest[0] ?? empty(), ...(value === 'blended' ? rest.slice(1) : [])];
  }
  function choose(part: DraftPart, cropKey: string) {
    part.cropKey = cropKey;
    // The packet that should be used up first is the one to take.
    part.lotId = again ? '' : (lotsOf(cropKey).find((lot) => leftG(lot) > 0)?.id ?? '');
  }
  /** Whether another part is of the same crop. */
  const isOneOfSeveral = (part: DraftPart): boolean =>
    part.cropKey !== '' && draft.parts.some((one) => one !== part && one.cropKey === part.cropKey);
  /** The crop that was chosen last, for one more kind of it. */
  const another = $derived(
    crops.find(({ key }) => key === draft.parts.findLast(({ cropKey }) => cropKey !== '')?.cropKey) ?? null
  );
  /** One more kind of a crop, in the first line that is still empty. */
  function addVariety({ key }: Crop) {
    const blank = draft.parts.findIndex(({ cropKey }) => cropKey === '');
    const kind = { ...empty(), cropKey: key };
    draft.parts =
      blank < 0 ? [...draft.parts, kind] : draft.parts.map((one, nth) => (nth === blank ? kind : one));
  }
  const mixed = $derived(lots.filter(({ parts }) => parts !== null));
  /** Takes a packet that was bought mixed: its parts are the blend's. */
  function takeMixed(lot: LotStock) {
    draft.shareOf = 'weight';
    draft.parts = (lot.parts ?? []).map(({ cropKey, share }) => ({
      cropKey,
      lotId: lot.id,
      share: figure(share)
    }));
  }
  function lotWords(lot: LotStock): string {
    const crop = cropOfLot(lot, (key) => crops.find((one) => one.key === key));
    const germination = lotGermination(lot);
    const flags = crop ? lotFlags(lot, crop, today).map((flag) => FLAG_WORDS[flag]) : [];
    return [
      lot.name,
      t('sow.massLeft', { mass: mass(leftG(lot), units) }),
      ...(germination ? [t('sow.pctSprouts', { pct: figure(germination.pct) })] : []),
      ...flags
    ].join(', ');
  }
</script>

{#each draft.parts as part, index (index)}
  <div class="part" class:many={draft.kind === 'blended'}>
    {#if daysHere && draft.kind === 'one'}
      <CropPicker
        {crops}
        {lots}
        chosen={part.cropKey}
        onchoose={(cropKey) => choose(part, cropKey)}
        {daysHere}
        error={wrong[`parts.${index}.cropKey`] ?? ''}
      />
    {:else}<Select
        labelText={draft.kind === 'one' ? t('sow.crop') : t('sow.cropIndex', { index: index + 1 })}
        selected={part.cropKey}
        on:change={(event) => choose(part, (event.target as HTMLSelectElement).value)}
        invalid={!!wrong[`parts.${index}.cropKey`]}
        invalidText={wrong[`parts.${index}.cropKey`]}
      >
        <SelectItem value="" text={t('sow.chooseCrop')} />
        {#each crops as one (one.key)}<SelectItem value={one.key} text={cropName(one.name)} />{/each}
      </Select>{/if}
    {#if draft.kind === 'blended'}
      <TextInput
        labelText={t('sow.parts')}
        bind:value={part.share}
        invalid={!!wrong[`parts.${index}.share`]}
        invalidText={wrong[`parts.${index}.share`]}
        inputmode="decimal"
      />
    {/if}
    {#if lotsOf(part.cropKey).length > 0 && (!again || draft.kind === 'blended')}
      <Select
        labelText={t('sow.seedFrom')}
        bind:selected={part.lotId}
        invalid={!!wrong[`parts.${index}.lotId`]}
        invalidText={wrong[`parts.${index}.lotId`]}
      >
        {#each lotsOf(part.cropKey) as lot (lot.id)}<SelectItem value={lot.id} text={lotWords(lot)} />{/each}
        <SelectItem value="" text={again ? t('sow.whicheverUsedFirst') : t('sow.otherSeed')} />
      </Select>
    {/if}
    {#if draft.kind === 'blended' && isOneOfSeveral(part)}
      <TextInput
        labelText={t('sow.variety')}
        placeholder={t('sow.purpleLemonSmallLeaved')}
        value={part.variety ?? ''}
        on:input={(event) => (part.variety = String(event.detail ?? ''))}
        maxlength={MOST_VARIETY_LETTERS}
      />
    {/if}
    {#if draft.kind === 'blended' && draft.parts.length > 2}
      <Button
        kind="ghost"
        class="undo"
        on:click={() => (draft.parts = draft.parts.filter((one) => one !== part))}
        >{t('sow.takeOut')}<span class="visually-hidden">
          {t('sow.cropIndex2', { index: index + 1 })}</span
        ></Button
      >
    {/if}
  </div>
{/each}
{#if draft.kind === 'blended' && mixed.length > 0}
  <div class="row" role="group" aria-label={t('sow.packetsBoughtMixed')}>
    {#each mixed as lot (lot.id)}
      <Button kind="ghost" class="chip quiet" on:click={() => takeMixed(lot)}
        >{t('sow.takeNameMixed', { name: lot.name })}</Button
      >
    {/each}
  </div>
{/if}
{#if draft.kind === 'blended' && draft.parts.length < MOST_PARTS}
  <div class="row">
    <Button kind="ghost" class="chip quiet" on:click={() => (draft.parts = [...draft.parts, empty()])}
      >{t('sow.addCrop')}</Button
    >
    {#if another}
      <Button kind="ghost" class="chip quiet" on:click={() => addVariety(another)}
        >{t('sow.addVarietyName', { name: cropInText(another.name) })}</Button
      >
    {/if}
  </div>
{/if}
<Choice
  legend={t('sow.container2')}
  name="kind"
  options={[
    { value: 'one', text: t('sow.oneCrop') },
    ...(again ? [] : [{ value: 'halves' as const, text: t('sow.twoHalves') }]),
    { value: 'blended', text: t('sow.blendedSeed') }
  ]}
  bind:value={draft.kind}
  onchange={kind}
/>
{#if draft.kind === 'blended'}
  <Choice
    legend={t('sow.partsCountedBy')}
    name="share-of"
    options={[
      { value: 'weight', text: t('sow.weight') },
      { value: 'count', text: t('sow.numberSeeds') }
    ]}
    bind:value={draft.shareOf}
  />
{/if}

<style>
  .part {
    display: grid;
    gap: 0.75rem;
    align-items: start;
  }
  .part.many {
    grid-template-columns: 1fr 6rem;
  }
  .part.many > :global(:nth-child(3)) {
    grid-column: 1 / -1;
  }
  .part :global(.undo) {
    justify-self: start;
  }
</style>
