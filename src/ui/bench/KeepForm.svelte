<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import type { Snippet } from 'svelte';
  import { enhance } from '$ui/state/reload.ts';

  const CUPBOARD = { path: '/bench/cupboard', name: t('bench.cupboard') };

  interface Props {
    title: string;
    /** What putting it away is called; none for what is not kept yet. */
    away: string | null;
    /** Where it leads back to, and what that is called. */
    back?: { path: string; name: string };
    /** What stands between the title and the form. */
    lead?: Snippet;
    children: Snippet;
  }
  let { title, away, back = CUPBOARD, lead, children }: Props = $props();
</script>

<svelte:head><title>{title} · Brote</title></svelte:head>

<p class="small"><a href={back.path}>← {back.name}</a></p>
<h1>{title}</h1>
{@render lead?.()}
<form method="POST" action="?/save" class="stack" use:enhance={{ reset: false }} novalidate>
  {@render children()}
  <div class="row">
    <Button type="submit">{t('bench.save')}</Button>
    <Button kind="ghost" href={back.path}>{t('bench.notNow')}</Button>
    {#if away}<Button type="submit" kind="ghost" class="undo" formaction="?/retire">{away}</Button>{/if}
  </div>
</form>

<style>
  form {
    max-width: 34rem;
    margin-top: 1rem;
  }
</style>
