<script lang="ts">
  import type { Picture } from '$core/picture/picture.ts';
  import { grainsOf, stemPaths, type StemPaths } from './stems.ts';
  import { page } from '../state/hydrated.svelte.ts';
  import JarDrawing from './JarDrawing.svelte';

  interface Props {
    picture: Picture;
    /** The other half of the same container. */
    beside?: Picture | null;
    /** Said to those who cannot see it; empty where the words beside it say as much. */
    label: string;
    /** Width of the scene in tenths of a cm: the same for all that are to be compared. */
    scene?: number;
  }
  let { picture, beside = null, label, scene = 340 }: Props = $props();
  const id = $props.id();

  // One cm is ten units. All trays are drawn to one scale, so that heights can be compared.
  const RIM = 5;

  const cells = $derived(picture.vessel === 'cells' ? Math.max(1, Math.ceil(picture.cells / 2)) : 1);
  const width = $derived(Math.min(310, picture.widthCm * 10));
  const depth = $derived(Math.min(90, picture.depthCm * 10));
  const sides = $derived(beside ? [picture, beside] : [picture]);
  const stemTop = $derived(Math.max(...sides.map(({ stems }) => stems?.heightCm ?? 0)) * 10);
  const ruler = $derived((picture.rulerCm ?? 0) * 10);
  const fill = $derived(Math.min(depth - RIM, (picture.medium?.depthCm ?? 0) * 10));
  /** The medium's surface, measured down from the rim. */
  const surface = $derived(depth - fill);
  /** A clear lid is a dome where stems stand over the rim. */
  const clearTop = $derived(Math.max(14, stemTop - surface + 10, ruler - surface + 10));
  const coverTop = $derived(
    picture.cover === 'dome'
      ? Math.max(58, stemTop + 16)
      : picture.cover === 'weight'
        ? 105
        : picture.cover === 'stacked'
          ? 46
          : picture.cover === 'clear'
            ? clearTop
            : 18
  );
  const lampTop = $derived(picture.light === 'lamp' ? Math.max(stemTop - surface + 55, 105) : 0);
  const skyTop = $derived(picture.light === 'sill' ? Math.max(stemTop - surface + 40, 110) : 0);
  const height = $derived(
    Math.max(150, depth + Math.max(stemTop - surface + 20, coverTop, lampTop, skyTop) + 14)
  );
  const left = $derived((scene - width) / 2);
  const top = $derived(height - 8 - depth);
  const cellWidth = $derived(width / cells);
  const slant = $derived(picture.vessel === 'round' ? 14 : picture.vessel === 'cells' ? 5 : 7);
  /** Walls lean in: what stands deep in it has less room. */
  const inset = $derived(Math.round((slant * surface) / depth));
  /** Never so thin that it could not be seen. */
  const pool = $derived(picture.poolCm > 0.02 ? Math.max(3, Math.round(picture.poolCm * 10)) : 0);
  const wet = $derived(Math.round((picture.medium?.moisture ?? 0) * fill));
  // The plants are most of a page's bytes and change by the hour: the browser draws them, into the tray
  // that came with the page, so that nothing moves.
  const growing = $derived(cells > 1 ? cellWidth - 2 * inset : (width - 2 * inset) / sides.length);
  const standing = (side: Picture, cut: readonly number[]) =>
    page.hydrated
      ? {
          front: stemPaths(side, growing / 10, cut),
          behind: cut.some((share) => share > 0) ? stemPaths(side, growing / 10, cut, 'behind') : null
        }
      : null;
  /** Cells that are cut alike look alike: drawn once, shown again. */
  const looks = $derived(
    sides.map((side) =>
      cells > 1
        ? [...new Set([0, ...side.cut])].map((share) => ({ share, stand: standing(side, [share]) }))
        : [{ share: -1, stand: standing(side, side.cut) }]
    )
  );
  /** How a cell of a side looks. */
  const lookOf = (side: number, cell: number): number =>
    Math.max(
      0,
      looks[side]!.findIndex(({ share }) => share === (sides[side]!.cut[cell] ?? 0))
    );
  const grains = $derived(sides.map((side) => (page.hydrated ? grainsOf(side, growing / 10) : null)));
  /** Which half a cell belongs to. */
  const sideOf = (cell: number) => (cell < cells / sides.length ? 0 : 1);
</script>

{#snippet plants(x: number, side: number, look: number, first: boolean)}
  {@const shown = sides[side]!}
  {@const stand = looks[side]![look]!.stand}
  {@const seeds = grains[side]}
  <g
    transform="translate({Math.round(x)} {top + surface})"
    class="stem-{shown.habit.stemTint} leaf-{shown.habit.leafTint} {(shown.stems?.green ?? 1) < 0.45
      ? 'pale'
      : ''}"
  >
    {#if !first}
      <use href="#{id}-{side}-{look}" />
    {:else}
      <g id="{id}-{side}-{look}">
        {#if shown.stems && stand}
          <!-- The row behind: the same plants, half a step aside and a little lower. -->
          {#if stand.behind}
            <g transform="translate(5 -2) scale(1 0.92)" class="behind">{@render row(stand.behind)}</g>
          {:else}
            <use href="#{id}-{side}-{look}-row" transform="translate(5 -2) scale(1 0.92)" class="behind" />
          {/if}
          <g id="{id}-{side}-{look}-row">{@render row(stand.front)}</g>
        {/if}
        {#if shown.grains && seeds}
          {#if seeds.tails}<path class="tail" d={seeds.tails} />{/if}
          <path class="grain" d={seeds.grains} />
        {/if}
      </g>
    {/if}
  </g>
{/snippet}

{#snippet row(stand: StemPaths)}
  <path class="stem" d={stand.stems} />
  <path class="leaf" d={stand.leaves} />
  {#if stand.tips}<path class="hook" d={stand.tips} />{/if}
  {#if stand.stubs}<path class="stub" d={stand.stubs} />{/if}
{/snippet}

<svg
  class="drawing"
  class:lost={picture.lost}
  viewBox="0 0 {scene} {Math.round(height)}"
  role={label ? 'img' : undefined}
  aria-label={label || undefined}
  aria-hidden={label ? undefined : 'true'}
>
  {#if picture.vessel === 'jar'}
    <JarDrawing
      water={picture.jarWater ?? 0}
      {height}
      width={scene}
      seed={picture.seed}
      sizeCm={picture.grains?.sizeCm ?? 0.3}
    />
  {:else}
    {#if picture.light === 'sill'}
      <g class="window">
        <path class="pane" d="M{left + 8} {height - 8}V10h{width - 16}V{height - 8}" />
        <path d="M{scene / 2} 10V{top - 4}M{left + 8} {Math.round((top + 10) / 2)}h{width - 16}" />
      </g>
    {/if}
    {#if picture.light === 'lamp'}
      <path class="beam" d="M{left + 24} 16L{left + 4} {top}H{left + width - 4}L{left + width - 24} 16z" />
      <path
        class="lamp"
        d="M{scene / 2} 0V6M{left + 20} 6h{width - 40}q5 0 5 5v4h-{width - 30}v-4q0-5 5-5z"
      />
    {/if}

    {#each { length: cells } as _, cell (cell)}
      {@const x = left + cell * cellWidth}
      {@const gap = cells > 1 ? 2 : 0}
      {#if fill > 0 && picture.medium?.kind !== 'none'}
        <path
          class="medium {picture.medium?.kind}"
          d="M{x + gap + inset} {top + surface}H{x + cellWidth - gap - inset}L{x +
            cellWidth -
            gap -
            slant} {height - 9}H{x + gap + slant}z"
        />
        {#if wet > 1}
          {@const inner = Math.round((slant * (depth - wet)) / depth)}
          <path
            class="wet"
            d="M{x + gap + inner} {height - 9 - wet + 1}H{x + cellWidth - gap - inner}L{x +
              cellWidth -
              gap -
              slant} {height - 9}H{x + gap + slant}z"
          />
          <path
            class="waterline"
            d="M{x + gap + inner} {height - 9 - wet + 1}H{x + cellWidth - gap - inner}"
          />
        {/if}
      {/if}
      {#if pool > 0}
        <path
          class="pool"
          d="M{x + gap + slant - 1} {height - 9 - pool}H{x + cellWidth - gap - slant + 1}V{height - 9}H{x +
            gap +
            slant -
            1}z"
        />
      {/if}
      {#if cells > 1}
        {@const side = sideOf(cell)}
        {@const own = cell - side * Math.ceil(cells / sides.length)}
        {@const look = lookOf(side, own)}
        {@const before = Array.from({ length: own }, (_, index) => lookOf(side, index))}
        {@render plants(x + inset, side, look, !before.includes(look))}
      {:else}
        {#each sides as _side, side (side)}{@render plants(x + inset + side * growing, side, 0, true)}{/each}
      {/if}
      <path
        class="vessel"
        d="M{x + gap - (cells > 1 ? 0 : 3)} {top}H{x + cellWidth - gap + (cells > 1 ? 0 : 3)}M{x +
          gap} {top}L{x + gap + slant} {height - 8}H{x + cellWidth - gap - slant}L{x + cellWidth - gap} {top}"
      />
    {/each}

    {#if ruler > 0}
      {@const foot = top + surface}
      {@const x = left + width - inset - 10}
      <path
        class="ruler"
        d="M{x} {foot}V{Math.round(foot - ruler - 8)}{Array.from(
          { length: Math.floor(ruler / 10) },
          (_, cm) => `M${x} ${foot - (cm + 1) * 10}h${(cm + 1) % 5 === 0 ? 7 : 4}`
        ).join('')}"
      />
      <path class="mark" d="M{left + inset} {Math.round(foot - ruler)}H{x}" />
    {/if}
    {#if picture.cover === 'clear'}
      <path class="clear" d="M{left - 5} {top - 1}V{top - clearTop}h{width + 10}V{top - 1}" />
    {:else if picture.cover === 'lid'}
      <path class="cover" d="M{left - 5} {top - 5}h{width + 10}v5h-{width + 10}z" />
    {:else if picture.cover === 'stacked'}
      <path
        class="cover"
        d="M{left - 3} {top - 40}h{width + 6}M{left} {top - 40}L{left + slant} {top - 3}H{left +
          width -
          slant}L{left + width} {top - 40}"
      />
    {:else if picture.cover === 'weight'}
      {@const middle = scene / 2}
      <path class="cover" d="M{left + 3} {top + surface - 8}h{width - 6}v5h-{width - 6}z" />
      <path class="load" d="M{middle - 24} {top + surface - 8}v-62q0-10 10-14v-12h28v12q10 4 10 14v62z" />
      <path class="loadwater" d="M{middle - 24} {top + surface - 8}v-54h48v54z" />
    {:else if picture.cover === 'dome'}
      <path
        class="dome"
        d="M{left - 2} {top}V{top - coverTop + 18}q0-16 18-16h{width - 32}q18 0 18 16V{top}z"
      />
    {/if}
  {/if}
  <path class="shelf" d="M0 {height - 7}H{scene}" />
</svg>

<style>
  .drawing {
    display: block;
    width: 100%;
    height: auto;
    overflow: visible;
    --line: var(--ink-soft);
    --leaf: var(--leaf-green);
    --stem: var(--stem-green);
  }
  .leaf-deep {
    --leaf: var(--leaf-deep-tone);
  }
  .leaf-purple {
    --leaf: var(--leaf-purple-tone);
  }
  .leaf-pink {
    --leaf: var(--leaf-pink-tone);
  }
  .leaf-pale {
    --leaf: var(--leaf-pale-tone);
  }
  .stem-pink {
    --stem: var(--stem-pink-tone);
  }
  .stem-purple {
    --stem: var(--leaf-purple-tone);
  }
  .stem-pale {
    --stem: var(--stem-pale-tone);
  }
  .pale {
    --leaf: var(--leaf-pale-tone);
    --stem: var(--stem-pale-tone);
  }
  .lost g {
    --leaf: var(--lost-tone);
    --stem: var(--lost-tone);
  }
  path {
    vector-effect: non-scaling-stroke;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  .vessel {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .ruler {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .mark {
    fill: none;
    stroke: var(--beet);
    stroke-width: 1.4;
    stroke-dasharray: 4 3;
  }
  .shelf {
    stroke: var(--ink);
    stroke-width: 1.6;
    opacity: 0.35;
  }
  .medium {
    fill: var(--soil);
  }
  .medium.hemp-mat,
  .medium.paper,
  .medium.mesh {
    fill: var(--mat);
  }
  .wet {
    fill: var(--wet);
    opacity: 0.55;
  }
  .pool {
    fill: var(--water);
    opacity: 0.5;
  }
  .waterline {
    fill: none;
    stroke: var(--water);
    stroke-width: 1.6;
    stroke-dasharray: 1 4;
  }
  .stem {
    fill: none;
    stroke: var(--stem);
    stroke-width: 1.6;
  }
  .leaf {
    fill: var(--leaf);
    stroke: var(--leaf-edge);
    stroke-width: 0.6;
  }
  .hook {
    fill: none;
    stroke: var(--leaf);
    stroke-width: 3;
  }
  .stub {
    fill: none;
    stroke: var(--stem);
    stroke-width: 1.6;
  }
  .behind {
    opacity: 0.45;
  }
  .grain {
    fill: var(--grain);
    stroke: var(--ink-soft);
    stroke-width: 0.5;
  }
  .tail {
    fill: none;
    stroke: var(--root);
    stroke-width: 1.5;
  }
  .window path {
    fill: none;
    stroke: var(--ink-faint);
    stroke-width: 1.2;
  }
  .window .pane {
    fill: var(--sky);
    stroke: var(--ink-faint);
  }
  .lamp {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .beam {
    fill: var(--beam);
  }
  .cover {
    fill: var(--cover);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .clear {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.2;
  }
  .load {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .loadwater {
    fill: var(--water);
    opacity: 0.28;
  }
  .dome {
    fill: var(--dome);
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 5 3;
  }
</style>
