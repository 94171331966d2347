<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import type { Stop } from '$core/steps/walk.ts';

  /** The way to a closer look at what grows in a container. */
  let { stop }: { stop: Stop } = $props();
  const sown = $derived(
    stop.parts.filter(({ projected: { state } }) => state.sownAt !== null && state.stage !== 'ended')
  );
</script>

<div class="row">
  {#each sown as { projected: { setup, crop } } (setup.id)}
    <a href="/tray/{setup.id}/look"
      >{t('round.lookCloser')}<span class={sown.length > 1 ? '' : 'visually-hidden'}>
        {t('round.atName', { name: cropName(crop.name) })}</span
      ></a
    >
  {/each}
</div>

<style>
  a {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
  }
</style>
