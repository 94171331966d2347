<script lang="ts">
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/household', name: 'Settings' },
    { path: '/household/reminders', name: 'Reminders' },
    { path: '/household/people', name: 'People' },
    { path: '/household/away', name: 'Away' }
  ];
</script>

<Tabs label="Household" views={VIEWS} />
