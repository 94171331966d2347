<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData } from './$types';

  let { form }: { form: ActionData } = $props();
  const confirmed = $derived(form && 'confirmed' in form);
</script>

<svelte:head><title>Confirm your address · Brote</title></svelte:head>

{#if confirmed}
  <Front title="Address confirmed" lead="Brote now sends your reminders here.">
    <p><a href="/household/reminders">Choose what it sends</a></p>
  </Front>
{:else}
  <Front
    title="Send reminders here?"
    lead="Somebody asked Brote to send reminders about their trays to this mail address."
  >
    <form method="POST" use:enhance><Button type="submit">Confirm this address</Button></form>
    <p class="soft">Not you? Close this page: nothing more is sent.</p>
  </Front>
{/if}
