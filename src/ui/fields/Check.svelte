<script lang="ts">
  import { Checkbox } from 'carbon-components-svelte';

  let { name, label, checked }: { name: string; label: string; checked: boolean } = $props();
</script>

<Checkbox {name} labelText={label} {checked} />
