<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Snippet } from 'svelte';
  import { afterNavigate } from '$app/navigation';
  import { page } from '$app/state';
  import Weeks from 'carbon-icons-svelte/lib/Calendar.svelte';
  import Add from 'carbon-icons-svelte/lib/AddAlt.svelte';
  import Bench from 'carbon-icons-svelte/lib/ListChecked.svelte';
  import Catalog from 'carbon-icons-svelte/lib/Catalog.svelte';
  import Home from 'carbon-icons-svelte/lib/Home.svelte';
  import MoreIcon from 'carbon-icons-svelte/lib/OverflowMenuHorizontal.svelte';
  import Notebook from 'carbon-icons-svelte/lib/Notebook.svelte';
  import Pantry from 'carbon-icons-svelte/lib/Restaurant.svelte';
  import Shelf from 'carbon-icons-svelte/lib/Layers.svelte';
  import Walk from 'carbon-icons-svelte/lib/CheckmarkOutline.svelte';

  let { household, children }: { household: string; children: Snippet } = $props();

  const SHELF = [
    { path: '/round', name: t('app.round'), icon: Walk },
    { path: '/shelf', name: t('app.shelf'), icon: Shelf },
    { path: '/sow', name: t('app.sow'), icon: Add },
    { path: '/ahead', name: t('app.ahead'), icon: Weeks }
  ];
  /** On a phone these open from the fifth button: nine do not fit under a thumb. */
  const MORE = [
    { path: '/bench', name: t('app.bench'), icon: Bench },
    { path: '/pantry', name: t('app.pantry'), icon: Pantry },
    { path: '/crops', name: t('app.crops'), icon: Catalog, also: '/methods' },
    { path: '/notebook', name: t('app.notebook'), icon: Notebook },
    { path: '/household', name: t('app.household'), icon: Home }
  ];

  type View = { path: string; also?: string };
  const isCurrent = (view: View) =>
    [view.path, view.also].some((path) => path !== undefined && page.url.pathname.startsWith(path));

  let more = $state<HTMLElement>();
  afterNavigate(() => more?.hidePopover());
</script>

<a class="skip" href="#main">{t('app.skipPage')}</a>
<div class="shell">
  <nav aria-label={t('app.views')}>
    <a class="name" href="/round"><img src="/brote.svg" alt="" width="30" height="30" /><span>Brote</span></a>
    <ul>
      {#each SHELF as view (view.path)}<li>{@render link(view)}</li>{/each}
      {#each MORE as view (view.path)}<li class="wide">{@render link(view)}</li>{/each}
      <li class="narrow">
        <button type="button" popovertarget="more-views" class:current={MORE.some(isCurrent)}>
          <MoreIcon size={24} aria-hidden="true" /><span>{t('app.more')}</span>
        </button>
      </li>
    </ul>
    <p class="household soft small">{household}</p>
    <div id="more-views" class="more" popover="auto" bind:this={more}>
      <p class="soft small">{household}</p>
      <ul>
        {#each MORE as view (view.path)}<li>{@render link(view)}</li>{/each}
      </ul>
    </div>
  </nav>
  <main id="main" tabindex="-1">{@render children()}</main>
</div>

{#snippet link(view: View & { name: string; icon: typeof Home })}
  <a href={view.path} aria-current={isCurrent(view) ? 'page' : undefined}>
    <view.icon size={24} aria-hidden="true" /><span>{view.name}</span>
  </a>
{/snippet}

<style>
  .skip {
    position: absolute;
    left: -99rem;
  }
  .skip:focus {
    left: 0.5rem;
    top: 0.5rem;
    z-index: 20;
    padding: 0.5rem 1rem;
    background: var(--paper-raised);
  }
  .shell {
    display: grid;
    min-height: 100vh;
    grid-template-columns: minmax(11rem, max-content) minmax(0, 1fr);
  }
  nav {
    position: sticky;
    top: 0;
    height: 100vh;
    padding: 1.25rem 0.75rem;
    box-sizing: border-box;
    background: var(--paper-sunk);
    display: flex;
    flex-direction: column;
    gap: 1.5rem;
  }
  .name {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    padding: 0 0.5rem;
    font-size: 1.35rem;
    font-weight: 700;
    text-decoration: none;
    color: var(--ink);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.25rem;
  }
  li :is(a, button) {
    display: flex;
    align-items: center;
    gap: 0.7rem;
    min-height: 2.9rem;
    padding: 0 0.6rem;
    border-radius: 8px;
    text-decoration: none;
    color: var(--ink);
  }
  li :is(a, button):hover {
    background: var(--beet-soft);
  }
  li a[aria-current],
  li button.current {
    background: var(--beet);
    color: var(--on-beet);
    font-weight: 600;
  }
  .narrow {
    display: none;
  }
  /* As wide as the names of the views make it, however long the household's is. */
  .household {
    margin-top: auto;
    padding: 0 0.5rem;
    box-sizing: border-box;
    width: 0;
    min-width: 100%;
  }
  main {
    padding: 1.75rem clamp(1rem, 3vw, 2.5rem) 7rem;
    max-width: 68rem;
    box-sizing: border-box;
    width: 100%;
    outline: none;
  }
  @media (max-width: 47.99rem) {
    .shell {
      grid-template-columns: minmax(0, 1fr);
    }
    nav {
      position: fixed;
      inset: auto 0 0;
      height: auto;
      z-index: 10;
      padding: 0;
      border-top: 1.5px solid var(--ink-faint);
      padding-bottom: env(safe-area-inset-bottom);
    }
    .name,
    .wide,
    .household {
      display: none;
    }
    .narrow {
      display: block;
    }
    nav > ul {
      grid-template-columns: repeat(5, minmax(0, 1fr));
      gap: 0;
    }
    nav > ul :is(a, button) {
      flex-direction: column;
      gap: 0.1rem;
      justify-content: center;
      width: 100%;
      min-height: 3.75rem;
      padding: 0;
      border: 0;
      background: none;
      font-size: 0.875rem;
      cursor: pointer;
      border-radius: 0;
    }
    nav > ul span {
      max-width: 100%;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    nav > ul li button.current {
      background: var(--beet);
    }
    .more {
      inset: auto 0 calc(3.75rem + env(safe-area-inset-bottom));
      width: 100%;
      box-sizing: border-box;
      padding: 0.9rem;
      border: 0;
      border-top: 1.5px solid var(--ink-faint);
      background: var(--paper-sunk);
      color: var(--ink);
      box-shadow: 0 -6px 18px rgb(0 0 0 / 18%);
    }
    .more ul {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    main {
      padding: 1rem 0.9rem 9rem;
    }
  }
  @media print {
    nav {
      display: none;
    }
    .shell {
      display: block;
    }
    main {
      max-width: none;
      padding: 0;
    }
  }
</style>
