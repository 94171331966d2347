<script lang="ts">
  import { t } from '$messages/t.ts';
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/household', name: t('household.settings') },
    { path: '/household/reminders', name: t('household.reminders') },
    { path: '/household/people', name: t('household.people') },
    { path: '/household/away', name: t('household.away') },
    { path: '/household/money', name: t('household.money') },
    { path: '/household/data', name: t('household.data') }
  ];
</script>

<Tabs label={t('household.household')} views={VIEWS} />
