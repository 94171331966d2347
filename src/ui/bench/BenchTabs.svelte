<script lang="ts">
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/bench', name: 'Sheet' },
    { path: '/bench/calculators', name: 'Calculators' },
    { path: '/bench/cupboard', name: 'Cupboard' }
  ];
</script>

<Tabs label="Bench" views={VIEWS} />
