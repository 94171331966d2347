<script lang="ts">
  import type { Cost } from '$core/costs/cost.ts';
  import Figure from '$ui/fields/Figure.svelte';
  import { COST_WORDS, costWorking, missingWords, money, shopWords } from '$words/money.ts';
  import type { Units } from '$core/units/format.ts';

  interface Props {
    cost: Cost;
    cutG: number;
    currency: string;
    units: Units;
    /** Whether more may still come to it. */
    underWay?: boolean;
  }
  let { cost, cutG, currency, units, underWay = false }: Props = $props();
</script>

{#if cost.lines.length === 0}
  <p class="soft">
    What it cost is not known yet: give the packet’s price in the <a href="/bench/cupboard">cupboard</a> and
    the others under <a href="/household/money">Money</a>.
  </p>
{:else}
  <Figure
    label={underWay ? 'It cost so far' : 'It cost'}
    value={money(cost.total, currency)}
    beside={cost.per100G === null ? '' : `${money(cost.per100G, currency)} for 100 g`}
  />
  <table class="plain">
    <tbody>
      {#each cost.lines as line, index (index)}
        <tr
          ><th scope="row">{COST_WORDS[line.kind]}</th><td class="small soft"
            >{costWorking(line, currency, units)}</td
          ><td class="n">{money(line.cost, currency)}</td></tr
        >
      {/each}
    </tbody>
  </table>
  {#if cost.shop !== null}<p>{shopWords(cost, cutG, currency, units)}</p>{/if}
  {#if cost.unknown.length > 0}<p class="small soft">
      {missingWords(cost)} <a href="/household/money">Prices</a>
    </p>{/if}
{/if}
