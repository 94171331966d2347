<script lang="ts">
  import { habitOf } from '$core/picture/habit.ts';
  import { cropInText, cropName } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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
        ? t('tray.enterHowMuchJuiceGave')
        : net !== null && juiceMl > net * MOST_JUICE_ML_G
          ? t('tray.moreJuiceThanThereWere')
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
      t('tray.nameMassCut', { name: cropName(crop.name), mass: mass(checked.netG, locale.units) }),
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

  /** Open at first unless a check has already found the window open. After that, the person decides. */
  let asksReady = $state(untrack(() => !projected.forecast.marks.windowOpen.seen));
</script>

<svelte:head><title>{t('tray.cutNameBrote', { name: cropInText(crop.name) })}</title></svelte:head>

<p class="small"><a href="/tray/{setup.id}">← {cropName(crop.name)}</a></p>
<h1>{t('tray.cutWeigh')}</h1>
{#if sowing.lost !== null}
  <p>{problemWords({ code: 'cut-given-up', params: {} })} <a href="/tray/{setup.id}">{t('tray.page')}</a></p>
{:else if sowing.stage === 'ended'}
  <p>
    <Rich parts={rich('tray.trayHasEndedLinkSee')}
      >{#snippet link(text: string)}<a href="/tray/{setup.id}">{text}</a>{/snippet}</Rich
    >
  </p>
{:else if sowing.sownAt === null}
  <p>{problemWords({ code: 'cut-not-sown', params: {} })}</p>
{:else}
  <details class="unfold" bind:open={asksReady}>
    <summary>{t('harvest.ready2')}</summary>
    <ReadyCheck {projected} {now} {locale} />
  </details>
  <Holds {holds} {now} {locale} onmove={(placeId) => void hold(placeId)} />

  <h2 class="cut">{t('tray.cut')}</h2>
  <Caution>{CAUTIONS.cut}</Caution>
  {#if isGrass(crop)}<Caution>{CAUTIONS.juice}</Caution>{/if}
  <div class="columns">
    <form
      class="stack"
      novalidate
      onsubmit={(event) => {
        event.preventDefault();
        void weigh(false);
      }}
    >
      <QuantityField
        label={t('tray.fullBowlOnScale')}
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
        label={t('tray.emptyBowl')}
        kind="mass"
        {unit}
        bind:value={tareG}
        helper={t('tray.whereScaleWasZeroedWith')}
      />
      <div class="row">
        <Button kind="tertiary" class="chip" on:click={addBowl}>{t('tray.bowlSameCut')}</Button>
        {#if bowls.length > 0}
          <span class="small"
            >{t('tray.oneBowlBowlsBeforeMass', {
              bowls: bowls.length,
              mass: mass(
                bowls.reduce((total, bowl) => total + bowl.grossG - bowl.tareG, 0),
                locale.units
              )
            })}
          </span>
          <Button kind="ghost" class="chip quiet" on:click={takeBowlOut}>{t('tray.takeLastOut')}</Button>
        {/if}
      </div>
      <Figure
        label={t('tray.cut')}
        value={net === null ? '–' : mass(net, locale.units)}
        beside={gave
          ? t('tray.gpergseedGPerGSeed', {
              gPerGSeed: figure(gave.gPerGSeed),
              yieldPerArea: yieldPerArea(gave.gPerM2, locale.units)
            })
          : t('tray.usuallyMassMass', {
              mass: mass(usual.low * share, locale.units),
              mass2: mass(usual.high * share, locale.units)
            })}
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
        <Checkbox labelText={t('tray.leaveStubsGrowAgainSecond')} bind:checked={again} />
      {/if}
      {#if asked && checked.kind === 'implausible'}
        <div class="ask stack" role="alert">
          <p>
            <Rich
              parts={rich('tray.strongMassTimesTimesMost', {
                mass: mass(checked.netG, locale.units),
                times: figure(checked.times),
                mass2: mass(checked.mostG, locale.units)
              })}
            />
          </p>
          <div class="row">
            <Button kind="tertiary" class="chip" on:click={() => weigh(true)}>{t('tray.rightRecord')}</Button>
            <Button kind="ghost" class="chip quiet" on:click={() => (asked = false)}
              >{t('tray.change')}</Button
            >
          </div>
        </div>
      {:else}
        <Button type="submit" disabled={sending}
          >{!last
            ? t('tray.recordPart')
            : again && crop.regrows
              ? t('tray.recordCutLetGrowAgain')
              : t('tray.recordCutEndTray')}</Button
        >
      {/if}
    </form>
    <section class="stack">
      <p>
        {t('tray.touchWhatYouCutStrip', { when: pieces.kind === 'strips' ? 'yes' : 'no' })}
        <span class="row">
          {#each [{ text: left < 0.999 ? t('tray.allRest') : t('tray.all'), of: 1 }, { text: t('tray.half2'), of: 0.5 }, { text: t('tray.quarter'), of: 0.25 }, { text: pieces.kind === 'cells' ? t('tray.oneCell') : t('tray.strip'), of: 1 / pieces.total }] as chip (chip.text)}
            <Button kind="tertiary" class="chip" on:click={() => pickShare(chip.of)}>{chip.text}</Button>
          {/each}
        </span>
      </p>
      {#if page.hydrated}<TopView
          {setup}
          leaf={habitOf(crop).leafTint}
          {standing}
          {picked}
          onpick={(pieces) => (touched = pieces)}
        />{/if}
      <p class="small" aria-live="polite">
        {t('tray.shareAllStandsAboutGreensmass', {
          share: Math.round(share * 100),
          when: last ? 'yes' : 'no',
          when2: here > 0 ? 'yes' : 'no',
          greensMass: here > 0 ? greensMass(Math.round(here), locale.units) : ''
        })}
      </p>
      <TrayDrawing {picture} label={pictureWords(cropName(crop.name), picture, locale.units)} />
      {#if sowing.cuts.length > 0}<p class="soft small">
          {t('tray.cutBeforeMassLeftStill', {
            mass: mass(cutG(sowing), locale.units),
            left: Math.round(left * 100)
          })}
        </p>{/if}
    </section>
  </div>
{/if}

<style>
  .columns {
    row-gap: 1rem;
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
</style>
