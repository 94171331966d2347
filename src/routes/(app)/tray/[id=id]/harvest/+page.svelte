<script lang="ts">
  import { keepsWords } from '$words/cropWords.ts';
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { checkWeighIn, yieldOf } from '$core/growth/yield.ts';
  import { pictureOf } from '$core/picture/picture.ts';
  import { figure, mass, yieldPerArea } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import Figure from '$ui/fields/Figure.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { problemWords } from '$words/problems.ts';
  import { pictureWords } from '$words/pictureWords.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const unit = $derived(data.household.units === 'us' ? 'oz' : 'g');
  const projected = $derived(projectAll([data.record], factsNow(data, journal), data, journal)[0]!);
  const { crop, setup, state: sowing } = $derived(projected);
  const left = $derived(1 - sowing.cutShare);
  const shares = $derived([
    { value: 'all', text: left < 0.999 ? 'All the rest' : 'The whole tray' },
    { value: 'half', text: 'Half' },
    { value: 'quarter', text: 'A quarter' },
    { value: 'strip', text: 'A strip', hint: 'a tenth' }
  ] as const);
  const SHARE = { half: 0.5, quarter: 0.25, strip: 0.1 };

  /** The bowl is mostly the same: begin with the one used last on this device. */
  const TARE_KEY = untrack(() => `brote.tare.${data.household.id}`);
  let grossG = $state(NaN);
  let tareG = $state(typeof localStorage === 'undefined' ? 0 : Number(localStorage.getItem(TARE_KEY) ?? 0));
  let taken = $state<'all' | 'half' | 'quarter' | 'strip'>('all');
  let tried = $state(false);
  let asked = $state(false);
  let sending = $state(false);

  const share = $derived(taken === 'all' ? Math.max(left, 0.001) : Math.min(SHARE[taken], left));
  const last = $derived(taken === 'all' || left - share < 0.001);
  const checked = $derived(checkWeighIn(crop, projected.areaCm2, { grossG, tareG, share }));
  const net = $derived(checked.kind === 'wrong' ? null : checked.netG);
  const gave = $derived(net === null ? null : yieldOf(net, setup.seedG * share, projected.areaCm2 * share));
  const picture = $derived({
    ...pictureOf(projected, now),
    cut: Math.min(1, sowing.cutShare + (Number.isFinite(grossG) ? share : 0))
  });

  async function weigh(sure: boolean) {
    tried = true;
    if (checked.kind === 'wrong' || sending) return;
    if (checked.kind === 'implausible' && !sure) {
      asked = true;
      return;
    }
    sending = true;
    localStorage.setItem(TARE_KEY, String(tareG));
    const result = await journal.record(
      setup.id,
      { type: 'cut', grossG, tareG, share, last },
      `${crop.name}: ${mass(checked.netG, locale.units)} cut`,
      { sure }
    );
    sending = false;
    if (result.kind === 'implausible') asked = true;
    else if (result.kind !== 'refused') await goto(`/tray/${setup.id}`);
  }
</script>

<svelte:head><title>Cut {crop.name.toLowerCase()} · Brote</title></svelte:head>

<p class="small"><a href="/tray/{setup.id}">← {crop.name}</a></p>
<h1>Cut and weigh</h1>
{#if sowing.stage === 'ended'}
  <p>This tray has ended. <a href="/tray/{setup.id}">See what it gave.</a></p>
{:else}
  <div class="columns">
    <form
      class="stack"
      novalidate
      onsubmit={(event) => {
        event.preventDefault();
        void weigh(false);
      }}
    >
      <Caution
        >Cut away from your hand, just above the medium. If there is mould, throw the tray out, do not eat
        around it. Germs grow where it is warm and wet: clean hands and blade; people at higher risk should
        cook it.</Caution
      >
      {#if crop.family === 'Poaceae'}<Caution
          >Raw grass juice spoils quickly: drink it at once or freeze it. People at higher risk should not
          drink it raw.</Caution
        >{/if}
      <Choice legend="How much of it" name="share" options={shares} bind:value={taken} />
      <QuantityField
        label="Full bowl on the scale"
        kind="mass"
        {unit}
        bind:value={grossG}
        error={tried && checked.kind === 'wrong' ? problemWords(checked.problem) : ''}
      />
      <QuantityField
        label="Empty bowl"
        kind="mass"
        {unit}
        bind:value={tareG}
        helper="0 where the scale was zeroed with the bowl on it"
      />
      {#if asked && checked.kind === 'implausible'}
        <div class="ask stack" role="alert">
          <p>
            <strong
              >{mass(checked.netG, locale.units)} is {figure(checked.times)} times the most that this area is known
              to give ({mass(checked.mostG, locale.units)}).</strong
            > Is the bowl taken off, and the share right?
          </p>
          <div class="row">
            <button class="chip" type="button" onclick={() => weigh(true)}>It is right: record it</button>
            <button class="chip quiet" type="button" onclick={() => (asked = false)}>Change it</button>
          </div>
        </div>
      {:else}
        <Button type="submit" disabled={sending}
          >{last ? 'Record the cut and end the tray' : 'Record this part'}</Button
        >
      {/if}
    </form>
    <section class="stack">
      <TrayDrawing {picture} label={pictureWords(crop.name, picture, locale.units)} />
      <Figure
        label="Cut"
        value={net === null ? '–' : mass(net, locale.units)}
        beside={gave
          ? `${figure(gave.gPerGSeed)} g per g of seed · ${yieldPerArea(gave.gPerM2, locale.units)}`
          : `usually ${mass((crop.yieldLowGM2 * projected.areaCm2 * share) / 1e4, locale.units)} to ${mass((crop.yieldHighGM2 * projected.areaCm2 * share) / 1e4, locale.units)}`}
      />
      {#if sowing.cuts.length > 0}<p class="soft small">
          Cut before: {mass(
            sowing.cuts.reduce((sum, cut) => sum + cut.netG, 0),
            locale.units
          )}; {Math.round(left * 100)} % still stands.
        </p>{/if}
      <p class="soft small">
        Dry, it keeps {keepsWords(crop.keepsMinD, crop.keepsMaxD, crop.keepAtC, locale.units)}. Slime, smell
        or mould ends it sooner.
      </p>
    </section>
  </div>
{/if}

<style>
  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 1rem 3rem;
    align-items: start;
    margin-top: 1rem;
  }
  .ask {
    padding: 0.75rem 1rem;
    border-left: 5px solid var(--alarm);
    background: var(--alarm-soft);
    border-radius: 0 8px 8px 0;
  }
  @media (max-width: 47.99rem) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
