<script lang="ts">
  import { goto } from '$app/navigation';
  import { actOf, keysAct } from './keys.ts';
  import { actAtStop } from './stops.ts';

  /** Single keys for those who have a keyboard under their hands; all that they do, touch does as well. */
  let shown = $state<'find' | 'help' | null>(null);

  function press(event: KeyboardEvent) {
    const act = actOf(event);
    if (act === null || !keysAct()) return;
    event.preventDefault();
    if (act === 'find' || act === 'help') shown = act;
    else if (act === 'sow') void goto('/sow');
    else actAtStop(act);
  }
</script>

<svelte:window onkeydown={press} />

{#if shown === 'find'}
  {#await import('./Finder.svelte') then { default: Finder }}
    <Finder onclose={() => (shown = null)} />
  {/await}
{:else if shown === 'help'}
  {#await import('./KeyHelp.svelte') then { default: KeyHelp }}
    <KeyHelp onclose={() => (shown = null)} />
  {/await}
{/if}
