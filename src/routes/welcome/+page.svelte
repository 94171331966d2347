<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import { typedBefore } from '$ui/fields/typedBefore.ts';
  import Field from '$ui/fields/Field.svelte';
  import ZoneAndUnits from '$ui/household/ZoneAndUnits.svelte';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);

  let zone = $state(typedBefore('zone'));
  let units = $state(typedBefore('units') || 'metric');
  /** True once the device has named its time zone. The form then shows the guess and folds the fields away. */
  let guessed = $state(false);
  const isWrong = $derived(wrong('zone') !== '' || wrong('units') !== '');
  onMount(() => {
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
    zone = typed('zone') || zone || (data.zones.includes(here) ? here : '');
    if (typed('units')) units = typed('units');
    else if (data.usZones.includes(zone)) units = 'us';
    guessed = zone !== '';
  });
</script>

{#if !data.open}
  <Front title={t('door.broteHasHousehold')} lead={t('door.wasSetUpOneHome')}>
    <p><a href="/sign-in">{t('door.signHouseholdHere')}</a></p>
  </Front>
{:else}
  <Front title={t('door.welcomeBrote')} lead={t('door.nameYourHouseholdFirstTray')}>
    <form method="POST" class="stack" use:enhance novalidate>
      <Field
        name="name"
        label={t('door.household')}
        helper={t('door.whateverYouCallYourHome')}
        value={typed('name')}
        error={wrong('name')}
      />
      <Field
        name="memberName"
        label={t('door.yourName')}
        helper={t('door.soSSeeWhoDid')}
        value={typed('memberName')}
        error={wrong('memberName')}
      />
      <Field
        type="password"
        name="passphrase"
        label={t('door.passphrase')}
        helper={t('household.atLeastCharactersEveryoneHousehold')}
        error={wrong('passphrase')}
        autocomplete="new-password"
      />
      <details class="unfold small" open={!guessed || isWrong}>
        <summary
          >{guessed
            ? t('door.guessed', { zone: zone.replaceAll('_', ' '), units })
            : t('door.zoneAndUnits')}</summary
        >
        <ZoneAndUnits zones={data.zones} bind:zone bind:units {wrong} />
      </details>
      <Button type="submit">{t('round.beginFirstSowing')}</Button>
    </form>
    <p class="small"><a href="/sign-in">{t('door.signHouseholdHereAlready')}</a></p>
  </Front>
{/if}
