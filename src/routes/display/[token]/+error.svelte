<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';

  // Nobody stands by to press anything: a server that was away for a moment is asked again.
  const RETRY_MS = 60_000;
  onMount(() => {
    const timer = setInterval(() => location.reload(), RETRY_MS);
    return () => clearInterval(timer);
  });
</script>

<svelte:head><title>Brote</title></svelte:head>

<main>
  <h1>{page.error?.message}</h1>
</main>

<style>
  main {
    max-width: 46rem;
    margin: 0 auto;
    padding: 3rem 1.5rem;
  }
</style>
