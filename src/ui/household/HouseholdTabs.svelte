<script lang="ts">
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/household', name: 'Settings' },
    { path: '/household/reminders', name: 'Reminders' },
    { path: '/household/people', name: 'People' },
    { path: '/household/away', name: 'Away' },
    { path: '/household/money', name: 'Money' },
    { path: '/household/data', name: 'Data' }
  ];
</script>

<Tabs label="Household" views={VIEWS} />
