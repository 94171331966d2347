<script lang="ts">
  import { cropsInText } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { picturesOf } from '$core/picture/picture.ts';
  import { eventsOfTruth, likelyAt, truthsOf, type Truth } from '$core/steps/catchUp.ts';
  import type { Stop } from '$core/steps/walk.ts';
  import { zoneOf } from '$core/time/zone.ts';
  import type { LossReason } from '$core/sowing/event.ts';
  import type { Moisture } from '$core/water/bucket.ts';
  import { moisturesAt } from '$core/water/level.ts';
  import { MOISTURE_WORDS } from '$words/moisture.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import Begin from './Begin.svelte';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';
  import { containersWords, cropNames } from '$words/containers.ts';
  import { stageWords } from '$words/events.ts';
  import { dayWords, type Locale } from '$words/time.ts';

  /** A tray that nobody said anything about for days: what is true of it now, in a few touches. */
  interface Props {
    stop: Stop;
    /** When anything was last recorded. */
    since: number;
    now: number;
    locale: Locale;
  }
  let { stop, since, now, locale }: Props = $props();
  const journal = useJournal();

  const sowings = $derived(stop.parts.map(({ projected }) => projected));
  const first = $derived(sowings[0]!);
  const name = $derived(cropNames(sowings));
  const pictures = $derived(picturesOf(sowings, now));
  const truths = $derived(truthsOf(first, now));
  let truth = $state<Truth>('as-it-was');
  let dayChosen = $state<number | null>(null);
  let moisture = $state<Moisture | null>(null);

  const TRUTHS: Record<Exclude<Truth, 'as-it-was'>, string> = {
    sown: t('round.sownCovered'),
    uncovered: t('round.uncoveredDark'),
    lit: t('round.light')
  };
  const LOSSES: readonly { reason: LossReason; text: string }[] = [
    { reason: 'dried-out', text: t('round.driedOut') },
    { reason: 'mould', text: t('round.mould') },
    { reason: 'other', text: t('round.gone') }
  ];
  const asWas = $derived(
    first.state.sownAt === null && first.state.soakedAt === null
      ? t('round.notBegun')
      : t('round.stillStage', { stage: stageWords(first.state.stage, first.path) })
  );
  /** The days that nobody said anything about, the last first. */
  const days = $derived.by(() => {
    const zone = zoneOf(locale.zone);
    const noon = (back: number) => zone.at(zone.date(now).subtract({ days: back }), 720);
    return Array.from({ length: 8 }, (_, back) => Math.min(now, noon(back))).filter(
      (at) => at >= since - 12 * 3_600_000
    );
  });
  const likely = $derived(likelyAt(first, truth, since, now));
  const at = $derived(dayChosen ?? likely);
  const isDay = (one: number): boolean => dayWords(one, now, locale) === dayWords(at, now, locale);
  const stands = $derived(first.state.sownAt !== null || truth !== 'as-it-was');

  function say() {
    const happened = sowings
      .filter(({ state }) => state.stage !== 'ended')
      .flatMap((sowing) => [
        ...eventsOfTruth(sowing, truth, Math.max(at, since + 60_000), since).map(({ at: then, body }) => ({
          sowingId: sowing.setup.id,
          body,
          at: then
        })),
        ...(moisture && stands
          ? [{ sowingId: sowing.setup.id, body: { type: 'felt', moisture } as const }]
          : [])
      ]);
    // That it stands as it stood is worth writing down: somebody has looked.
    const all =
      happened.length > 0
        ? happened
        : sowings.map(({ setup }) => ({
            sowingId: setup.id,
            body: {
              type: 'noted',
              text: t('round.lookedAfterDaysAswas', { asWas })
            } as const
          }));
    void journal.recordAll(all, t('round.nameSaidHowStands', { name }));
  }
  const lose = (reason: LossReason) =>
    void journal.recordAll(
      sowings
        .filter(({ state }) => state.stage !== 'ended')
        .map(({ setup }) => ({ sowingId: setup.id, body: { type: 'ended', reason } })),
      `${name}: ${LOSSES.find((one) => one.reason === reason)!.text}`
    );
</script>

<article class="stop" aria-labelledby="catch-{stop.key}">
  <div class="picture"><TrayDrawing picture={pictures[0]} beside={pictures[1] ?? null} label="" /></div>
  <div class="stack">
    <header>
      <h3 id="catch-{stop.key}">
        <a href="/tray/{first.setup.id}"
          >{t('round.howDoes', { crops: cropsInText(sowings.map(({ crop }) => crop.name)) })}</a
        >
      </h3>
      <p class="soft small">
        {t('round.containersNothingWasRecordedSince', {
          containers: containersWords(first.setup),
          day: dayWords(since, now, locale)
        })}
      </p>
    </header>
    <div class="row" role="group" aria-label={t('round.whatTrueName', { name })}>
      {#each truths as one (one)}
        <button class="chip" aria-pressed={truth === one} onclick={() => ((truth = one), (dayChosen = null))}
          >{one === 'as-it-was' ? asWas : TRUTHS[one]}</button
        >
      {/each}
    </div>
    {#if truth !== 'as-it-was'}
      <div class="row" role="group" aria-label={t('round.sinceWhen')}>
        <span class="small">{t('round.sinceAbout')}</span>
        {#each days as one (one)}
          <button class="chip quiet" aria-pressed={isDay(one)} onclick={() => (dayChosen = one)}
            >{dayWords(one, now, locale)}</button
          >
        {/each}
      </div>
    {/if}
    {#if stands}
      <div class="row" role="group" aria-label={t('round.howDampName', { name })}>
        <span class="small">{t('round.medium')}</span>
        {#each moisturesAt(first, now) as one (one)}
          <button
            class="chip quiet"
            aria-pressed={moisture === one}
            onclick={() => (moisture = moisture === one ? null : one)}>{MOISTURE_WORDS[one].chip}</button
          >
        {/each}
      </div>
    {/if}
    {#if truth === 'as-it-was'}
      {#each stop.parts as part (part.projected.setup.id)}
        <Begin {part} {now} {locale} zone={locale.zone} named={stop.parts.length > 1} />
      {/each}
    {/if}
    <div class="row">
      <Button size="field" on:click={say}>{t('round.howStands')}</Button>
      {#if first.state.sownAt !== null}
        <a class="chip" href="/tray/{first.setup.id}/harvest">{t('round.wasCut')}</a>
        {#each LOSSES as { reason, text } (reason)}
          <Button kind="ghost" class="chip quiet" on:click={() => lose(reason)}>{text}</Button>
        {/each}
      {/if}
    </div>
  </div>
</article>

<style>
  .stop {
    display: grid;
    grid-template-columns: minmax(12rem, 19rem) minmax(0, 1fr);
    gap: 0 2rem;
    align-items: end;
    padding: 0.75rem 0;
  }
  h3 {
    font-size: 1.3rem;
  }
  h3 a {
    color: inherit;
  }
  .stack {
    align-self: center;
    gap: 0.6rem;
  }
  @media (max-width: 47.99rem) {
    .stop {
      grid-template-columns: minmax(0, 1fr);
    }
    .picture {
      width: 66%;
    }
  }
</style>
