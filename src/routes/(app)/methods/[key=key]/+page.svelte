<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { enhance } from '$ui/state/reload.ts';
  import type { Method } from '$core/supplies/methods/method.ts';
  import Field from '$ui/fields/Field.svelte';
  import MethodFields from '$ui/methods/MethodFields.svelte';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  let method = $state<Method>(untrack(() => ({ ...data.method })));
  const wrong = $derived<Record<string, string>>(form?.errors ?? {});
</script>

<svelte:head><title>{data.isNew ? 'New method' : data.method.name} · Brote</title></svelte:head>

<p class="small"><a href="/methods">← Methods</a></p>
<h1>{data.isNew ? 'A method of your own' : data.method.name}</h1>
{#if data.isNew}<p class="soft">Made from “{data.from}”.</p>{:else}<p class="soft">
    Sowings that stand keep the method as it was when they were planned.
  </p>{/if}
<form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
  <input type="hidden" name="method" value={JSON.stringify(method)} />
  <Field
    name="name"
    label="Name"
    placeholder="Our way"
    value={method.name}
    oninput={(typed) => (method = { ...method, name: typed })}
    error={wrong.name ?? ''}
  />
  <MethodFields bind:method {wrong} askMedium units={data.household.units} />
  <div class="row">
    <Button type="submit">Save</Button>
    <Button kind="ghost" href="/methods">Not now</Button>
    {#if !data.isNew}<Button type="submit" kind="ghost" class="undo" formaction="?/retire">Put it away</Button
      >{/if}
  </div>
</form>

<style>
  form {
    max-width: 44rem;
    margin-top: 1rem;
  }
</style>
