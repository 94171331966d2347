<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import KeyList from './KeyList.svelte';

  let { onclose }: { onclose: () => void } = $props();
  let dialog: HTMLDialogElement;
  onMount(() => dialog.showModal());
</script>

<dialog bind:this={dialog} {onclose} aria-labelledby="keys-title">
  <h2 id="keys-title">{t('app.keys.title')}</h2>
  <KeyList />
  <Button kind="tertiary" class="chip" on:click={() => dialog.close()}>{t('app.close')}</Button>
</dialog>

<style>
  dialog {
    width: min(30rem, calc(100vw - 2rem));
    margin: auto;
    padding: 1.25rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 12px;
    background: var(--paper-raised);
    color: var(--ink);
  }
  dialog::backdrop {
    background: rgb(0 0 0 / 40%);
  }
</style>
