<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import { typedBefore } from '$ui/fields/typedBefore.ts';
  import Field from '$ui/fields/Field.svelte';
  import ZoneAndUnits from '$ui/household/ZoneAndUnits.svelte';
  import Front from '$ui/shell/Front.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { wrong, typed } = formAnswers(() => form);

  let zone = $state(typedBefore('zone'));
  let units = $state(typedBefore('units') || 'metric');
  onMount(() => {
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
    zone = typed('zone') || zone || (data.zones.includes(here) ? here : '');
    if (typed('units')) units = typed('units');
    else if (['en-US', 'en-LR', 'my'].includes(navigator.language)) units = 'us';
  });
</script>

{#if !data.open}
  <Front
    title="This Brote has its household"
    lead="It was set up for one home, and takes no other. Whoever runs it can let more in by starting it with BROTE_OPEN=1."
  >
    <p><a href="/sign-in">Sign in to the household that is here</a></p>
  </Front>
{:else}
  <Front title="Welcome to Brote" lead="Name your household, and the first tray can be sown in a minute.">
    <form method="POST" class="stack" use:enhance novalidate>
      <Field
        name="name"
        label="Household"
        helper="Whatever you call your home"
        value={typed('name')}
        error={wrong('name')}
      />
      <Field
        name="memberName"
        label="Your name"
        helper="So that others see who did what"
        value={typed('memberName')}
        error={wrong('memberName')}
      />
      <ZoneAndUnits zones={data.zones} bind:zone bind:units {wrong} />
      <Field
        type="password"
        name="passphrase"
        label="Passphrase"
        helper="At least 8 characters; everyone in the household uses it"
        error={wrong('passphrase')}
        autocomplete="new-password"
      />
      <Button type="submit">Begin the first sowing</Button>
    </form>
    <p class="small"><a href="/sign-in">Sign in to a household that is here already</a></p>
  </Front>
{/if}
