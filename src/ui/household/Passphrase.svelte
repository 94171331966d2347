<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Field from '$ui/fields/Field.svelte';

  let { wrong, done }: { wrong: (field: string) => string; done: boolean } = $props();
</script>

<form method="POST" action="?/passphrase" class="stack" use:enhance novalidate>
  <h2>{t('household.passphrase')}</h2>
  {#if done}<p role="status">{t('household.changedEveryDeviceWasSigned')}</p>{/if}
  <Field
    type="password"
    name="passphraseNow"
    label={t('household.asNow')}
    error={wrong('passphraseNow')}
    autocomplete="current-password"
  />
  <Field
    type="password"
    name="passphraseNew"
    label={t('household.asShallBe')}
    helper={t('household.atLeastCharactersEveryoneHousehold')}
    error={wrong('passphraseNew')}
    autocomplete="new-password"
  />
  <Button type="submit" kind="tertiary">{t('household.change')}</Button>
</form>
