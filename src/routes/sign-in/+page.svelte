<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Field from '$ui/fields/Field.svelte';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);
</script>

<Front title="Sign in" lead="With your household’s name and passphrase.">
  <form method="POST" class="stack" use:enhance novalidate>
    <Field
      name="name"
      label="Household"
      value={typed('name')}
      error={wrong('name')}
      autocomplete="organization"
    />
    <Field
      name="memberName"
      label="Your name"
      value={typed('memberName')}
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
  {#if data.open}<p class="small"><a href="/welcome">Begin a new household</a></p>{/if}
</Front>
