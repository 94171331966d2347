<script lang="ts">
  import { isGrass } from '$core/crops/traits.ts';
  import { Button, Checkbox } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { checkWeighIn, yieldOf } from '$core/growth/yield.ts';
  import { expectedAtG, wholeYieldG } from '$core/harvest/expected.ts';
  import { holdsOf } from '$core/harvest/hold.ts';
  import { frontCut, piecesOf, shareOfPieces, standingPieces } from '$core/harvest/pieces.ts';
  import { pictureOf } from '$core/picture/picture.ts';
  import { v4 as newId } from 'uuid';
  import { MOST_JUICE_ML_G } from '$core/pantry/amounts.ts';
  import { pressedBody } from '$core/pantry/pressed.ts';
  import type { EventBody, Handling } from '$core/sowing/event.ts';
  import { cutG } from '$core/sowing/totals.ts';
  import { isCuttable } from '$core/steps/cut.ts';
  import { figure, greensMass, mass, yieldPerArea } from '$core/units/format.ts';
  import Figure from '$ui/fields/Figure.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import Handle from '$ui/harvest/Handle.svelte';
  import Holds from '$ui/harvest/Holds.svelte';
  import ReadyCheck from '$ui/harvest/ReadyCheck.svelte';
  import TopView from '$ui/harvest/TopView.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { eventsNow, factsNow, projectAll } from '$ui/state/projecting.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { moveContainer } from '$ui/shelf/moveContainer.ts';
  import { useJournal, type Happened } from '$ui/state/journal.svelte.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { problemWords } from '$words/problems.ts';
  import { pictureWords } from '$words/pictureWords.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const unit = $derived(data.household.units === 'us' ? 'oz' : 'g');
  const facts = $derived(factsNow(data, journal));
  const projected = $derived(projectAll([data.record], facts, data, journal)[0]!);
  const beside = $derived(
    data.beside
      ? projectAll([data.beside], facts, data, journal).filter(({ state }) => state.stage !== 'ended')
      : []
  );
  const { crop, setup, state: sowing } = $derived(projected);
  const left = $derived(1 - sowing.cutShare);
  const pieces = $derived(piecesOf(setup));
  const standing = $derived(standingPieces(setup, sowing));

  /** The bowl is mostly the same: begin with the one used last on this device. */
  const TARE_KEY = untrack(() => `brote.tare.${data.household.id}`);
  let grossG = $state(NaN);
  let tareG = $state(typeof localStorage === 'undefined' ? 0 : Number(localStorage.getItem(TARE_KEY) ?? 0));
  /** Bowls of this cut that were weighed before this one. */
  let bowls = $state<{ grossG: number; tareG: number }[]>([]);
  /** A strip a day, or all of it: by the method, until somebody touches the tray. */
  let touched = $state<number[] | null>(null);
  let tried = $state(false);
  let asked = $state(false);
  let sending = $state(false);
  let again = $state(false);
  let handling = $state<Handling>(
    untrack(() => ({
      tool: data.record.setup.method.cutting,
      washing: data.record.setup.method.washing,
      packing: 'paper-box'
    }))
  );

  const picked = $derived(
    (touched ?? (projected.method.taking === 'strip' ? standing.slice(-1) : standing)).filter((piece) =>
      standing.includes(piece)
    )
  );
  const share = $derived(picked.length === 0 ? 0 : shareOfPieces(setup, sowing, picked));
  const last = $derived(picked.length >= standing.length);
  const sum = $derived({
    grossG: grossG + bowls.reduce((total, bowl) => total + bowl.grossG, 0),
    tareG: tareG + bowls.reduce((total, bowl) => total + bowl.tareG, 0)
  });
  const bowlChecked = $derived(checkWeighIn(crop, projected.areaCm2, { grossG, tareG, share: share || 1 }));
  const checked = $derived(checkWeighIn(crop, projected.areaCm2, { ...sum, share }));
  const net = $derived(checked.kind === 'wrong' ? null : checked.netG);
  let juiceMl = $state<number | null>(null);
  /** More juice than this to a gram is no juice of it. */
  const juiceWrong = $derived(
    juiceMl === null
      ? ''
      : !(juiceMl > 0)
        ? 'Enter how much juice it gave.'
        : net !== null && juiceMl > net * MOST_JUICE_ML_G
          ? 'That is more juice than there were greens: check both.'
          : ''
  );
  const gave = $derived(net === null ? null : yieldOf(net, setup.seedG * share, projected.areaCm2 * share));
  const usual = $derived(wholeYieldG(projected));
  const here = $derived(expectedAtG(projected, now).usual * (left > 0 ? share / left : 0));
  const holds = $derived(
    isCuttable(projected, now) ? holdsOf(facts, projected, eventsNow(data.record, data, journal), now) : []
  );
  const picture = $derived({
    ...pictureOf(projected, now),
    cut: frontCut(setup, {
      cutShare: Math.min(1, sowing.cutShare + share),
      cutPieces: new Set([...sowing.cutPieces, ...picked])
    })
  });

  function pickShare(of: number) {
    const count = Math.max(1, Math.round(of * pieces.total));
    touched = standing.slice(-count);
  }
  function addBowl() {
    tried = true;
    if (bowlChecked.kind === 'wrong') return;
    bowls.push({ grossG, tareG });
    grossG = NaN;
    tried = false;
  }

  function takeBowlOut() {
    const bowl = bowls.pop();
    if (bowl) ({ grossG, tareG } = bowl);
  }

  async function weigh(sure: boolean) {
    tried = true;
    if (checked.kind === 'wrong' || bowlChecked.kind === 'wrong' || sending) return;
    if (checked.kind === 'implausible' && !sure) {
      asked = true;
      return;
    }
    if (juiceWrong) return;
    sending = true;
    localStorage.setItem(TARE_KEY, String(tareG));
    const grows = again && last && crop.regrows;
    const body: EventBody = {
      type: 'cut',
      ...sum,
      share,
      last,
      pieces: [...picked].sort((a, b) => a - b),
      ...(grows ? { again: true } : {}),
      handling: $state.snapshot(handling)
    };
    const id = newId();
    const happened: Happened[] = [{ sowingId: setup.id, body, id }];
    if (juiceMl !== null)
      happened.push({ sowingId: setup.id, body: pressedBody(id, checked.netG, juiceMl, handling.washing) });
    const result = await journal.recordAll(
      happened,
      `${crop.name}: ${mass(checked.netG, locale.units)} cut`,
      {
        sure
      }
    );
    sending = false;
    if (result.kind === 'implausible') asked = true;
    else if (result.kind !== 'refused')
      await goto(handling.packing === 'plate' || result.kind === 'queued' ? `/tray/${setup.id}` : '/pantry');
  }
  async function hold(placeId: string) {
    const place = data.household.places.find(({ id }) => id === placeId);
    if (place) await moveContainer(journal, [projected, ...beside], place);
  }
</script>

<svelte:head><title>Cut {crop.name.toLowerCase()} · Brote</title></svelte:head>

<p class="small"><a href="/tray/{setup.id}">← {crop.name}</a></p>
<h1>Cut and weigh</h1>
{#if sowing.lost !== null}
  <p>{problemWords({ code: 'cut-given-up', params: {} })} <a href="/tray/{setup.id}">Its page</a></p>
{:else if sowing.stage === 'ended'}
  <p>This tray has ended. <a href="/tray/{setup.id}">See what it gave.</a></p>
{:else if sowing.sownAt === null}
  <p>{problemWords({ code: 'cut-not-sown', params: {} })}</p>
{:else}
  <ReadyCheck {projected} {now} {locale} />
  <Holds {holds} {now} {locale} onmove={(placeId) => void hold(placeId)} />

  <h2 class="cut">Cut</h2>
  <Caution>{CAUTIONS.cut}</Caution>
  {#if isGrass(crop)}<Caution>{CAUTIONS.juice}</Caution>{/if}
  <div class="columns">
    <section class="stack">
      <p>
        Touch what you cut{pieces.kind === 'strips' ? ', strip by strip' : ''}, or
        <span class="row">
          {#each [{ text: left < 0.999 ? 'All the rest' : 'All of it', of: 1 }, { text: 'Half', of: 0.5 }, { text: 'A quarter', of: 0.25 }, { text: pieces.kind === 'cells' ? 'One cell' : 'A strip', of: 1 / pieces.total }] as chip (chip.text)}
            <Button kind="tertiary" class="chip" on:click={() => pickShare(chip.of)}>{chip.text}</Button>
          {/each}
        </span>
      </p>
      {#if page.hydrated}<TopView {setup} {standing} {picked} onpick={(pieces) => (touched = pieces)} />{/if}
      <p class="small" aria-live="polite">
        {Math.round(share * 100)} % of it{last ? ', all that stands' : ''}{here > 0
          ? `: about ${greensMass(Math.round(here), locale.units)} today`
          : ''}.
      </p>
      <TrayDrawing {picture} label={pictureWords(crop.name, picture, locale.units)} />
      {#if sowing.cuts.length > 0}<p class="soft small">
          Cut before: {mass(cutG(sowing), locale.units)}; {Math.round(left * 100)} % still stands.
        </p>{/if}
    </section>
    <form
      class="stack"
      novalidate
      onsubmit={(event) => {
        event.preventDefault();
        void weigh(false);
      }}
    >
      <QuantityField
        label="Full bowl on the scale"
        kind="mass"
        {unit}
        bind:value={grossG}
        error={tried && bowlChecked.kind === 'wrong'
          ? problemWords(bowlChecked.problem)
          : tried && checked.kind === 'wrong'
            ? problemWords(checked.problem)
            : ''}
      />
      <QuantityField
        label="Empty bowl"
        kind="mass"
        {unit}
        bind:value={tareG}
        helper="0 where the scale was zeroed with the bowl on it"
      />
      <div class="row">
        <Button kind="tertiary" class="chip" on:click={addBowl}>Another bowl of the same cut</Button>
        {#if bowls.length > 0}
          <span class="small"
            >{bowls.length === 1 ? 'One bowl' : `${bowls.length} bowls`} before: {mass(
              bowls.reduce((total, bowl) => total + bowl.grossG - bowl.tareG, 0),
              locale.units
            )}
          </span>
          <Button kind="ghost" class="chip quiet" on:click={takeBowlOut}>Take the last out</Button>
        {/if}
      </div>
      <Figure
        label="Cut"
        value={net === null ? '–' : mass(net, locale.units)}
        beside={gave
          ? `${figure(gave.gPerGSeed)} g per g of seed · ${yieldPerArea(gave.gPerM2, locale.units)}`
          : `usually ${mass(usual.low * share, locale.units)} to ${mass(usual.high * share, locale.units)}`}
      />
      <Handle
        {projected}
        bind:handling
        bind:juiceMl
        netG={net}
        error={tried ? juiceWrong : ''}
        {now}
        {locale}
      />
      {#if crop.regrows && last}
        <Checkbox labelText="Leave the stubs to grow again: a second, weaker cut" bind:checked={again} />
      {/if}
      {#if asked && checked.kind === 'implausible'}
        <div class="ask stack" role="alert">
          <p>
            <strong
              >{mass(checked.netG, locale.units)} is {figure(checked.times)} times the most that this area is known
              to give ({mass(checked.mostG, locale.units)}).</strong
            > Is the bowl taken off, and the share right?
          </p>
          <div class="row">
            <Button kind="tertiary" class="chip" on:click={() => weigh(true)}>It is right: record it</Button>
            <Button kind="ghost" class="chip quiet" on:click={() => (asked = false)}>Change it</Button>
          </div>
        </div>
      {:else}
        <Button type="submit" disabled={sending}
          >{!last
            ? 'Record this part'
            : again && crop.regrows
              ? 'Record the cut and let it grow again'
              : 'Record the cut and end the tray'}</Button
        >
      {/if}
    </form>
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
  .cut {
    margin: 1.75rem 0 0.5rem;
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
