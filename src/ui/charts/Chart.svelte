<script lang="ts" module>
  /** The page's colours as they are now, light or dark. */
  export interface Inks {
    ink: string;
    soft: string;
    faint: string;
    beet: string;
    water: string;
    leaf: string;
    window: string;
    alarm: string;
    paper: string;
  }
  /** What a chart says, for those who cannot see it and for those who want the figures. */
  export interface ChartTable {
    columns: readonly string[];
    rows: readonly (readonly string[])[];
  }
</script>

<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { EChartsCoreOption } from 'echarts/core';
  import { onMount } from 'svelte';

  interface Props {
    title: string;
    /** Heading level. */
    level?: 2 | 3;
    /** What is to be seen in it, in a sentence. */
    says: string;
    option: (inks: Inks) => EChartsCoreOption;
    table: ChartTable;
    height?: number;
  }
  let { title, says, option, table, height = 220, level = 3 }: Props = $props();
  const id = $props.id();
  let canvas: HTMLDivElement;
  let probe: HTMLSpanElement;
  let chart = $state.raw<{
    setOption(option: EChartsCoreOption, clean: boolean): void;
    resize(): void;
  } | null>(null);
  let inks = $state.raw<Inks | null>(null);

  function readInks(): Inks {
    const read = (name: string) => {
      probe.style.color = `var(--${name})`;
      return getComputedStyle(probe).color;
    };
    return {
      ink: read('ink'),
      soft: read('ink-soft'),
      faint: read('ink-faint'),
      beet: read('beet'),
      water: read('water'),
      leaf: read('leaf-green'),
      window: read('window'),
      alarm: read('alarm'),
      paper: read('paper')
    };
  }
  onMount(() => {
    let gone = false;
    let dispose = () => {};
    const dark = matchMedia('(prefers-color-scheme: dark)');
    const recolour = () => (inks = readInks());
    // Charts weigh more than the page they stand on: they come when one is to be drawn.
    void import('./engine.ts').then(({ init }) => {
      if (gone) return;
      const made = init(canvas);
      recolour();
      chart = made;
      const observer = new ResizeObserver(() => made.resize());
      observer.observe(canvas);
      dark.addEventListener('change', recolour);
      dispose = () => {
        observer.disconnect();
        dark.removeEventListener('change', recolour);
        made.dispose();
      };
    });
    return () => {
      gone = true;
      dispose();
    };
  });
  // Set here and not in the markup: an attribute that came with the page would be refused by its policy.
  $effect(() => {
    canvas.style.height = `${height}px`;
    chart?.resize();
  });
  $effect(() => {
    if (!chart || !inks) return;
    chart.setOption(
      {
        animation: false,
        textStyle: { fontFamily: getComputedStyle(canvas).fontFamily, color: inks.soft, fontSize: 13 },
        grid: { left: 46, right: 16, top: 16, bottom: 28 },
        ...option(inks)
      },
      true
    );
  });
</script>

<figure aria-labelledby="{id}-title">
  <figcaption>
    <svelte:element this={`h${level}`} class="title" id="{id}-title">{title}</svelte:element>
    <p class="small soft">{says}</p>
  </figcaption>
  <span bind:this={probe} hidden></span>
  <div class="canvas" bind:this={canvas} aria-hidden="true"></div>
  <details class="unfold">
    <summary>{t('charts.figures')}</summary>
    <!-- A region that scrolls must be reached by keys. -->
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="scroll" role="region" aria-label={t('charts.titleFigures', { title })} tabindex="0">
      <table>
        <thead
          ><tr
            >{#each table.columns as column (column)}<th scope="col">{column}</th>{/each}</tr
          ></thead
        >
        <tbody>
          {#each table.rows as row, index (index)}
            <tr
              >{#each row as cell, at (at)}{#if at === 0}<th scope="row">{cell}</th>{:else}<td>{cell}</td
                  >{/if}{/each}</tr
            >
          {/each}
        </tbody>
      </table>
    </div>
  </details>
</figure>

<style>
  figure {
    margin: 0;
    min-width: 0;
  }
  .canvas {
    width: 100%;
    min-height: 8rem;
  }
  .scroll {
    max-height: 20rem;
    overflow: auto;
  }
  table {
    border-collapse: collapse;
    font-size: 0.9375rem;
  }
  th,
  td {
    text-align: left;
    padding: 0.2rem 1.25rem 0.2rem 0;
    font-weight: 400;
    vertical-align: top;
  }
  thead th {
    font-weight: 600;
  }
</style>
