<script lang="ts">
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/notebook', name: 'Sowings' },
    { path: '/notebook/compare', name: 'Side by side' },
    { path: '/notebook/year', name: 'A year' }
  ];
</script>

<Tabs label="Notebook" views={VIEWS} />
