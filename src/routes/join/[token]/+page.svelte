<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
</script>

<Front
  title={t('door.joinHousehold', { household: data.household })}
  lead={t('door.madebyInvitesYouLookAfter', { madeBy: data.madeBy })}
>
  <form method="POST" class="stack" use:enhance novalidate>
    <Field
      name="memberName"
      label={t('door.yourName')}
      helper={t('door.soSSeeWhoDid')}
      value={typed('memberName')}
      error={wrong('memberName')}
      autocomplete="given-name"
    />
    <Field
      type="password"
      name="passphrase"
      label={t('household.passphraseYourOwn')}
      helper={t('door.atLeastCharactersYouSign')}
      error={wrong('passphrase')}
      autocomplete="new-password"
    />
    <Button type="submit">{t('door.join')}</Button>
  </form>
</Front>
