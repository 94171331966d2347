<script lang="ts">
  import type { Symptom } from '$core/symptoms/symptom.ts';

  /** One sight, drawn close up in the line of the trays, to be held beside what is in the tray. */
  let { sight, grass = false }: { sight: Symptom; grass?: boolean } = $props();

  /** Short straight hairs all round a root that runs down from (x, y). */
  const hairs = (x: number, y: number, length: number): string =>
    Array.from({ length: 15 }, (_, n) => {
      const at = y + (n * length) / 15;
      return `M${x} ${at}l-11 ${n % 2 ? 2 : -1}M${x} ${at}l11 ${n % 2 ? -1 : 2}`;
    }).join('');
  const ROOTS = [38, 82, 124];
  const STEMS = [26, 52, 78, 104, 130];
</script>

<svg viewBox="0 0 160 110" aria-hidden="true">
  {#if sight === 'hairs'}
    {#each ROOTS as x (x)}
      <path class="hair" d={hairs(x, 50, 42)} />
      <path class="root" d="M{x} 44q2 30 0 54" />
      <ellipse class="seed" cx={x} cy="36" rx="13" ry="9" />
    {/each}
  {:else if sight === 'mould'}
    {#each ROOTS as x (x)}<ellipse class="seed" cx={x} cy="76" rx="13" ry="9" />{/each}
    <path class="thread" d="M14 82q20 -26 40 -12t38 -6 34 8 24 -4" />
    <path class="thread" d="M20 66q22 18 46 -2t44 10 38 -8M30 90q30 -30 52 -4t50 -8" />
    <path class="thread" d="M44 60q8 -18 20 -8M96 62q10 -20 24 -6" />
    {#each [40, 66, 92, 112] as x, n (x)}<circle class="spore" cx={x} cy={52 + (n % 2) * 6} r="3" />{/each}
  {:else if sight === 'fallen-dry' || sight === 'fallen-rot'}
    {@const rot = sight === 'fallen-rot'}
    <rect class={rot ? 'wet' : 'dry'} x="6" y="88" width="148" height="18" />
    {#if !rot}<path class="line" d="M30 88l6 8M70 88l-5 9M112 88l5 8" />{/if}
    {#each STEMS.slice(0, 4) as x, n (x)}
      {#if rot}
        <path class="stem" d="M{x} 88l3 -8" />
        <path class="foot" d="M{x} 88l2 -7" />
        <path class="stem" d="M{x + 3} 80L{x + 26} {82 + (n % 2) * 4}" />
        <ellipse class="leaf" cx={x + 28} cy={80 + (n % 2) * 4} rx="7" ry="4" />
      {:else}
        <path class="stem" d="M{x} 88q0 -40 8 -44t10 20" />
        <ellipse class="leaf limp" cx={x + 20} cy="70" rx="4" ry="9" />
      {/if}
    {/each}
  {:else if sight === 'bent'}
    <rect class="soil" x="6" y="92" width="148" height="14" />
    {#each STEMS.slice(0, 4) as x (x)}
      <path class="stem" d="M{x} 92q0 -30 22 -32" />
      <ellipse class="leaf" cx={x + 29} cy="62" rx="8" ry="4" />
      <ellipse class="leaf" cx={x + 27} cy="55" rx="8" ry="4" />
    {/each}
  {:else if sight === 'stretched' || sight === 'weak'}
    {@const tall = sight === 'stretched'}
    <rect class="soil" x="6" y="92" width="148" height="14" />
    {#each STEMS as x, n (x)}
      {#if tall}
        <path class="stem thin" d="M{x} 92q{n % 2 ? 4 : -3} -40 {n % 2 ? 2 : 5} -76" />
        <ellipse class="leaf pale" cx={x + (n % 2 ? -2 : 0)} cy="14" rx="5" ry="3" />
        <ellipse class="leaf pale" cx={x + (n % 2 ? 7 : 9)} cy="14" rx="5" ry="3" />
      {:else}
        <path class="stem" d="M{x} 92q-2 -14 5 -22" />
        <ellipse class="leaf limp" cx={x + 2} cy="70" rx="6" ry="4" />
        <ellipse class="leaf limp" cx={x + 12} cy="74" rx="6" ry="4" />
      {/if}
    {/each}
  {:else if sight === 'scorched' || sight === 'hungry' || sight === 'bleached'}
    <path class="stem" d="M80 104V44" />
    <ellipse class="leaf" class:yellow={sight === 'hungry'} cx="46" cy="70" rx="28" ry="14" />
    <ellipse class="leaf" class:yellow={sight === 'hungry'} cx="114" cy="70" rx="28" ry="14" />
    <ellipse class="leaf" cx="60" cy="30" rx="20" ry="11" />
    <ellipse class="leaf" cx="100" cy="30" rx="20" ry="11" />
    {#if sight === 'bleached'}
      <path
        class="bleach"
        d="M50 26q12 -8 22 0q-6 8 -22 6zM92 24q12 -4 20 6q-10 8 -20 2zM60 34q8 2 10 4q-6 3 -12 0z"
      />
    {/if}
    {#if sight === 'scorched'}
      <path
        class="burn"
        d="M18 66q6 -6 10 2t-6 8zM142 66q-6 -6 -10 2t6 8zM41 26q6 -4 8 2t-6 6zM119 26q-6 -4 -8 2t6 6z"
      />
    {/if}
  {:else if sight === 'hulls'}
    <path class="stem" d="M50 104V50M110 104V50" />
    {#each [50, 110] as x (x)}
      <ellipse class="leaf" cx={x - 9} cy="42" rx="9" ry="14" />
      <ellipse class="leaf" cx={x + 9} cy="42" rx="9" ry="14" />
      <path class="hull" d="M{x - 15} 36q2 -26 15 -26t15 26q-15 8 -30 0z" />
    {/each}
  {:else if sight === 'true-leaf' && grass}
    <path class="blade" d="M74 104q-4 -50 2 -92q8 40 6 92z" />
    <path class="blade" d="M84 104q0 -34 18 -62q-2 36 -10 62z" />
  {:else if sight === 'true-leaf'}
    <path class="stem" d="M80 104V52" />
    <ellipse class="leaf" cx="52" cy="54" rx="27" ry="12" />
    <ellipse class="leaf" cx="108" cy="54" rx="27" ry="12" />
    <path class="leaf" d="M80 52q-14 -14 -8 -22l-6 -4 8 -3 -3 -8 9 5 9 -5 -3 8 8 3 -6 4q6 8 -8 22z" />
  {/if}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    background: var(--paper);
    border-radius: 8px;
  }
  svg :global(*) {
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .hair {
    stroke: var(--ink-faint);
    stroke-width: 1;
    fill: none;
  }
  .root {
    stroke: var(--ink-soft);
    stroke-width: 3;
    fill: none;
  }
  .bleach {
    fill: var(--paper);
    stroke: var(--ink-faint);
    stroke-width: 1;
  }
  .blade {
    fill: var(--leaf-green);
    stroke: var(--leaf-edge);
    stroke-width: 1.5;
  }
  .seed,
  .hull {
    fill: var(--grain);
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .thread {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.2;
    stroke-dasharray: 9 1.5;
  }
  .spore {
    fill: var(--ink-soft);
  }
  .soil {
    fill: var(--soil);
  }
  .dry {
    fill: var(--mat);
  }
  .wet {
    fill: var(--wet);
  }
  .line {
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    fill: none;
  }
  .stem {
    fill: none;
    stroke: var(--stem-green);
    stroke-width: 4;
  }
  .stem.thin {
    stroke: var(--stem-pale-tone);
    stroke-width: 2.5;
  }
  .foot {
    stroke: var(--wet);
    stroke-width: 2;
    fill: none;
  }
  .leaf {
    fill: var(--leaf-green);
    stroke: var(--leaf-edge);
    stroke-width: 1.5;
  }
  .leaf.pale,
  .leaf.yellow {
    fill: var(--leaf-pale-tone);
  }
  .leaf.limp {
    fill: var(--leaf-deep-tone);
  }
  .burn {
    fill: var(--soil);
    stroke: none;
  }
</style>
