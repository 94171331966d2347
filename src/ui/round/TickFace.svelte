<script lang="ts">
  import type { Snippet } from 'svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';
  import Cut from 'carbon-icons-svelte/lib/Cut.svelte';

  /** A step as it is touched: a button that ticks it, or a link to where it is weighed. */
  interface Props {
    title: string;
    why: string;
    /** Where it leads; a button where not given. */
    href?: string | undefined;
    onclick?: () => void;
  }
  let { title, why, href, onclick }: Props = $props();
</script>

{#snippet face(box: Snippet, cut: boolean)}
  <span class="box" class:cut aria-hidden="true">{@render box()}</span>
  <span
    ><strong>{title}</strong>{#if why}<span class="why small">{why}</span>{/if}</span
  >
{/snippet}
{#snippet check()}<Checkmark size={24} />{/snippet}
{#snippet knife()}<Cut size={24} />{/snippet}

{#if href}
  <a class="tick" {href}>{@render face(knife, true)}</a>
{:else}
  <button class="tick" {onclick}>{@render face(check, false)}</button>
{/if}

<style>
  .tick {
    display: flex;
    width: 100%;
    align-items: center;
    gap: 0.75rem;
    text-align: left;
    padding: 0.3rem 0.6rem 0.3rem 0.35rem;
    border: 1.5px solid var(--beet);
    border-radius: 10px;
    background: var(--paper-raised);
    color: var(--ink);
    font: inherit;
    text-decoration: none;
    cursor: pointer;
    box-sizing: border-box;
  }
  .tick:hover {
    background: var(--beet-soft);
  }
  .box {
    flex: none;
    display: grid;
    place-items: center;
    width: 2.75rem;
    height: 2.75rem;
    border-radius: 8px;
    background: var(--beet);
    color: var(--on-beet);
    font-size: 1.3rem;
  }
  .box.cut {
    background: var(--window);
    color: #2a2521;
  }
  strong {
    display: block;
    font-weight: 620;
  }
  strong,
  .why {
    line-height: 1.25;
  }
  .why {
    display: block;
    color: var(--ink-soft);
  }
  @media (max-width: 47.99rem) {
    .tick {
      gap: 0.6rem;
      min-height: 2.75rem;
      padding: 0.25rem 0.5rem 0.25rem 0.3rem;
    }
    .box {
      width: 2.25rem;
      height: 2.25rem;
    }
  }
  /* On paper an empty box, for a pencil. */
  @media print {
    .tick {
      border: none;
      padding: 0;
    }
    .box {
      background: none;
      border: 2px solid var(--ink);
      width: 1.4rem;
      height: 1.4rem;
    }
    .box :global(svg) {
      display: none;
    }
  }
</style>
