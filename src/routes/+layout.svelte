<script lang="ts">
  import 'carbon-components-svelte/css/all.css';
  import '../styles/app.css';
  import type { Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
</script>

{@render children()}
