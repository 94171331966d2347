<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData } from './$types';

  let { form }: { form: ActionData } = $props();
  const confirmed = $derived(form && 'confirmed' in form);
</script>

<svelte:head><title>{t('door.confirmYourAddressBrote')}</title></svelte:head>

{#if confirmed}
  <Front title={t('door.addressConfirmed')} lead={t('door.broteNowSendsYourReminders')}>
    <p><a href="/household/reminders">{t('door.chooseWhatSends')}</a></p>
  </Front>
{:else}
  <Front title={t('door.sendRemindersHere')} lead={t('door.somebodyAskedBroteSendReminders')}>
    <form method="POST" use:enhance><Button type="submit">{t('door.confirmAddress')}</Button></form>
    <p class="soft">{t('door.notYouClosePageNothing')}</p>
  </Front>
{/if}
