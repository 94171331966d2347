<script lang="ts">
  import { t } from '$messages/t.ts';
  import { problemWords } from '$words/problems.ts';
  import { TextInput } from 'carbon-components-svelte';
  import { partVolumes, readParts } from '$core/supplies/media/coir.ts';
  import { volume, type Units } from '$core/units/format.ts';
  import { readQuantity, shownUnit } from './quantities.ts';

  /** A mixed medium by its parts. */
  let { units }: { units: Units } = $props();

  let parts = $state(t('bench.coirCompostPerlite'));
  let total = $state('2 L');
  const read = $derived(readParts(parts));
  const amount = $derived(readQuantity(total, 'volume', units));
</script>

<section class="stack">
  <h2>{t('bench.mixedParts')}</h2>
  <div class="fields">
    <TextInput
      labelText={t('bench.parts')}
      bind:value={parts}
      helperText={t('bench.suchAsCoirPerlite')}
      invalid={read === null}
      invalidText={t('bench.writeEachPartWithNumber')}
    />
    <TextInput
      labelText={t('bench.allShownunit', { shownUnit: shownUnit('volume', units) })}
      bind:value={total}
      invalid={!amount.ok}
      invalidText={amount.ok ? '' : problemWords(amount.problem)}
    />
  </div>
  {#if read && amount.ok}
    <p aria-live="polite">
      <strong
        >{partVolumes(amount.value, read)
          .map(({ name, mL }) => `${volume(mL, units)} ${name}`)
          .join(' + ')}</strong
      >
    </p>
  {/if}
</section>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
    gap: 0.9rem;
    align-items: start;
  }
</style>
