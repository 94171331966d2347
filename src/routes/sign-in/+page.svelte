<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$app/forms';
  import Field from '$ui/fields/Field.svelte';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData } from './$types';

  let { form }: { form: ActionData } = $props();
  const wrong = (field: string): string => form?.errors?.[field] ?? '';
</script>

<Front title="Sign in" lead="With your household’s name and passphrase.">
  <form method="POST" class="stack" use:enhance novalidate>
    {#if form?.say}<p class="alarm" role="alert">{form.say}</p>{/if}
    <Field
      name="name"
      label="Household"
      value={form?.name ?? ''}
      error={wrong('name')}
      autocomplete="organization"
    />
    <Field
      name="memberName"
      label="Your name"
      value={form?.memberName ?? ''}
      error={wrong('memberName')}
      autocomplete="given-name"
    />
    <Field
      type="password"
      name="passphrase"
      label="Passphrase"
      error={wrong('passphrase')}
      autocomplete="current-password"
    />
    <Button type="submit">Sign in</Button>
  </form>
  <p class="small"><a href="/welcome">Begin a new household</a></p>
</Front>

<style>
  .alarm {
    color: var(--alarm);
    background: var(--alarm-soft);
    padding: 0.75rem 1rem;
    border-radius: 8px;
  }
</style>
