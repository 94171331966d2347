<script lang="ts">
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { Button, TextInput } from 'carbon-components-svelte';
  import { celsiusOf } from '$core/units/temperature.ts';
  import { temperature } from '$core/units/format.ts';
  import { readNumber } from '$core/units/parseQuantity.ts';
  import type { Locale } from '$words/time.ts';
  import { sendReadings } from './sendReadings.ts';

  let { placeId, locale }: { placeId: string; locale: Locale } = $props();
  let temp = $state('');
  let humidity = $state('');
  let wrong = $state('');
  let wrongDamp = $state('');
  let said = $state('');
  /** What was refused as degC, where it can be read as degF. */
  let asF = $state<number | null>(null);
  const sign = $derived(locale.units === 'us' ? '°F' : '°C');

  async function save(inF = locale.units === 'us') {
    [wrong, wrongDamp, said, asF] = ['', '', '', null];
    const degrees = readNumber(temp.replace(/\s*°?\s*[cf]$/i, ''));
    if (degrees === null) {
      wrong = t('shelf.enterTemperatureAsNumberSuch', { when: locale.units === 'us' ? 'yes' : 'no' });
      return;
    }
    const damp = humidity.trim() === '' ? null : readNumber(humidity.replace(/\s*%$/, ''));
    if (humidity.trim() !== '' && damp === null) {
      wrongDamp = t('shelf.enterHumidityAsNumberSuch');
      return;
    }
    const isF = inF || /f\s*$/i.test(temp);
    const sent = await sendReadings(placeId, 'hand', [
      { at: null, tempC: isF ? celsiusOf(degrees) : degrees, humidityPct: damp }
    ]);
    if (typeof sent === 'string') wrong = sent;
    else if (sent.refused[0]) {
      wrong = sent.refused[0].say;
      if (!isF && degrees > 50) asF = degrees;
    } else {
      said = t('shelf.notedTemperatureNow', {
        temperature: temperature(isF ? celsiusOf(degrees) : degrees, locale.units)
      });
      [temp, humidity] = ['', ''];
      await reload('brote:place');
    }
  }
</script>

<section aria-labelledby="hand-title" class="stack">
  <h2 id="hand-title">{t('shelf.readYourself')}</h2>
  <form
    class="fields"
    onsubmit={(event) => {
      event.preventDefault();
      void save();
    }}
  >
    <TextInput
      labelText={t('shelf.nowSign', { sign })}
      bind:value={temp}
      invalid={wrong !== ''}
      invalidText={wrong}
      inputmode="decimal"
      autocomplete="off"
    />
    <TextInput
      labelText={t('shelf.humidityIfYouKnow')}
      bind:value={humidity}
      invalid={wrongDamp !== ''}
      invalidText={wrongDamp}
      inputmode="decimal"
      autocomplete="off"
    />
    <div class="row">
      <Button type="submit" kind="tertiary">{t('shelf.note')}</Button>
      {#if asF !== null}<Button kind="tertiary" class="chip" on:click={() => void save(true)}
          >{t('shelf.readAsfAsF', { asF })}</Button
        >{/if}
    </div>
  </form>
  {#if said}<p role="status">{said}</p>{/if}
</section>

<style>
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
    gap: 1rem;
    align-items: start;
  }
  .row {
    padding-top: 1.5rem;
  }
</style>
