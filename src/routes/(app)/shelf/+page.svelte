<script lang="ts">
  import { cropList } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import { reload } from '$ui/state/reload.ts';
  import { silentAt } from '$core/places/air/silence.ts';
  import { usualAir } from '$core/places/air/airAt.ts';
  import type { Place } from '$core/places/place.ts';
  import { movedTo } from '$core/sowing/reach.ts';
  import { boardWith, moveEffect, type Board } from '$core/shelf/board.ts';
  import { standingOf, type Standing } from '$core/sowing/standing.ts';
  import { thirstSaid } from '$core/water/thirst.ts';
  import { thirstWords } from '$words/thirst.ts';
  import { temperature } from '$core/units/format.ts';
  import { eventsNow, factsNow, projectAll } from '$ui/state/projecting.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { post } from '$ui/state/ask.ts';
  import { moveContainer } from '$ui/shelf/moveContainer.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import BoardView from '$ui/shelf/BoardView.svelte';
  import MovePanel from '$ui/shelf/MovePanel.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { lightWords, loadWords } from '$words/places.ts';
  import { dayAndTime } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  /** The household's time, as last told. */
  const now = $derived(journal.patches.now(data.now));
  const locale = $derived(data.household);
  const facts = $derived(factsNow(data, journal));
  const projected = $derived(
    projectAll(data.records, facts, data, journal).filter(
      ({ state }) => state.stage !== 'ended' && state.sownAt !== null
    )
  );
  const on = (placeId: string) => projected.filter(({ place }) => place.id === placeId);
  const boards = $derived([...facts.places.values()].map((place) => boardWith(place, on(place.id), now)));
  const widest = $derived(Math.max(...boards.map(({ widthCm }) => widthCm), 40));
  /** Larger than this it only gets long. */
  const MOST_PX_CM = 7;
  let room = $state(640);
  /** Places two abreast where there is room for them. */
  const ABREAST_PX = 800;
  const GAP_PX = 40;
  const abreast = $derived(room >= ABREAST_PX ? 2 : 1);
  const scale = $derived(Math.min((room - (abreast - 1) * GAP_PX) / abreast / widest, MOST_PX_CM));

  const thirst = $derived(thirstSaid(facts.thirst));
  let selectedId = $state<string | null>(null);
  let refused = $state<Place | null>(null);
  const selected = $derived(standingOf(projected).find(({ key }) => key === selectedId) ?? null);
  const options = $derived(
    selected === null
      ? []
      : boards
          .filter(({ place }) => place.id !== selected.sowings[0]!.place.id)
          .map(({ place }) => ({ place, effect: effectOn(selected, place) }))
  );

  function effectOn({ sowings }: Standing, place: Place) {
    const moved = sowings.map(({ setup }) => {
      const record = data.records.find((one) => one.setup.id === setup.id)!;
      return movedTo(facts, setup, eventsNow(record, data, journal), place, now);
    });
    return moveEffect(sowings, moved, place, on(place.id), now);
  }
  async function move({ sowings }: Standing, place: Place) {
    refused = null;
    await moveContainer(journal, sowings, place);
  }
  function drop(key: string, place: Place) {
    const standing = standingOf(projected).find((one) => one.key === key);
    if (!standing) return;
    selectedId = key;
    if (effectOn(standing, place).refused) refused = place;
    else void move(standing, place);
  }
  async function sure(place: Place) {
    const answer = await post(`/api/places/${place.id}/rating`, {});
    if (answer?.ok) await reload('brote:sowings');
  }
  function select({ key }: Standing) {
    refused = null;
    selectedId = selectedId === key ? null : key;
  }
  const silent = (placeId: string): number | null =>
    silentAt(
      data.last.filter((one) => one.placeId === placeId),
      now
    );
  const namesOf = (all: readonly Standing[]): string =>
    cropList(all.flatMap(({ sowings }) => sowings.map(({ crop }) => crop.name)));
  const slots = ({ spots, freeSlots, place }: Board): string => {
    const kind = place.light.kind === 'dark' ? 'dark' : 'light';
    const standing = spots.reduce((sum, { standing: { sowings } }) => sum + sowings[0]!.setup.count, 0);
    return t('shelf.standingStandsStandHereRoom', { standing, freeSlots, kind });
  };
</script>

<svelte:head><title>{t('shelf.shelfBrote')}</title></svelte:head>

<header class="page-head">
  <div>
    <h1>{t('shelf.shelf')}</h1>
    <p class="soft">
      {t('shelf.drawnScaleDragTrayPlace', { value: thirst === null ? '' : thirstWords(thirst) })}
    </p>
  </div>
  <div class="row">
    {#if data.records.length > 0}<a class="bx--btn bx--btn--ghost" href="/shelf/labels"
        >{t('shelf.labels.link')}</a
      >{/if}
    <a class="bx--btn bx--btn--tertiary" href="/shelf/new">{t('shelf.newPlace')}</a>
  </div>
</header>

{#if page.hydrated}
  <div class="view" class:with={selected !== null}>
    <div class="places" class:two={abreast === 2} bind:clientWidth={room}>
      {#each boards as board (board.place.id)}
        {@const air = usualAir(board.place)}
        {@const since = silent(board.place.id)}
        <section aria-labelledby="place-{board.place.id}">
          <header>
            <h2 id="place-{board.place.id}"><a href="/shelf/{board.place.id}">{board.place.name}</a></h2>
            <p class="small soft">
              {lightWords(board.place.light)} ·
              {#if air.measured}{t('shelf.temperatureMeasured', {
                  temperature: temperature(air.tempC, locale.units)
                })}{:else}{t('shelf.temperatureByDayTemperatureAt', {
                  temperature: temperature(board.place.dayC, locale.units),
                  temperature2: temperature(board.place.nightC, locale.units)
                })}{/if}{board.place.movingAir ? ` · ${t('shelf.movingAir')}` : ''}
            </p>
          </header>
          <BoardView
            {board}
            {now}
            {scale}
            selected={selectedId}
            onselect={select}
            ondrop={(id) => drop(id, board.place)}
          />
          <p class="small">
            {slots(board)}.
            {#if board.darkInLight.length > 0 && board.freeSlots === 0}
              {t('shelf.namesCouldStandDarkNow', { names: namesOf(board.darkInLight) })}
            {/if}
            {#if board.crowdedOut.length > 0}<strong
                >{t('shelf.noRoomOnBoardNames', { names: namesOf(board.crowdedOut) })}</strong
              >{/if}
          </p>
          <p class="small load {board.load.state}">
            {#if board.load.ratedG !== null}
              <meter
                min="0"
                max="1"
                value={Math.min(1, board.load.g / board.load.ratedG)}
                high="0.8"
                optimum="0"
                aria-label={t('shelf.loadOnName', { name: board.place.name })}
              ></meter>
            {/if}
            {loadWords(board.load, locale.units)}
          </p>
          {#if board.load.state === 'over'}<Caution>{CAUTIONS.load}</Caution>{/if}
          {#if since !== null}
            <p class="small warn">
              {t('shelf.sensorHasBeenSilentSince', { dayAndTime: dayAndTime(since, now, locale) })}
            </p>
          {/if}
        </section>
      {:else}
        <section class="card">
          <p>
            {t('shelf.noPlaceYetPlaceShelf')}
          </p>
        </section>
      {/each}
    </div>
    {#if selected}
      <aside>
        <MovePanel
          standing={selected}
          {now}
          {locale}
          {options}
          {refused}
          onmove={(place) => void move(selected, place)}
          onsure={(place) => void sure(place)}
          onclose={() => (selectedId = null)}
        />
      </aside>
    {/if}
  </div>
{:else}
  <ul>
    {#each data.household.places as place (place.id)}<li>{place.name}</li>{/each}
  </ul>
{/if}

<style>
  .view {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 1.5rem 2.5rem;
    margin-top: 1.25rem;
    align-items: start;
  }
  .view.with {
    grid-template-columns: minmax(0, 1fr) 22rem;
  }
  aside {
    position: sticky;
    top: 1rem;
  }
  .places {
    display: grid;
    gap: 1.75rem 2.5rem;
    min-width: 0;
    align-items: end;
  }
  .places.two {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  section {
    min-width: 0;
  }
  section header {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    align-items: baseline;
  }
  h2 {
    font-size: 1.1rem;
  }
  h2 a {
    color: inherit;
  }
  .load {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem;
  }
  .load.over {
    color: var(--alarm);
    font-weight: 600;
  }
  meter {
    width: 8rem;
    height: 0.9rem;
  }
  @media (max-width: 63.99rem) {
    .view.with {
      grid-template-columns: minmax(0, 1fr);
    }
    .view.with aside {
      position: fixed;
      inset: auto 0 3.75rem;
      top: auto;
      z-index: 8;
      max-height: 60vh;
      overflow: auto;
    }
  }
</style>
