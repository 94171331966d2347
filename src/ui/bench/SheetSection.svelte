<script lang="ts">
  import { ruleSource } from '$words/disinfect.ts';
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import Checkmark from 'carbon-icons-svelte/lib/Checkmark.svelte';
  import Timer from 'carbon-icons-svelte/lib/Timer.svelte';
  import { keyOf, ticked } from '$core/steps/ticked.ts';
  import type { SharedSolution, SheetLine, SheetSection } from '$core/steps/sheet.ts';
  import { timersOf, timerState, type TimerKind } from '$core/steps/timer.ts';
  import type { LotStock } from '$core/supplies/seed/lot.ts';
  import type { MediumStock } from '$core/supplies/media/medium.ts';
  import { volume } from '$core/units/format.ts';
  import { spoonsWords } from '$words/spoons.ts';
  import { spoonsFor } from '$core/supplies/seed/spoons.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { containersWords } from '$words/containers.ts';
  import { measured, strengthWords } from '$words/steps/amounts.ts';
  import { solutionWords } from '$words/steps/bench.ts';
  import { STEP_LEADS, STEP_NAMES } from '$words/steps/names.ts';
  import { stepAmount } from '$words/steps/steps.ts';
  import { timerWords } from '$words/timers.ts';
  import { clockTime, dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    section: SheetSection;
    number: number;
    solutions: readonly SharedSolution[];
    mediumMl: number;
    lots: readonly LotStock[];
    media: readonly MediumStock[];
    now: number;
    locale: Locale;
    /** The first with something to do: on a phone it is open, and the others are folded. */
    current: boolean;
  }
  let { section, number, solutions, mediumMl, lots, media, now, locale, current }: Props = $props();
  const journal = useJournal();
  /** As somebody folded it; null for by itself. */
  let unfolded = $state<boolean | null>(null);
  const isOpen = $derived(unfolded ?? current);
  const doneLines = $derived(section.lines.filter(({ done, passed }) => done || passed).length);

  const { kind } = $derived(section);
  const timed = $derived(kind === 'rinse' || kind === 'disinfect' || kind === 'soak' || kind === 'drain');

  function words(line: SheetLine) {
    const { setup } = line.projected;
    return stepAmount(line.step.body, {
      now,
      locale,
      containers: setup.count,
      medium: { kind: setup.medium, own: media.find(({ id }) => id === setup.mediumId) ?? null }
    });
  }
  /** Where the seed comes from, and how much of it a spoon is. */
  function seedWords({ projected, step }: SheetLine): string {
    if (step.body.kind !== 'weigh') return '';
    return step.body.seed
      .map(({ lotId, seedG, cropKey }) => {
        const lot = lots.find(({ id }) => id === lotId);
        // Each part lies in a spoon as its own seed does.
        const part = projected.parts.find(({ crop }) => crop.key === cropKey);
        return t('bench.spoonsFromName', {
          spoons: spoonsWords(spoonsFor(part?.crop ?? projected.crop, seedG)),
          when: lot ? 'yes' : 'no',
          name: lot ? lot.name : ''
        });
      })
      .join('; ');
  }
  /** What a timer that is over says, where this step ends it: the same as in its bar and on the round. */
  function overWords({ projected, done }: SheetLine): string {
    const timer = timersOf(projected, now).find((one) => one.kind === ENDS[kind]);
    if (!timer || done) return '';
    const state = timerState(timer, now);
    return state === 'running' ? '' : timerWords(timer, state, now, locale);
  }
  const ENDS: Partial<Record<typeof kind, TimerKind>> = {
    drain: 'soak',
    'rinse-off': 'disinfect',
    sow: 'drain'
  };
  function tick(line: SheetLine) {
    const { body } = line.step;
    const records = ticked(body);
    if (!records) return;
    void journal.record(
      line.projected.setup.id,
      records,
      t('bench.nameKindDone', {
        name: cropName(line.projected.crop.name),
        kind: STEP_NAMES[kind]
      }),
      { taskKey: keyOf(body.kind) }
    );
  }
</script>

<section class="step" class:folded={!isOpen} aria-labelledby="step-{kind}">
  <header>
    <h2 id="step-{kind}"><span class="number" aria-hidden="true">{number}</span>{STEP_NAMES[kind]}</h2>
    <button
      class="fold"
      aria-expanded={isOpen}
      aria-controls="lines-{kind}"
      onclick={() => (unfolded = !isOpen)}
      ><span class="small soft">{t('bench.fold.done', { done: doneLines, all: section.lines.length })}</span>
      <span class="link">{isOpen ? t('bench.fold.hide') : t('bench.fold.show')}</span><span
        class="visually-hidden"
      >
        {STEP_NAMES[kind]}</span
      ></button
    >
    {#if STEP_LEADS[kind]}<p class="small soft">{STEP_LEADS[kind]}</p>{/if}
    {#if kind === 'fill' && section.lines.length > 1}<p class="small soft">
        {t('bench.allVolume', { volume: volume(mediumMl, locale.units) })}
      </p>{/if}
  </header>
  <div class="lines" id="lines-{kind}">
    {#if kind === 'disinfect'}
      {#each solutions as shared (shared)}
        <p class="shared">
          <strong>{solutionWords(shared, locale.units)}</strong>
          <span class="small soft"
            >{t('bench.strengthMinutesMinJarsFrom', {
              strength: strengthWords(shared.product, shared.target),
              minutes: shared.minutes,
              jars: shared.jars
                .map(({ name, solution }) =>
                  t('bench.nameMeasuredMeasuredWater', {
                    name: cropName(name),
                    measured: measured(solution.productMl, locale.units),
                    measured2: measured(solution.waterMl, locale.units)
                  })
                )
                .join(', '),
              source: ruleSource(shared)
            })}</span
          >
        </p>
      {/each}
      {#if section.lines.some(({ step }) => step.body.kind === 'disinfect' && step.body.product === 'hypochlorite')}
        <Caution>{CAUTIONS.hypochlorite}</Caution>
      {/if}
      {#if section.lines.some(({ step }) => step.body.kind === 'disinfect' && step.body.product === 'peroxide')}
        <Caution>{CAUTIONS.peroxide}</Caution>
      {/if}
    {/if}
    <ul>
      {#each section.lines as line (line.projected.setup.id)}
        {@const { amount, more } = words(line)}
        {@const seed = seedWords(line)}
        {@const over = overWords(line)}
        <li
          class:done={line.done && line.runsUntil === null}
          class:running={line.runsUntil !== null}
          class:passed={line.passed}
        >
          <button class="tick" disabled={line.done !== null || line.passed} onclick={() => tick(line)}>
            <span class="box" aria-hidden="true"
              >{#if timed && (!line.done || line.runsUntil !== null)}<Timer size={20} />{:else}<Checkmark
                  size={20}
                />{/if}</span
            >
            <span class="what">
              <span class="visually-hidden">{STEP_NAMES[kind]}</span>
              <span class="crop"
                >{cropName(line.projected.crop.name)}
                <span class="soft small"
                  >{containersWords(line.projected.setup)}{line.projected.setup.areaShare < 1
                    ? ` · ${t('bench.half')}`
                    : ''}</span
                ></span
              >
              <strong
                >{amount}{#if (kind === 'soak' || kind === 'drain') && !line.done && !line.passed}<span
                    class="when">, {dayAndTime(line.step.from, now, locale)}</span
                  >{/if}</strong
              >
              {#if line.waitUntil !== null}
                <span class="small warn"
                  >{t('bench.waitUntilDayandtimePutNow', {
                    dayAndTime: dayAndTime(line.waitUntil, now, locale)
                  })}</span
                >
              {/if}
              {#if over}<span class="small warn">{over}</span>{/if}
              {#if seed || more}<span class="small soft">{[seed, more].filter(Boolean).join('. ')}</span>{/if}
            </span>
          </button>
          {#if line.done}
            <span class="small at"
              >{#if line.runsUntil !== null}{t('bench.atWorkUntilClocktime', {
                  clockTime: clockTime(line.runsUntil, locale)
                })}{:else}{clockTime(line.done.at, locale)}{/if}
              <Button
                kind="ghost"
                class="undo"
                on:click={() => journal.undo(line.projected.setup.id, line.done!.eventId)}
                >{t('bench.undo')}<span class="visually-hidden">
                  {STEP_NAMES[kind]} {cropName(line.projected.crop.name)}</span
                ></Button
              ></span
            >
          {:else if line.passed}<span class="small soft at">{t('bench.passed')}</span>{/if}
        </li>
      {/each}
    </ul>
    {#if kind === 'soak'}<Caution>{CAUTIONS.germs}</Caution>{/if}
    {#if kind === 'fill'}<Caution>{CAUTIONS.dust}</Caution>{/if}
    {#if kind === 'press' && section.lines.some(({ projected }) => projected.path.cover === 'weight')}
      <Caution>{CAUTIONS.weights}</Caution>
    {/if}
  </div>
</section>

<style>
  .step {
    display: grid;
    grid-template-columns: minmax(10rem, 15rem) minmax(0, 1fr);
    gap: 0.5rem 2rem;
    padding: 1rem 0;
    border-top: 1.5px solid var(--ink-faint);
    break-inside: avoid;
  }
  h2 {
    display: flex;
    gap: 0.6rem;
    align-items: baseline;
  }
  .number {
    color: var(--beet);
    min-width: 1.4rem;
  }
  ul {
    list-style: none;
    margin: 0.4rem 0 0;
    padding: 0;
    display: grid;
    gap: 0.4rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 0.75rem;
  }
  .tick {
    flex: 1 1 16rem;
    display: flex;
    gap: 0.8rem;
    align-items: center;
    min-height: 2.75rem;
    padding: 0.4rem 0.7rem;
    text-align: left;
    font: inherit;
    color: var(--ink);
    background: var(--paper-raised);
    border: 1.5px solid var(--beet);
    border-radius: 10px;
    cursor: pointer;
  }
  .tick:hover:enabled {
    background: var(--beet-soft);
  }
  .tick:disabled {
    border-color: var(--ink-faint);
    cursor: default;
  }
  .box {
    flex: none;
    display: grid;
    place-items: center;
    width: 2.2rem;
    height: 2.2rem;
    border-radius: 8px;
    background: var(--beet);
    color: var(--on-beet);
  }
  li.done .box {
    background: var(--moss);
  }
  li.passed .box {
    background: var(--ink-faint);
  }
  .what {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.8rem;
    align-items: baseline;
  }
  .what > .small {
    flex-basis: 100%;
  }
  .crop {
    flex: 0 0 15rem;
  }
  .when {
    font-weight: 450;
  }
  .shared {
    display: grid;
    padding: 0.4rem 0.75rem;
    background: var(--paper-sunk);
    border-radius: 8px;
    margin-bottom: 0.4rem;
  }
  .fold {
    display: none;
  }
  @media screen and (max-width: 47.99rem) {
    .step {
      grid-template-columns: minmax(0, 1fr);
      padding: 0.35rem 0;
    }
    header {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      align-items: center;
    }
    header > p {
      grid-column: 1 / -1;
    }
    .fold {
      display: flex;
      gap: 0.75rem;
      align-items: center;
      min-height: 2.75rem;
      padding: 0;
      border: 0;
      background: none;
      font: inherit;
      cursor: pointer;
    }
    .fold .link {
      color: var(--beet);
      text-decoration: underline;
    }
    .folded > .lines,
    .folded > header > p {
      display: none;
    }
  }
  .warn {
    color: var(--alarm);
  }
  @media print {
    .step {
      grid-template-columns: 11rem 1fr;
      padding: 0.12rem 0;
      gap: 0 0.75rem;
    }
    .step h2 {
      font-size: 0.95rem;
    }
    .tick {
      border: 0;
      padding: 0;
      min-height: 0;
      gap: 0.45rem;
    }
    .box {
      width: 0.75rem;
      height: 0.75rem;
      border: 1px solid #000;
      border-radius: 2px;
      background: none !important;
    }
    .box :global(svg),
    .box :global(.undo),
    .warn {
      display: none;
    }
    .crop {
      flex: 0 0 13.5rem;
    }
    .what > .small {
      flex-basis: auto;
    }
    .shared {
      padding: 0;
      margin: 0;
      background: none;
    }
    ul {
      margin: 0;
      gap: 0;
    }
  }
</style>
