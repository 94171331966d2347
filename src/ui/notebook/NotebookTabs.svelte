<script lang="ts">
  import { t } from '$messages/t.ts';
  import Tabs from '$ui/shell/Tabs.svelte';

  const VIEWS = [
    { path: '/notebook', name: t('notebook.sowings') },
    { path: '/notebook/compare', name: t('notebook.sideBySide') },
    { path: '/notebook/year', name: t('notebook.year.tab') }
  ];
</script>

<Tabs label={t('notebook.notebook')} views={VIEWS} />
