<script lang="ts">
  import { percent } from '$words/percent.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { page } from '$app/state';
  import { silentSince } from '$core/places/air/silence.ts';
  import { temperature } from '$core/units/format.ts';
  import Field from '$ui/fields/Field.svelte';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    devices: readonly { id: string; name: string; refused: { at: number; say: string } | null }[];
    last: readonly { source: string; at: number; tempC: number; humidityPct: number | null }[];
    now: number;
    locale: Locale;
    newId: string;
    /** Of the device that was just added; shown this once. */
    token: string | null;
    wrong: string;
  }
  let { devices, last, now, locale, newId, token, wrong }: Props = $props();
  const lastOf = (id: string) => last.find(({ source }) => source === id);
  const address = $derived(`${page.url.origin}/api/readings`);
  const example = (key: string) =>
    [
      t('shelf.curlAddress', { address }),
      `  ${t('shelf.hAuthorizationBearerKey', { key })}`,
      `  ${t('shelf.hContentTypeApplicationJson')}`,
      `  ${t('shelf.dTempcHumiditypct')}`,
      '',
      t('shelf.curlAddressPrecisionS', { address }),
      `  ${t('shelf.hAuthorizationBearerKey', { key })}`,
      `  --data-raw "air temperature=20.5,humidity=55 $(date +%s)"`
    ].join('\n');
</script>

<section aria-labelledby="devices-title" class="stack">
  <h2 id="devices-title">{t('shelf.sensors')}</h2>
  <ul>
    {#each devices as device (device.id)}
      {@const sent = lastOf(device.id)}
      {@const since = sent ? silentSince(sent.at, now) : null}
      <li>
        <div>
          <strong>{device.name}</strong>
          <span class="small soft">
            {#if sent}{temperature(sent.tempC, locale.units)}{sent.humidityPct === null
                ? ''
                : `, ${percent(sent.humidityPct / 100)}`}, {dayAndTime(sent.at, now, locale)}{:else}{t(
                'shelf.hasSentNothingYet'
              )}{/if}
          </span>
          {#if since !== null}<span class="small warn"
              >{t('shelf.silentSinceDayandtimeLookAt', { dayAndTime: dayAndTime(since, now, locale) })}</span
            >{/if}
          {#if device.refused}<span class="small"
              >{t('shelf.notTakenDayandtimeSay', {
                dayAndTime: dayAndTime(device.refused.at, now, locale),
                say: device.refused.say
              })}</span
            >{/if}
        </div>
        <form method="POST" action="?/retire" use:enhance>
          <input type="hidden" name="device" value={device.id} />
          <Button type="submit" kind="ghost" class="undo"
            >{t('shelf.takeTokenAway')}<span class="visually-hidden">: {device.name}</span></Button
          >
        </form>
      </li>
    {:else}
      <li class="soft">{t('shelf.noneStandsHere')}</li>
    {/each}
  </ul>
  {#if token}
    <ShownOnce secret={token}>
      {t('shelf.tokenShownOnceWriteInto')}
      {#snippet after()}
        <p class="small">{t('shelf.thenSendsAsJsonOr')}</p>
        <pre class="small">{example(token)}</pre>
      {/snippet}
    </ShownOnce>
  {/if}
  <form method="POST" action="?/device" use:enhance class="add">
    <input type="hidden" name="id" value={newId} />
    <Field
      name="device"
      label={t('shelf.newSensorsName')}
      placeholder={t('shelf.roomSensor')}
      error={wrong}
    />
    <Button type="submit" kind="tertiary">{t('shelf.giveToken')}</Button>
  </form>
</section>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.75rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 1rem;
    justify-content: space-between;
    align-items: center;
  }
  li div {
    display: grid;
  }
  pre {
    margin: 0;
    overflow-x: auto;
  }
  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem;
    align-items: end;
  }
</style>
