<script lang="ts">
  import Tabs from './Tabs.svelte';

  const VIEWS = [
    { path: '/crops', name: 'Crops' },
    { path: '/methods', name: 'Methods' }
  ];
</script>

<Tabs label="What Brote knows" views={VIEWS} />
