<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData } from './$types';

  let { form }: { form: ActionData } = $props();
  const ended = $derived(form && 'ended' in form);
</script>

{#if ended}
  <Front title="No more mail" lead="Brote sends nothing to this address any more.">
    <p><a href="/household/reminders">Be reminded some other way</a></p>
  </Front>
{:else}
  <Front title="No more mail from Brote?" lead="Reminders in the app go on as they are.">
    <form method="POST" use:enhance><Button type="submit">End it</Button></form>
  </Front>
{/if}
