<script lang="ts">
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/ahead', name: 'Weeks' },
    { path: '/ahead/appetite', name: 'What you eat' },
    { path: '/ahead/orders', name: 'Standing orders' },
    { path: '/ahead/seed', name: 'Seed to buy' }
  ];
</script>

<Tabs label="Ahead" views={VIEWS} />
