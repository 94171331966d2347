<script lang="ts">
  import { t } from '$messages/t.ts';
  import { isTurned } from '$core/pantry/keeping.ts';
  import { airBeforePacking } from '$core/pantry/air.ts';
  import { packedDays } from '$core/pantry/keeping.ts';
  import { JUICE_ML_G } from '$core/pantry/amounts.ts';
  import { isJuiced, UNTIL_PRESSED } from '$core/pantry/pressed.ts';
  import { volume } from '$core/units/format.ts';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { PACKINGS, WASHINGS, type Handling, type Packing } from '$core/sowing/event.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { keepsWords } from '$words/cropWords.ts';
  import { AIR_WORDS, PACKING_HINTS, PACKING_WORDS, WASHING_WORDS } from '$words/pantry.ts';
  import { capital } from '$words/capital.ts';
  import type { Locale } from '$words/time.ts';

  interface Props {
    projected: Projected;
    handling: Handling;
    /** What the cut gave, where it is weighed; the juice it was pressed to, where it was. */
    netG: number | null;
    juiceMl: number | null;
    /** What is wrong with the juice. */
    error: string;
    now: number;
    locale: Locale;
  }
  let {
    projected,
    handling = $bindable(),
    netG,
    juiceMl = $bindable(),
    error,
    now,
    locale
  }: Props = $props();
  const { crop } = $derived(projected);
  const air = $derived(
    handling.packing === 'plate' ? null : airBeforePacking(projected, handling.washing, now)
  );
  const days = $derived(
    handling.packing === 'plate' ? null : packedDays(crop, handling.packing, handling.washing)
  );
  // What is frozen or dried is weighed again in the pantry; juice is pressed at once.
  const packings = $derived(
    PACKINGS.filter((packing) => !isTurned(packing) || (packing === 'juice' && isJuiced(crop)))
  );
  const guessMl = $derived(Math.round((netG ?? 0) * JUICE_ML_G));
</script>

<div class="stack">
  <Choice
    legend={t('harvest.cutWith')}
    name="tool"
    options={[
      { value: 'scissors', text: t('harvest.scissors') },
      { value: 'knife', text: t('harvest.knife') }
    ]}
    bind:value={handling.tool}
  />
  <Choice
    legend={t('harvest.packed')}
    name="packing"
    options={packings.map((value) => ({ value, text: PACKING_WORDS[value], hint: PACKING_HINTS[value] }))}
    value={juiceMl === null ? handling.packing : 'juice'}
    onchange={(value) => {
      juiceMl = value === 'juice' ? guessMl : null;
      handling.packing = value === 'juice' ? UNTIL_PRESSED : (value as Packing);
    }}
  />
  {#if juiceMl !== null}
    <QuantityField
      label={t('harvest.juiceGave')}
      kind="volume"
      unit={locale.units === 'us' ? 'fl oz' : 'mL'}
      bind:value={() => juiceMl ?? NaN, (value) => (juiceMl = value)}
      {error}
      helper={t('harvest.aboutVolumeWeightEnterWhat', { volume: volume(guessMl, locale.units) })}
    />
    <Caution>{CAUTIONS.juice}</Caution>
  {/if}
  {#if handling.packing !== 'plate'}
    <Choice
      legend={t('harvest.washed')}
      name="washing"
      options={WASHINGS.map((value) => ({ value, text: capital(WASHING_WORDS[value]) }))}
      bind:value={handling.washing}
    />
  {/if}
  {#if air && juiceMl === null}<p class="note small">{AIR_WORDS[air]}</p>{/if}
  {#if days && juiceMl === null}
    <p class="soft small">
      {t('harvest.soKeepsKeepsSlimeSmell', {
        keeps: keepsWords(days.minD, days.maxD, crop.keepAtC, locale.units)
      })}
    </p>
  {/if}
</div>
