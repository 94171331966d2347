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

<Front title="Join {data.household}" lead="{data.madeBy} invites you to look after its trays together.">
  <form method="POST" class="stack" use:enhance novalidate>
    <Field
      name="memberName"
      label="Your name"
      helper="So that others see who did what"
      value={typed('memberName')}
      error={wrong('memberName')}
      autocomplete="given-name"
    />
    <Field
      type="password"
      name="passphrase"
      label="A passphrase of your own"
      helper="At least 8 characters; you sign in with it, the household’s name and yours"
      error={wrong('passphrase')}
      autocomplete="new-password"
    />
    <Button type="submit">Join</Button>
  </form>
</Front>
