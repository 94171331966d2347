<script lang="ts">
  import 'carbon-components-svelte/css/all.css';
  import '../styles/app.css';
  import { onMount, tick, type Snippet } from 'svelte';
  import { page } from '$ui/state/hydrated.svelte.ts';

  let { children }: { children: Snippet } = $props();
  onMount(async () => {
    page.hydrated = true;
    await tick();
    // For what drives a page from outside: from here on a press is answered by its scripts.
    document.documentElement.dataset.hydrated = '';
  });
</script>

{@render children()}
