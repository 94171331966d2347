<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { cropNames } from '$words/containers.ts';
  import { tick } from 'svelte';
  import { dividedG } from '$core/shelf/weighing.ts';
  import { answerLook } from '$core/diagnosis/answer.ts';
  import { isGrass } from '$core/crops/traits.ts';
  import { cuesOf } from '$core/steps/ask.ts';
  import { lookFacts } from '$core/diagnosis/facts.ts';
  import type { Symptom } from '$core/symptoms/symptom.ts';
  import type { EventBody } from '$core/sowing/event.ts';
  import { heightsOf } from '$core/harvest/ready.ts';
  import { stageAt } from '$core/sowing/stage.ts';
  import { length } from '$core/units/format.ts';
  import { roundsBetween } from '$core/time/rhythm.ts';
  import { DAY } from '$core/time/zone.ts';
  import { moisturesAt } from '$core/water/level.ts';
  import AnswerCard from '$ui/looks/AnswerCard.svelte';
  import SymptomDrawing from '$ui/looks/SymptomDrawing.svelte';
  import WaterLooks from '$ui/looks/WaterLooks.svelte';
  import { factsNow, projectAll } from '$ui/state/projecting.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { symptomWords } from '$words/looks.ts';
  import { cueWords } from '$words/events.ts';
  import { dayAndTime } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const facts = $derived(factsNow(data, journal));
  const projected = $derived(projectAll([data.record], facts, data, journal)[0]!);
  const { crop, setup, state: sowing, path } = $derived(projected);
  const say = (words: string) => `${cropName(crop.name)}: ${words}`;
  /** What stands in the container now, itself first: lifted, weighed or touched, it is both halves. */
  const halves = $derived([
    projected,
    ...(data.beside ? projectAll([data.beside], facts, data, journal) : []).filter(
      ({ state }) => state.sownAt !== null && state.stage !== 'ended'
    )
  ]);

  /** What is hard to tell apart, drawn beside each other. */
  const PAIRS: readonly { title: string; of: readonly [Symptom, Symptom] }[] = [
    { title: t('tray.whiteFuzz'), of: ['hairs', 'mould'] },
    { title: t('tray.stemsDown'), of: ['fallen-dry', 'fallen-rot'] },
    { title: t('tray.notStandingWell'), of: ['stretched', 'weak'] },
    { title: t('tray.leavesMarked'), of: ['scorched', 'hungry'] },
    { title: t('tray.bentOrBleached'), of: ['bent', 'bleached'] },
    { title: t('tray.somethingOnTop'), of: ['hulls', 'true-leaf'] }
  ];
  const OTHERS: readonly Symptom[] = ['tails', 'pale', 'patchy', 'tastes-ready', 'bitter', 'fibrous'];

  /** When it was seen: now, or at one of the rounds just past. */
  let seenAt = $state<number | null>(null);
  const earlier = $derived(
    roundsBetween(facts.rhythm, now - 1.6 * DAY, now - 3_600_000)
      .toReversed()
      .slice(0, 3)
  );
  const record = (body: EventBody, words: string) =>
    journal.record(setup.id, body, say(words), seenAt === null ? {} : { at: seenAt });
  const ofContainer = (body: EventBody, words: string) => {
    const at = seenAt ?? now;
    const shares = body.type === 'weighed' ? dividedG({ sowings: halves }, body.grossG, at) : [];
    return journal.recordAll(
      halves.map(({ setup: { id } }, index) => ({
        sowingId: id,
        body: body.type === 'weighed' ? { ...body, grossG: Math.round(shares[index]!) } : body
      })),
      `${cropNames(halves)}: ${words}`,
      seenAt === null ? {} : { at: seenAt }
    );
  };
  let answered: HTMLElement | undefined = $state();
  async function see(sight: Symptom) {
    await record({ type: 'saw', sight }, symptomWords(sight, crop));
    // On a phone the answer stands above what was touched.
    await tick();
    answered?.scrollIntoView({ block: 'nearest' });
  }

  const answers = $derived(
    sowing.sights
      .filter(({ at }) => at > now - 3 * DAY)
      .toReversed()
      .map(({ eventId, at, sight }) => ({
        eventId,
        answer: answerLook(
          sight,
          lookFacts(
            projected,
            { latitudeDeg: facts.latitudeDeg, dayOfYear: facts.rhythm.zone.dayOfYear(at) },
            Math.max(at, projected.startAt)
          )
        )
      }))
  );
  /** What is cut by its height can be told by it, once it stands. */
  const heights = $derived(stageAt(projected, now) === 'press' ? [] : heightsOf(crop));
  const cues = $derived(sowing.sownAt === null ? [] : cuesOf(projected));
</script>

<svelte:head><title>{t('tray.lookAtNameBrote', { name: cropName(crop.name) })}</title></svelte:head>

<p class="small"><a href="/tray/{setup.id}">← {cropName(crop.name)}</a></p>
<h1>{t('tray.whatDoYouSee')}</h1>
{#if sowing.stage === 'ended'}
  <p>{t('tray.trayHasEnded')}</p>
{:else if sowing.sownAt === null}
  <p>{t('tray.notSownYetThereNothing')}</p>
{:else}
  <p class="soft">{t('tray.touchWhatComesNearestEach')}</p>
  <div class="row when" role="group" aria-label={t('tray.whenDidYouSee')}>
    <button
      class="chip quiet"
      class:on={seenAt === null}
      aria-pressed={seenAt === null}
      onclick={() => (seenAt = null)}>{t('tray.now')}</button
    >
    {#each earlier as at (at)}
      <button
        class="chip quiet"
        class:on={seenAt === at}
        aria-pressed={seenAt === at}
        onclick={() => (seenAt = at)}>{dayAndTime(at, now, locale)}</button
      >
    {/each}
  </div>

  <div class="view">
    <div class="stack">
      <section>
        <h2>{t('tray.howFar')}</h2>
        {#each cues as cue (cue)}
          {@const words = cueWords(cue, crop, path, locale.units)}
          <div class="row" role="group" aria-label={words}>
            <Button
              kind="tertiary"
              class="chip"
              on:click={() => record({ type: 'looked', cue, reached: true }, words)}>{words}</Button
            >
            <Button
              kind="ghost"
              class="chip quiet"
              on:click={() =>
                record({ type: 'looked', cue, reached: false }, t('tray.wordsNotYet', { words: words }))}
              >{t('tray.notYet')}<span class="visually-hidden">: {words}</span></Button
            >
          </div>
        {/each}
        {#if heights.length > 0}
          <div class="row" role="group" aria-label={t('tray.howTall')}>
            <span class="small">{t('tray.about')}</span>
            {#each heights as cm (cm)}
              {@const tall = length(cm, locale.units)}
              <Button
                kind="ghost"
                class="chip quiet"
                on:click={() =>
                  record(
                    { type: 'looked', cue: 'windowOpen', reached: cm >= crop.heightMinCm },
                    t('tray.aboutTall', { tall })
                  )}>{tall}</Button
              >
            {/each}
          </div>
        {/if}
      </section>
      <section>
        <h2>{t('tray.howDamp')}</h2>
        {#if halves.length > 1}
          <p class="soft small">
            {t('tray.wholeContainerCropnamesTogether', { cropNames: cropNames(halves) })}
          </p>
        {/if}
        <WaterLooks record={ofContainer} moistures={moisturesAt(projected, now)} units={locale.units} />
      </section>
      {#each PAIRS as { title, of } (title)}
        <section>
          <h2>{title}</h2>
          <div class="pair">
            {#each of as sight (sight)}
              <button onclick={() => see(sight)}>
                <SymptomDrawing {sight} grass={isGrass(crop)} />
                <span>{symptomWords(sight, crop)}</span>
              </button>
            {/each}
          </div>
        </section>
      {/each}
      <section>
        <h2>{t('tray.anythingElse')}</h2>
        <div class="row">
          {#each OTHERS as sight (sight)}<Button kind="tertiary" class="chip" on:click={() => see(sight)}
              >{symptomWords(sight, crop)}</Button
            >{/each}
        </div>
      </section>
    </div>
    <section
      class="answers stack"
      bind:this={answered}
      aria-live="polite"
      aria-label={t('tray.whatMostLikely')}
    >
      {#each answers as { eventId, answer } (eventId)}
        <AnswerCard
          {answer}
          {crop}
          units={locale.units}
          onundo={() => void journal.undo(setup.id, eventId)}
        />
      {:else}
        <p class="soft">{t('tray.answerStandsHere')}</p>
      {/each}
    </section>
  </div>
{/if}

<style>
  .when {
    margin: 0.75rem 0 1.25rem;
  }
  .view {
    display: grid;
    grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
    gap: 2rem 2.5rem;
    align-items: start;
  }
  .answers {
    position: sticky;
    top: 1rem;
  }
  section h2 {
    font-size: 1.05rem;
    margin-bottom: 0.5rem;
  }
  section .row + .row {
    margin-top: 0.5rem;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem;
  }
  .pair button {
    padding: 0.4rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 12px;
    background: var(--paper-raised);
    color: var(--ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
  .pair button:hover {
    border-color: var(--beet);
    background: var(--beet-soft);
  }
  .pair span {
    display: block;
    padding: 0.35rem 0.2rem 0.1rem;
  }
  @media (max-width: 47.99rem) {
    .view {
      grid-template-columns: minmax(0, 1fr);
    }
    .answers {
      position: static;
      order: -1;
    }
  }
</style>
