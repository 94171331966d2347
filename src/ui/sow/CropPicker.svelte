<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { tick } from 'svelte';
  import { Button, Search } from 'carbon-components-svelte';
  import type { Crop } from '$core/crops/crop.ts';
  import { easyCrops } from '$core/crops/easy.ts';
  import { searchCrops } from '$core/crops/names/search.ts';
  import { cropPicture } from '$core/picture/cropPicture.ts';
  import { leftG, type LotStock } from '$core/supplies/seed/lot.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';

  /** One crop, chosen by its picture: those with seed in the cupboard first, then easy ones, all others by searching. */
  interface Props {
    crops: readonly Crop[];
    lots: readonly LotStock[];
    /** The crop's key, or an empty string. */
    chosen: string;
    onchoose: (cropKey: string) => void;
    /** Days until a crop may be cut, sown now as the rest of the form says; null where it would not grow. */
    daysHere: (crop: Crop) => number | null;
    error: string;
  }
  let { crops, lots, chosen, onchoose, daysHere, error }: Props = $props();

  const MOST_OFFERED = 6;
  let words = $state('');
  let showsAll = $state(false);
  let chosenRow = $state<HTMLElement>();

  const crop = $derived(crops.find(({ key }) => key === chosen));
  const withSeed = $derived(
    crops
      .filter(({ key }) => lots.some((lot) => lot.cropKey === key && leftG(lot) > 0))
      .slice(0, MOST_OFFERED)
  );
  const easy = $derived(
    easyCrops(crops)
      .filter((one) => !withSeed.includes(one))
      .slice(0, MOST_OFFERED)
  );
  const groups = $derived(
    words.trim() !== '' || showsAll
      ? [{ title: '', offered: searchCrops(words, crops) }]
      : [
          { title: t('sow.seedInCupboard'), offered: withSeed },
          { title: t('sow.easyFirstCrops'), offered: easy }
        ].filter(({ offered }) => offered.length > 0)
  );

  async function choose(event: MouseEvent, key: string) {
    if (event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    onchoose(key);
    [words, showsAll] = ['', false];
    await tick();
    chosenRow?.focus();
  }
  async function change() {
    onchoose('');
    await tick();
    document.querySelector<HTMLElement>('#find-crop')?.focus();
  }
</script>

{#if crop}
  <div class="chosen" bind:this={chosenRow} tabindex="-1">
    <span class="picture"><TrayDrawing picture={cropPicture(crop)} label="" scene={160} /></span>
    <strong>{cropName(crop.name)}</strong>
    <Button kind="tertiary" class="chip" on:click={change}>{t('sow.otherCrop')}</Button>
  </div>
{:else}
  <Search
    id="find-crop"
    labelText={t('sow.findCrop')}
    placeholder={t('sow.findCrop')}
    bind:value={words}
    size="lg"
    aria-invalid={error ? 'true' : undefined}
    aria-describedby={error ? 'crop-error' : undefined}
  />
  {#if error}<p class="failed small" id="crop-error">{error}</p>{/if}
  {#each groups as { title, offered } (title)}
    <div class="group">
      {#if title}<h3>{title}</h3>{/if}
      <ul aria-label={title || t('sow.crops')}>
        {#each offered as one (one.key)}
          {@const days = daysHere(one)}
          <li>
            <a href="/sow?crop={one.key}" onclick={(event) => void choose(event, one.key)}>
              <span class="picture"><TrayDrawing picture={cropPicture(one)} label="" scene={160} /></span>
              <span class="name">{cropName(one.name)}</span>
              {#if days !== null}<span class="days soft">{t('sow.daysHere', { days })}</span>{/if}
            </a>
          </li>
        {:else}
          <li class="none soft">{t('crops.noCropHasNameTry')}</li>
        {/each}
      </ul>
    </div>
  {/each}
  {#if !showsAll && words.trim() === ''}
    <Button kind="ghost" class="chip quiet" on:click={() => (showsAll = true)}
      >{t('sow.allCrops', { crops: crops.length })}</Button
    >
  {/if}
{/if}

<style>
  .chosen {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.9rem;
    align-items: center;
    font-size: 1.15rem;
    outline-offset: 4px;
  }
  .chosen .picture {
    width: 4.5rem;
  }
  .chosen strong {
    flex: 1 1 8rem;
  }
  .group {
    display: grid;
    gap: 0.5rem;
  }
  h3 {
    font-size: 1rem;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(6.5rem, 1fr));
    gap: 0.5rem;
  }
  li {
    min-width: 0;
  }
  a {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    height: 100%;
    box-sizing: border-box;
    align-content: end;
    padding: 0.4rem 0.5rem;
    border: 1.5px solid var(--ink-faint);
    border-radius: 10px;
    background: var(--paper-raised);
    color: inherit;
    text-decoration: none;
    line-height: 1.2;
  }
  a:hover {
    border-color: var(--beet);
  }
  .picture {
    display: block;
  }
  .name {
    overflow-wrap: anywhere;
    font-weight: 600;
  }
  .days {
    font-size: 0.875rem;
  }
  .none {
    grid-column: 1 / -1;
  }
  .failed {
    color: var(--alarm);
  }
</style>
