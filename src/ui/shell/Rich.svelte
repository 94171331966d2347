<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Piece } from '$messages/t.ts';

  /** A message with tags in it: strong and emphasised words and code stand for themselves, links come as snippets. */
  interface Props {
    parts: readonly Piece[];
    link?: Snippet<[string]>;
    link2?: Snippet<[string]>;
    link3?: Snippet<[string]>;
  }
  let { parts, link, link2, link3 }: Props = $props();
  const snippets = $derived<Record<string, Snippet<[string]> | undefined>>({ link, link2, link3 });
</script>

{#each parts as { text, tag }, n (n)}{@const snippet = tag
    ? snippets[tag]
    : undefined}{#if snippet}{@render snippet(text)}{:else if tag === 'strong'}<strong>{text}</strong
    >{:else if tag === 'em'}<em>{text}</em>{:else if tag === 'code'}<code>{text}</code
    >{:else}{text}{/if}{/each}
