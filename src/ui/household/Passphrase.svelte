<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Field from '$ui/fields/Field.svelte';

  let { wrong, done }: { wrong: (field: string) => string; done: boolean } = $props();
</script>

<form method="POST" action="?/passphrase" class="stack" use:enhance novalidate>
  <h2>Passphrase</h2>
  {#if done}<p role="status">Changed. Every other device was signed out.</p>{/if}
  <Field
    type="password"
    name="passphraseNow"
    label="As it is now"
    error={wrong('passphraseNow')}
    autocomplete="current-password"
  />
  <Field
    type="password"
    name="passphraseNew"
    label="As it shall be"
    helper="At least 8 characters; everyone in the household uses it"
    error={wrong('passphraseNew')}
    autocomplete="new-password"
  />
  <Button type="submit" kind="tertiary">Change it</Button>
</form>
