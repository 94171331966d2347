<script lang="ts">
  import 'carbon-components-svelte/css/all.css';
  import '../styles/app.css';
  import { onMount, type Snippet } from 'svelte';
  import { page } from '$ui/state/hydrated.svelte.ts';

  let { children }: { children: Snippet } = $props();
  onMount(() => {
    page.hydrated = true;
  });
</script>

{@render children()}
