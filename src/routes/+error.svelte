<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$messages/t.ts';

  const title = $derived(page.status === 404 ? t('app.notFound.title') : t('app.failed.title'));
</script>

<svelte:head><title>{title} · Brote</title></svelte:head>

<main class="lost stack">
  <h1>{title}</h1>
  <p>
    {page.status === 404 && page.error?.message === 'Not Found'
      ? t('app.notFound.text')
      : page.error?.message}
  </p>
  <p><a href="/round">{t('app.toRound')}</a></p>
</main>

<style>
  .lost {
    max-width: 36rem;
    margin: 0 auto;
    padding: 3rem 1rem;
  }
</style>
