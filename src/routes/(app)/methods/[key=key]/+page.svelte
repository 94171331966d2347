<script lang="ts">
  import { methodName } from '$words/methods.ts';
  import { t } from '$messages/t.ts';
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

<svelte:head
  ><title>{data.isNew ? t('methods.newMethod') : methodName(data.method)} · Brote</title></svelte:head
>

<p class="small"><a href="/methods">{t('methods.methods2')}</a></p>
<h1>{data.isNew ? t('methods.methodYourOwn') : methodName(data.method)}</h1>
{#if data.isNew}<p class="soft">{t('methods.madeFromFrom', { from: data.from })}</p>{:else}<p class="soft">
    {t('methods.sowingsStandKeepMethodAs')}
  </p>{/if}
<form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
  <input type="hidden" name="method" value={JSON.stringify(method)} />
  <Field
    name="name"
    label={t('methods.name')}
    placeholder={t('methods.ourWay')}
    value={method.name}
    oninput={(typed) => (method = { ...method, name: typed })}
    error={wrong.name ?? ''}
  />
  <MethodFields
    bind:method
    {wrong}
    askMedium
    products={data.products}
    today={data.today}
    units={data.household.units}
  />
  <div class="row">
    <Button type="submit">{t('methods.save')}</Button>
    <Button kind="ghost" href="/methods">{t('methods.notNow')}</Button>
    {#if !data.isNew}<Button type="submit" kind="ghost" class="undo" formaction="?/retire"
        >{t('methods.putAway')}</Button
      >{/if}
  </div>
</form>

<style>
  form {
    max-width: 44rem;
    margin-top: 1rem;
  }
</style>
