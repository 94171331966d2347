<script lang="ts">
  import { t } from '$messages/t.ts';
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/ahead', name: t('ahead.weeks') },
    { path: '/ahead/appetite', name: t('ahead.whatYouEat2') },
    { path: '/ahead/orders', name: t('ahead.standingOrders2') },
    { path: '/ahead/seed', name: t('ahead.seedBuy') }
  ];
</script>

<Tabs label={t('ahead.ahead')} views={VIEWS} />
