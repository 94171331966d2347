<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData } from './$types';

  let { form }: { form: ActionData } = $props();
  const ended = $derived(form && 'ended' in form);
</script>

{#if ended}
  <Front title={t('door.noMoreMail')} lead={t('door.broteSendsNothingAddressAny')}>
    <p><a href="/household/reminders">{t('door.beRemindedSomeWay')}</a></p>
  </Front>
{:else}
  <Front title={t('door.noMoreMailFromBrote')} lead={t('door.remindersAppGoOnAs')}>
    <form method="POST" use:enhance><Button type="submit">{t('door.end')}</Button></form>
  </Front>
{/if}
