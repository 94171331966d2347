<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>{page.status === 404 ? 'Not found' : 'Something went wrong'} · Brote</title></svelte:head>

<main class="lost stack">
  <h1>{page.status === 404 ? 'Nothing grows here' : 'Something went wrong'}</h1>
  <p>
    {page.status === 404 && page.error?.message === 'Not Found'
      ? 'There is no page at this address.'
      : page.error?.message}
  </p>
  <p><a href="/round">Go to the round</a></p>
</main>

<style>
  .lost {
    max-width: 36rem;
    margin: 0 auto;
    padding: 3rem 1rem;
  }
</style>
