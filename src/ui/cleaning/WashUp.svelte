<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import {
    cleaningKey,
    openSteps,
    spentTo,
    type CleaningStep,
    type ToClean
  } from '$core/cleaning/cleaning.ts';
  import type { Cleaning, SpentTo } from '$core/sowing/event.ts';
  import TickFace from '$ui/round/TickFace.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { containersWords } from '$words/containers.ts';
  import { cleaningNames } from '$words/steps/names.ts';
  import { CLEANING_DONE, cleaningWords, SPENT_DONE, SPENT_WORDS } from '$words/pantry.ts';
  import type { Locale } from '$words/time.ts';

  let { toClean, locale }: { toClean: readonly ToClean[]; locale: Locale } = $props();
  const journal = useJournal();

  interface Together {
    title: string;
    why: string;
    step: CleaningStep;
    of: ToClean[];
  }
  const nameOf = ({ standing }: ToClean): string => containersWords(standing.sowings[0]!.setup);
  const namesOf = (all: readonly ToClean[]): string => all.map(nameOf).join(', ');

  /** The same step of several containers is done at one go; each container's next step alone is asked for. */
  const together = (of: (one: ToClean) => CleaningStep[]): Together[] => {
    const groups: Together[] = [];
    for (const one of toClean)
      for (const step of of(one)) {
        const words = cleaningWords(step, one, locale.units);
        const alike = groups.find(({ title }) => title === words.title);
        if (alike) alike.of.push(one);
        else groups.push({ ...words, step, of: [one] });
      }
    return groups;
  };
  const asked = $derived(together((one) => openSteps(one).slice(0, 1)));
  const offered = $derived(
    together((one) => one.steps.filter(({ optional, done }) => optional && done === null))
  );

  interface Cleaned {
    step: Cleaning;
    of: readonly ToClean[];
    to?: SpentTo;
  }
  const record = (steps: readonly Cleaned[], words: string) =>
    journal.recordAll(
      steps.flatMap(({ step, of, to }) =>
        of.flatMap(({ standing }) =>
          standing.sowings.map(({ setup }) => ({
            sowingId: setup.id,
            body: { type: 'cleaned', step, ...(to ? { to } : {}) } as const,
            taskKey: cleaningKey(step)
          }))
        )
      ),
      words
    );
  const allDone = () =>
    record(
      toClean.flatMap((one) => openSteps(one).map(({ step }) => ({ step, of: [one] }))),
      t('pantry.namesCleanDry', { names: namesOf(toClean) })
    );
  const cautionOf = ({ step }: Together): string | null =>
    step.step === 'stain-soak'
      ? CAUTIONS.stains
      : step.step !== 'disinfect'
        ? null
        : step.dose?.solution
          ? CAUTIONS.dip
          : CAUTIONS.spray;
  const mouldy = $derived(toClean.some((one) => one.mouldy && one.steps[0]?.done === null));
</script>

<div class="stack wash">
  {#if mouldy}<Caution>{CAUTIONS.mould}</Caution>{/if}
  {#each asked as one (one.title)}
    {@const caution = cautionOf(one)}
    {@const { usual, others } = spentTo(one.step.step, one.of)}
    <TickFace
      title={one.title}
      why="{namesOf(one.of)}. {one.why}"
      onclick={() =>
        void record(
          [{ step: one.step.step, of: one.of, ...(usual ? { to: usual } : {}) }],
          `${namesOf(one.of)}: ${CLEANING_DONE[one.step.step]}`
        )}
    />
    {#if others.length > 0}
      <div class="row small">
        <span>{t('pantry.orWent')}</span>
        {#each others as to (to)}
          <Button
            kind="ghost"
            class="chip quiet"
            on:click={() =>
              void record(
                [{ step: one.step.step, of: one.of, to }],
                `${namesOf(one.of)}: ${CLEANING_DONE[one.step.step]}, ${SPENT_DONE[to]}`
              )}>{SPENT_WORDS[to]}</Button
          >
        {/each}
        {#if others.includes('fodder')}
          <details class="unfold small">
            <summary>{t('pantry.beforeYouFeedAnimals')}</summary>
            <Caution>{CAUTIONS.fodder}</Caution>
          </details>
        {/if}
      </div>
    {/if}
    {#if caution}<Caution>{caution}</Caution>{/if}
  {/each}
  <div class="row">
    <Button kind="tertiary" class="chip" on:click={() => void allDone()}
      >{t('pantry.cleanDryBackOnShelf', { toClean: toClean.length })}</Button
    >
    {#if offered.length > 0}
      <details class="unfold">
        <summary
          >{t('pantry.cleaningnamesIfYouLike', {
            cleaningNames: cleaningNames([...new Set(offered.map(({ step }) => step.step))])
          })}</summary
        >
        {#each offered as one (one.title)}
          {@const caution = cautionOf(one)}
          <TickFace
            title={one.title}
            why="{namesOf(one.of)}. {one.why}"
            onclick={() =>
              void record(
                [{ step: one.step.step, of: one.of }],
                `${namesOf(one.of)}: ${CLEANING_DONE[one.step.step]}`
              )}
          />
          {#if caution}<Caution>{caution}</Caution>{/if}
        {/each}
      </details>
    {/if}
  </div>
</div>

<style>
  .wash {
    gap: 0.4rem;
  }
  .row > :global(details[open]) {
    flex-basis: 100%;
  }
</style>
