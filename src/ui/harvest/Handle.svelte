<script lang="ts">
  import { isTurned } from '$core/pantry/keeping.ts';
  import { airBeforePacking } from '$core/pantry/air.ts';
  import { packedDays } from '$core/pantry/keeping.ts';
  import { PACKINGS, WASHINGS, type Handling } from '$core/sowing/event.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import { keepsWords } from '$words/cropWords.ts';
  import { AIR_WORDS, PACKING_HINTS, PACKING_WORDS, WASHING_WORDS } from '$words/pantry.ts';
  import { capital } from '$words/capital.ts';
  import type { Locale } from '$words/time.ts';

  interface Props {
    projected: Projected;
    handling: Handling;
    now: number;
    locale: Locale;
  }
  let { projected, handling = $bindable(), now, locale }: Props = $props();
  const { crop } = $derived(projected);
  const air = $derived(
    handling.packing === 'plate' ? null : airBeforePacking(projected, handling.washing, now)
  );
  const days = $derived(
    handling.packing === 'plate' ? null : packedDays(crop, handling.packing, handling.washing)
  );
  // What is pressed, frozen or dried is weighed again in the pantry.
  const packings = PACKINGS.filter((packing) => !isTurned(packing));
</script>

<div class="stack">
  <Choice
    legend="Cut with"
    name="tool"
    options={[
      { value: 'scissors', text: 'Scissors' },
      { value: 'knife', text: 'A knife' }
    ]}
    bind:value={handling.tool}
  />
  <Choice
    legend="Packed"
    name="packing"
    options={packings.map((value) => ({ value, text: PACKING_WORDS[value], hint: PACKING_HINTS[value] }))}
    bind:value={handling.packing}
  />
  {#if handling.packing !== 'plate'}
    <Choice
      legend="Washed?"
      name="washing"
      options={WASHINGS.map((value) => ({ value, text: capital(WASHING_WORDS[value]) }))}
      bind:value={handling.washing}
    />
  {/if}
  {#if air}<p class="note small">{AIR_WORDS[air]}</p>{/if}
  {#if days}
    <p class="soft small">
      So it keeps {keepsWords(days.minD, days.maxD, crop.keepAtC, locale.units)}. Slime, smell or mould ends
      it sooner. Juice, the freezer and drying are in the pantry.
    </p>
  {/if}
</div>
