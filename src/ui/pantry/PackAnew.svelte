<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { DRIED_SHARE, evenPortion, JUICE_ML_G, MOST_JUICE_ML_G, PORTION } from '$core/pantry/amounts.ts';
  import { isJuiced } from '$core/pantry/pressed.ts';
  import { unitOfPacking, type PantryItem } from '$core/pantry/item.ts';
  import { PACKINGS, type Packing } from '$core/sowing/event.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import Choice from '$ui/fields/Choice.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { amountWords, PACKING_HINTS, PACKING_WORDS } from '$words/pantry.ts';
  import { packedDays } from '$core/pantry/keeping.ts';
  import type { Locale } from '$words/time.ts';

  let { item, locale }: { item: PantryItem; locale: Locale } = $props();
  const journal = useJournal();
  const us = $derived(locale.units === 'us');
  type Kept = Exclude<Packing, 'plate'>;

  /** What can still be made of it: juice of fresh greens, and nothing fresh of what is frozen or dried. */
  const options = $derived(
    PACKINGS.filter((packing): packing is Kept => {
      if (packing === 'plate' || packing === item.packing) return false;
      if (item.packing === 'juice') return packing === 'frozen-juice';
      if (item.packing === 'frozen' || item.packing === 'dried' || item.packing === 'frozen-juice')
        return false;
      return (packing !== 'juice' && packing !== 'frozen-juice') || isJuiced(item.crop);
    })
  );
  const USUAL_PORTION: Partial<Record<Kept, number>> = {
    juice: PORTION.juiceMl,
    'frozen-juice': PORTION.juiceMl,
    frozen: PORTION.frozenG
  };
  let packing = $state<Kept | null>(null);
  let amount = $state(NaN);
  let made = $state(NaN);
  let portion = $state(NaN);
  let tried = $state(false);
  const unit = $derived(packing ? unitOfPacking(packing) : 'g');
  const turns = $derived(packing === 'juice' || packing === 'frozen-juice' || packing === 'dried');

  function choose(next: Kept) {
    packing = next;
    amount = item.left;
    made = guess(next, item.left);
    portion = USUAL_PORTION[next] ? evenPortion(made, USUAL_PORTION[next]) : NaN;
  }
  /** What it will come to, until it is measured. */
  const guess = (to: Kept, from: number): number =>
    to === 'dried'
      ? from * DRIED_SHARE
      : item.unit === 'g' && unitOfPacking(to) === 'mL'
        ? from * JUICE_ML_G
        : from;
  const most = $derived(item.unit === unit ? 1.02 : MOST_JUICE_ML_G);
  const wrong = $derived({
    amount: !(amount > 0)
      ? t('pantry.sayHowMuch2')
      : amount > item.left + 0.5
        ? t('pantry.thereAmount', { amount: amountWords(item.left, item, locale.units) })
        : '',
    made: !(made > 0)
      ? t('pantry.sayWhatCame')
      : made > amount * most
        ? t('pantry.moreThanWentCheckBoth')
        : ''
  });

  async function pack() {
    tried = true;
    const measured = turns && item.unit === 'g';
    if (!packing || wrong.amount || (measured && wrong.made)) return;
    const result = await journal.record(
      item.sowingId,
      {
        type: 'packed',
        from: item.id,
        amount: Math.min(amount, item.left),
        packing,
        washing: item.washing,
        made: measured ? made : Math.min(amount, item.left),
        ...(portion > 0 ? { portion } : {})
      },
      `${cropName(item.crop.name)}: ${PACKING_WORDS[packing]}`
    );
    if (result.kind !== 'refused') packing = null;
  }
  const days = $derived(packing ? packedDays(item.crop, packing, item.washing) : null);
</script>

{#if options.length > 0}
  <div class="stack">
    <Choice
      legend={t('pantry.packAnew')}
      name="pack-{item.id}"
      options={options.map((value) => ({
        value: value as string,
        text: PACKING_WORDS[value],
        hint: PACKING_HINTS[value]
      }))}
      value={packing ?? ''}
      onchange={(value) => choose(value as Kept)}
    />
    {#if packing}
      {#if unit === 'mL'}<Caution>{CAUTIONS.juice}</Caution>{/if}
      <QuantityField
        label={t('pantry.howMuch')}
        kind={item.unit === 'g' ? 'mass' : 'volume'}
        unit={item.unit === 'g' ? (us ? 'oz' : 'g') : us ? 'fl oz' : 'mL'}
        bind:value={amount}
        error={tried ? wrong.amount : ''}
      />
      {#if turns && item.unit !== 'mL'}
        <QuantityField
          label={packing === 'dried' ? t('pantry.weighsDried') : t('pantry.gaveJuice')}
          kind={unit === 'g' ? 'mass' : 'volume'}
          unit={unit === 'g' ? (us ? 'oz' : 'g') : us ? 'fl oz' : 'mL'}
          bind:value={made}
          error={tried ? wrong.made : ''}
          helper={t('pantry.aboutSoMuchComesPut')}
        />
      {/if}
      {#if USUAL_PORTION[packing]}
        <QuantityField
          label={t('pantry.portions2')}
          kind={unit === 'g' ? 'mass' : 'volume'}
          unit={unit === 'g' ? (us ? 'oz' : 'g') : us ? 'fl oz' : 'mL'}
          bind:value={portion}
        />
      {/if}
      {#if days}<p class="soft small">
          {t('pantry.soKeepsAboutValueDay', {
            value:
              days.minD === days.maxD
                ? days.maxD
                : t('pantry.days.range', { min: days.minD, max: days.maxD }),
            maxD: days.maxD
          })}
        </p>{/if}
      <div>
        <Button kind="tertiary" class="chip" on:click={() => void pack()}>{t('pantry.packSo')}</Button>
      </div>
    {/if}
  </div>
{/if}
