<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import KeyList from './KeyList.svelte';
  import OverPage from './OverPage.svelte';

  let { onclose }: { onclose: () => void } = $props();
</script>

<OverPage label={t('app.keys.title')} {onclose}>
  {#snippet children(close)}
    <h2>{t('app.keys.title')}</h2>
    <KeyList />
    <Button kind="tertiary" class="chip" on:click={close}>{t('app.close')}</Button>
  {/snippet}
</OverPage>
