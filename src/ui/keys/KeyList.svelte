<script lang="ts">
  import { t, table } from '$messages/t.ts';
  import { Checkbox } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { KEYS, keysAct, letKeysAct, type KeyAct } from './keys.ts';

  /** What each key does, and whether they act on this device. */
  const SAYS: Record<KeyAct, string> = table('app.keys.does');
  let act = $state(true);
  onMount(() => (act = keysAct()));
</script>

<dl>
  {#each KEYS as [key, does] (key)}
    <dt><kbd>{key}</kbd></dt>
    <dd>{SAYS[does]}</dd>
  {/each}
</dl>
<Checkbox
  labelText={t('app.keys.act')}
  bind:checked={act}
  on:check={({ detail }) => letKeysAct(detail === true)}
/>

<style>
  dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0.35rem 1rem;
    margin: 0.5rem 0 1rem;
  }
  kbd {
    display: inline-block;
    min-width: 1.75rem;
    padding: 0.05rem 0.4rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 6px;
    background: var(--paper-sunk);
    font: inherit;
    font-weight: 620;
    text-align: center;
  }
  dd {
    margin: 0;
  }
</style>
