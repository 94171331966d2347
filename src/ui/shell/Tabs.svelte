<script lang="ts">
  import { page } from '$app/state';

  /** Views of one part of the household's work, side by side; the most exact match is the present one. */
  let { label, views }: { label: string; views: readonly { path: string; name: string }[] } = $props();

  const here = $derived(
    views
      .filter(({ path }) => page.url.pathname === path || page.url.pathname.startsWith(`${path}/`))
      .toSorted((a, b) => b.path.length - a.path.length)[0]?.path
  );
</script>

<nav aria-label={label}>
  {#each views as { path, name } (path)}
    <a href={path} aria-current={path === here ? 'page' : undefined}>{name}</a>
  {/each}
</nav>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem;
    margin-bottom: 1rem;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    padding: 0 0.9rem;
    border-radius: 8px;
    color: var(--ink);
    text-decoration: none;
  }
  a:hover {
    background: var(--beet-soft);
  }
  a[aria-current] {
    background: var(--paper-sunk);
    font-weight: 620;
  }
  @media print {
    nav {
      display: none;
    }
  }
</style>
