<script lang="ts">
  import { t } from '$messages/t.ts';
  import Tabs from './Tabs.svelte';

  const VIEWS = [
    { path: '/crops', name: t('app.crops') },
    { path: '/methods', name: t('app.methods') }
  ];
</script>

<Tabs label={t('app.whatBroteKnows')} views={VIEWS} />
