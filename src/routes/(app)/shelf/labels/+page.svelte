<script lang="ts">
  import { t } from '$messages/t.ts';
  import { oneStop } from '$ui/fields/oneStop.ts';
  import { Button } from 'carbon-components-svelte';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  /** Left off the sheet: their labels are on the trays already. */
  let off = $state<string[]>([]);
  const chosen = $derived(data.labels.filter(({ id }) => !off.includes(id)));
  const toggle = (id: string) => (off = off.includes(id) ? off.filter((one) => one !== id) : [...off, id]);
</script>

<svelte:head><title>{t('shelf.labels.pageTitle')}</title></svelte:head>

<header class="page-head screen">
  <div>
    <h1>{t('shelf.labels.title')}</h1>
    <p class="soft">{t('shelf.labels.lead')}</p>
  </div>
  {#if data.labels.length > 0}
    <Button disabled={chosen.length === 0} on:click={() => window.print()}
      >{t('shelf.labels.print', { count: chosen.length })}</Button
    >
  {/if}
</header>
{#if data.onlyHere}<p class="warn screen">{t('shelf.labels.onlyHere')}</p>{/if}

{#if data.labels.length === 0}
  <p class="card">{t('shelf.labels.none')}</p>
{:else}
  <div class="row screen" role="toolbar" tabindex="-1" use:oneStop aria-label={t('shelf.labels.which')}>
    {#each data.labels as label (label.id)}
      <button class="chip quiet" aria-pressed={!off.includes(label.id)} onclick={() => toggle(label.id)}
        >{label.crop}, {label.container}</button
      >
    {/each}
  </div>
  <ul class="sheet">
    {#each chosen as label (label.id)}
      <li>
        <svg
          viewBox="0 0 {label.code.size} {label.code.size}"
          role="img"
          aria-label={t('shelf.labels.code', { crop: label.crop, container: label.container })}
          shape-rendering="crispEdges"
        >
          <rect width="100%" height="100%" fill="#fff" />
          <path d={label.code.path} fill="#000" />
        </svg>
        <div>
          <strong>{label.crop}</strong>
          <span>{label.container}</span>
          <span
            >{label.isSown
              ? t('shelf.labels.sown', { day: label.sownOn })
              : t('shelf.labels.toSow', { day: label.sownOn })}</span
          >
          <span>{label.window}</span>
        </div>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .row {
    margin: 1rem 0;
  }
  .sheet {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(84mm, 100%), 1fr));
    gap: 4mm;
  }
  /* White paper and black ink, whatever the theme: a camera reads it off the screen as well. */
  li {
    display: grid;
    grid-template-columns: 30mm minmax(0, 1fr);
    gap: 3mm;
    align-items: center;
    padding: 2mm;
    border: 1px dashed #888;
    background: #fff;
    color: #000;
    break-inside: avoid;
  }
  li > div {
    display: grid;
    font-size: 11pt;
    line-height: 1.3;
  }
  li strong {
    font-size: 15pt;
  }
  @media print {
    .screen {
      display: none;
    }
    .sheet {
      grid-template-columns: repeat(2, 1fr);
    }
  }
</style>
