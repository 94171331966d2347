<script lang="ts">
  import { t } from '$messages/t.ts';
  import { onMount } from 'svelte';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { notifiesWhileOpen, setNotifiesWhileOpen } from '$ui/state/openNotices.ts';
  import { notifying, subscribeHere, type Notifying } from '$ui/state/notifying.ts';

  interface Props {
    vapidKey: string;
    newId: string;
    wrong: string;
    /** The demo has a stand-in for the push service of a browser's maker. */
    standIn: boolean;
  }
  let { vapidKey, newId, wrong, standIn }: Props = $props();

  let can = $state<Notifying | null>(null);
  let said = $state('');
  /** It cannot be reached when it is closed, but notifies while Brote is open in it. */
  let whileOpen = $state(false);
  let sending = $state(false);
  let form = $state<HTMLFormElement>();
  let subscription = $state({ endpoint: '', p256dh: '', auth: '' });

  onMount(() => {
    can = notifying();
    whileOpen = notifiesWhileOpen();
  });

  async function turnOn() {
    sending = true;
    said = '';
    const got = await subscribeHere(vapidKey);
    can = notifying();
    sending = false;
    if (!got.ok) {
      said = got.say;
      if (can === 'granted') setNotifiesWhileOpen((whileOpen = true));
      return;
    }
    setNotifiesWhileOpen((whileOpen = false));
    subscription = got.subscription;
    // The fields are written before the form reads them.
    queueMicrotask(() => form?.requestSubmit());
  }
</script>

<section class="stack" aria-labelledby="browser-title">
  <h3 id="browser-title">{t('reminders.notificationsBrowser')}</h3>
  {#if can === 'insecure'}
    <p>
      {t('reminders.broteOpenOverPlainHttp')}
    </p>
  {:else if can === 'unsupported'}
    <p>{t('reminders.browserHasNoNotificationsTake')}</p>
  {:else if can === 'denied'}
    <p>
      {t('reminders.notificationsFromBroteBlockedBrowser')}
    </p>
  {:else}
    <div class="row">
      <Button kind="tertiary" disabled={can === null || sending} on:click={() => void turnOn()}
        >{t('reminders.turnThemOnHere')}</Button
      >
      {#if whileOpen}<Button
          kind="tertiary"
          class="chip"
          on:click={() => setNotifiesWhileOpen((whileOpen = false))}>{t('reminders.turnThemOffHere')}</Button
        >{/if}
    </div>
    {#if whileOpen}<p class="small soft" role="status">
        {t('reminders.theyComeHereWhileBrote')}
      </p>{/if}
  {/if}
  {#if said || wrong}<p class="warn" role="alert">{said || wrong}</p>{/if}
  <form method="POST" action="?/push" use:enhance bind:this={form} hidden>
    <input type="hidden" name="id" value={newId} />
    {#each Object.entries(subscription) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
  </form>
  {#if standIn}
    <form method="POST" action="?/standIn" use:enhance class="row">
      <input type="hidden" name="id" value={newId} />
      <Button type="submit" kind="tertiary" class="chip" name="kind" value="push"
        >{t('reminders.useDemosStandBrowser')}</Button
      >
      <Button type="submit" kind="tertiary" class="chip" name="kind" value="webhook"
        >{t('reminders.useDemosWebhook')}</Button
      >
    </form>
  {/if}
</section>
