<script lang="ts">
  import type { Moisture } from '$core/water/bucket.ts';
  import { MOISTURE_WORDS } from '$words/moisture.ts';
  import { problemWords } from '$words/problems.ts';
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { EventBody } from '$core/sowing/event.ts';
  import { mass, type Units } from '$core/units/format.ts';
  import { parseQuantity } from '$core/units/parseQuantity.ts';

  interface Props {
    record: (body: EventBody, words: string) => Promise<{ kind: string; say?: string }>;
    /** What its medium can be told to look like. */
    moistures: readonly Moisture[];
    units: Units;
  }
  let { record, moistures, units }: Props = $props();
  const LIFTS = [
    { heft: 'light', text: 'Light' },
    { heft: 'right', text: 'Right' },
    { heft: 'heavy', text: 'Heavy' }
  ] as const;
  let typed = $state('');
  let wrong = $state('');

  async function weigh(full: boolean) {
    const read = parseQuantity(typed, 'mass', units === 'us' ? 'oz' : 'g');
    wrong = read.ok
      ? read.value > 0
        ? ''
        : 'The tray weighs more than 0 g: is it on the scale?'
      : problemWords(read.problem);
    if (!read.ok || wrong) return;
    const result = await record(
      { type: 'weighed', grossG: Math.round(read.value), full },
      `weighed ${mass(read.value, units)}`
    );
    if (result.kind === 'refused') wrong = result.say ?? '';
    else typed = '';
  }
</script>

<div class="row" role="group" aria-label="It looks">
  <span class="soft lead">It looks</span>
  {#each moistures as moisture (moisture)}
    <button class="chip" onclick={() => record({ type: 'felt', moisture }, MOISTURE_WORDS[moisture].told)}
      >{MOISTURE_WORDS[moisture].chip}</button
    >
  {/each}
</div>
<div class="row" role="group" aria-label="Lifted, it is">
  <span class="soft lead">Lifted, it is</span>
  {#each LIFTS as { heft, text } (heft)}
    <button class="chip" onclick={() => record({ type: 'lifted', heft }, `lifted, ${text.toLowerCase()}`)}
      >{text}</button
    >
  {/each}
</div>
<div class="scale">
  <TextInput
    labelText="On the scale, tray and all ({units === 'us' ? 'oz' : 'g'})"
    helperText="Without what presses on it. Weighed once when it was just watered and has drained, it is weighed against that ever after."
    bind:value={typed}
    invalid={wrong !== ''}
    invalidText={wrong}
    inputmode="decimal"
    autocomplete="off"
  />
  <div class="row">
    <Button kind="tertiary" on:click={() => weigh(false)}>As it stands</Button>
    <Button kind="tertiary" on:click={() => weigh(true)}>Just watered, drained</Button>
  </div>
</div>

<style>
  .lead {
    min-width: 6.5rem;
  }
  .row + .row {
    margin-top: 0.5rem;
  }
  .scale {
    margin-top: 0.9rem;
    display: grid;
    gap: 0.6rem;
    max-width: 26rem;
  }
</style>
