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

<Front title={t('door.sign')} lead={t('door.withYourHouseholdsNamePassphrase')}>
  <form method="POST" class="stack" use:enhance novalidate>
    <Field
      name="name"
      label={t('door.household')}
      value={typed('name')}
      error={wrong('name')}
      autocomplete="organization"
    />
    <Field
      name="memberName"
      label={t('door.yourName')}
      value={typed('memberName')}
      error={wrong('memberName')}
      autocomplete="given-name"
    />
    <Field
      type="password"
      name="passphrase"
      label={t('door.passphrase')}
      error={wrong('passphrase')}
      autocomplete="current-password"
    />
    <Button type="submit">{t('door.sign')}</Button>
  </form>
  {#if data.open}<p class="small"><a href="/welcome">{t('door.beginNewHousehold')}</a></p>{/if}
</Front>
