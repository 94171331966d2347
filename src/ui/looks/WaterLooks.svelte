<script lang="ts">
  import { t } from '$messages/t.ts';
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
    { heft: 'light', text: t('tray.light') },
    { heft: 'right', text: t('tray.right') },
    { heft: 'heavy', text: t('tray.heavy') }
  ] as const;
  let typed = $state('');
  let wrong = $state('');

  async function weigh(full: boolean) {
    const read = parseQuantity(typed, 'mass', units === 'us' ? 'oz' : 'g');
    wrong = read.ok ? (read.value > 0 ? '' : t('tray.trayWeighsMoreThanG')) : problemWords(read.problem);
    if (!read.ok || wrong) return;
    const result = await record(
      { type: 'weighed', grossG: Math.round(read.value), full },
      t('tray.weighedMass', { mass: mass(read.value, units) })
    );
    if (result.kind === 'refused') wrong = result.say ?? '';
    else typed = '';
  }
</script>

<div class="row" role="group" aria-label={t('tray.looks')}>
  <span class="soft lead">{t('tray.looks')}</span>
  {#each moistures as moisture (moisture)}
    <button class="chip" onclick={() => record({ type: 'felt', moisture }, MOISTURE_WORDS[moisture].told)}
      >{MOISTURE_WORDS[moisture].chip}</button
    >
  {/each}
</div>
<div class="row" role="group" aria-label={t('tray.lifted')}>
  <span class="soft lead">{t('tray.lifted')}</span>
  {#each LIFTS as { heft, text } (heft)}
    <button class="chip" onclick={() => record({ type: 'lifted', heft }, t('tray.liftedText', { text }))}
      >{text}</button
    >
  {/each}
</div>
<div class="scale">
  <TextInput
    labelText={t('tray.onScaleTrayAllOz', { when: units === 'us' ? 'yes' : 'no' })}
    helperText={t('tray.withoutWhatPressesOnWeighed')}
    bind:value={typed}
    invalid={wrong !== ''}
    invalidText={wrong}
    inputmode="decimal"
    autocomplete="off"
  />
  <div class="row">
    <Button kind="tertiary" on:click={() => weigh(false)}>{t('tray.asStands')}</Button>
    <Button kind="tertiary" on:click={() => weigh(true)}>{t('tray.justWateredDrained')}</Button>
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
