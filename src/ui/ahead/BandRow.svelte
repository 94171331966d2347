<script lang="ts">
  import type { Row } from '$core/ahead/rows.ts';
  import type { Scale } from './scale.ts';

  /** One container's stages as bands, and its window with soft edges: the softer, the less sure. */
  interface Props {
    row: Row;
    scale: Scale;
    y: number;
    height: number;
  }
  let { row, scale, y, height }: Props = $props();

  const end = $derived(scale.width);
  const clamp = (x: number): number => Math.min(end, Math.max(0, x));
  const at = $derived({
    begins: clamp(scale.x(row.beginsAt)),
    sown: clamp(scale.x(row.startAt)),
    lit: clamp(Number.isFinite(row.litAt) ? scale.x(row.litAt) : end),
    opens: clamp(scale.x(row.open.p50)),
    early: scale.x(row.open.p10),
    late: scale.x(row.open.p90),
    over: scale.x(row.lastCutAt)
  });
  const soft = $derived(Math.max(2, at.late - at.opens));
  const until = $derived(clamp(at.over + soft));
  const from = $derived(clamp(at.early));
  const lit = $derived(Math.min(at.lit, at.opens));
  const share = (x: number): number =>
    until > from ? Math.min(1, Math.max(0, (x - from) / (until - from))) : 0;
  const id = $props.id();
</script>

<g class={row.kind}>
  {#if at.sown > at.begins}
    <rect
      class="soak"
      x={at.begins}
      y={y + height * 0.35}
      width={at.sown - at.begins}
      height={height * 0.3}
      rx="2"
    />
  {/if}
  {#if lit > at.sown}
    <rect class="dark" x={at.sown} {y} width={lit - at.sown} {height} rx="3" />
  {/if}
  {#if at.opens > lit}
    <rect class="light" x={lit} {y} width={at.opens - lit} {height} rx="3" />
  {/if}
  {#if until > from}
    <defs>
      <linearGradient {id}>
        <stop class="faint" offset="0" />
        <stop class="full" offset={share(at.opens)} />
        <stop class="full" offset={share(at.over)} />
        <stop class="faint" offset="1" />
      </linearGradient>
    </defs>
    <rect class="window" x={from} {y} width={until - from} {height} fill="url(#{id})" />
  {/if}
  <rect
    class="edge"
    x={at.begins}
    {y}
    width={Math.max(3, clamp(at.over) - at.begins)}
    {height}
    rx="3"
    fill="none"
  />
</g>

<style>
  .soak {
    fill: var(--water);
  }
  .dark {
    fill: var(--band-dark);
  }
  .light {
    fill: var(--band-light);
  }
  .faint {
    stop-color: var(--window);
    stop-opacity: 0;
  }
  .full {
    stop-color: var(--window);
    stop-opacity: 0.95;
  }
  .edge {
    stroke: none;
  }
  .planned .edge,
  .draft .edge {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .draft .edge,
  .proposed .edge {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
  }
  .proposed .edge {
    stroke: var(--beet);
  }
</style>
