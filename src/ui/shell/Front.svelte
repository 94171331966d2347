<script lang="ts">
  import type { Snippet } from 'svelte';
  import FormSay from './FormSay.svelte';

  let { title, lead, children }: { title: string; lead: string; children: Snippet } = $props();
</script>

<svelte:head><title>{title} · Brote</title></svelte:head>

<main class="front">
  <img src="/brote.svg" alt="" width="56" height="56" />
  <h1>{title}</h1>
  <p class="soft">{lead}</p>
  <FormSay />
  {@render children()}
</main>

<style>
  .front {
    max-width: 27rem;
    margin: 0 auto;
    padding: 2.5rem 1.1rem 4rem;
    display: grid;
    gap: 1rem;
  }
</style>
