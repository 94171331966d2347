<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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
    <Rich parts={rich('ahead.whatCostNotKnownYet')}
      >{#snippet link(text: string)}<a href="/bench/cupboard">{text}</a>{/snippet}{#snippet link2(
        text: string
      )}<a href="/household/money">{text}</a>{/snippet}</Rich
    >
  </p>
{:else}
  <Figure
    label={underWay ? t('ahead.costSoFar') : t('ahead.cost')}
    value={money(cost.total, currency)}
    beside={cost.per100G === null ? '' : t('ahead.moneyG', { money: money(cost.per100G, currency) })}
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
      {missingWords(cost)} <a href="/household/money">{t('ahead.prices')}</a>
    </p>{/if}
{/if}
