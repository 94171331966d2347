<script lang="ts">
  import type { Snippet } from 'svelte';

  /** A secret that is kept nowhere and so can be copied now or never. */
  interface Props {
    secret: string;
    /** It is an address that can be opened. */
    isLink?: boolean;
    /** What it is and what to do with it. */
    children: Snippet;
    /** What follows it. */
    after?: Snippet;
  }
  let { secret, isLink = false, children, after }: Props = $props();
</script>

<div class="card stack" role="status">
  <p>{@render children()}</p>
  <code class="token"
    >{#if isLink}<a href={secret}>{secret}</a>{:else}{secret}{/if}</code
  >
  {@render after?.()}
</div>

<style>
  .token {
    overflow-wrap: anywhere;
    font-weight: 600;
  }
</style>
