<script lang="ts">
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
  <h3 id="browser-title">Notifications in this browser</h3>
  {#if can === 'insecure'}
    <p>
      Brote is open over plain http here, where browsers allow no notifications and keep no page for when the
      network is away. What you touch is still kept and sent later. Take mail instead, or have whoever runs
      Brote put https before it.
    </p>
  {:else if can === 'unsupported'}
    <p>This browser has no notifications. Take mail instead.</p>
  {:else if can === 'denied'}
    <p>
      Notifications from Brote are blocked in this browser. Allow them in its settings for this site (often
      behind the sign before the address), then load this page anew. Or take mail instead.
    </p>
  {:else}
    <div class="row">
      <Button kind="tertiary" disabled={can === null || sending} on:click={() => void turnOn()}
        >Turn them on here</Button
      >
      {#if whileOpen}<Button
          kind="tertiary"
          class="chip"
          on:click={() => setNotifiesWhileOpen((whileOpen = false))}>Turn them off here</Button
        >{/if}
    </div>
    {#if whileOpen}<p class="small soft" role="status">
        They come here while Brote is open in this browser; closed, it is not reached.
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
        >Use the demo’s stand-in for a browser</Button
      >
      <Button type="submit" kind="tertiary" class="chip" name="kind" value="webhook"
        >Use the demo’s webhook</Button
      >
    </form>
  {/if}
</section>
