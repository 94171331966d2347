<script lang="ts">
  import { t } from '$messages/t.ts';
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/bench', name: t('bench.sheet') },
    { path: '/bench/calculators', name: t('bench.calculators') },
    { path: '/bench/cupboard', name: t('bench.cupboard') }
  ];
</script>

<Tabs label={t('bench.bench')} views={VIEWS} />
