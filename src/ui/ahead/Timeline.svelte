<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { DayAhead } from '$core/ahead/eat.ts';
  import type { Horizon } from '$core/ahead/horizon.ts';
  import type { Row } from '$core/ahead/rows.ts';
  import type { Place } from '$core/places/place.ts';
  import type { Occupancy } from '$core/ahead/uses.ts';
  import { shortWeekdays, ROW_KINDS, rowName } from '$words/ahead.ts';
  import { shortDate, type Locale } from '$words/time.ts';
  import BandRow from './BandRow.svelte';
  import Bars from './Bars.svelte';
  import Grams from './Grams.svelte';
  import { DATES, HEADING, laneAt, lanesOf, ROW } from './lanes.ts';
  import { mondaysOf, scaleOf } from './scale.ts';

  /** Where a row is dragged to: days later, negative for sooner, and another place; null where it stays at its own. */
  export interface To {
    days: number;
    placeId: string | null;
  }
  interface Props {
    horizon: Horizon;
    rows: readonly Row[];
    days: readonly DayAhead[];
    places: readonly Pick<Place, 'id' | 'name' | 'light'>[];
    /** How full places and kinds of container are. */
    uses: readonly Occupancy[];
    /** Of a place's board, what is in the dark, day by day. */
    dark: (use: Occupancy) => readonly number[];
    /** Days on which nobody is at home. */
    away: readonly boolean[];
    chosen: string | null;
    locale: Locale;
    onchoose: (key: string) => void;
    /** From the moment that a hand takes it, while it is dragged, and when it is let go: so many days later, at a place. */
    ondrag: (key: string, to: To) => void;
    ondrop: (key: string, to: To) => void;
    onescape: () => void;
  }
  let {
    horizon,
    rows,
    days,
    places,
    uses,
    dark,
    away,
    chosen,
    locale,
    onchoose,
    ondrag,
    ondrop,
    onescape
  }: Props = $props();

  const BAND = 20;
  const USE = 16;
  const EDGE = 48;
  let width = $state(0);
  const scale = $derived(scaleOf(horizon, Math.max(560, width)));
  const mondays = $derived(mondaysOf(horizon));
  const isMovable = (row: Row): boolean => row.kind === 'planned' && !row.locked;

  /** What is on its way to another day or place, by pointer or by keys. */
  let held = $state<{ key: string; by: 'pointer' | 'keys'; x: number; y: number; to: To } | null>(null);
  /** Rows as they stood when it was taken: what is on its way does not jump about under the hand. */
  let order = $state.raw<readonly { key: string; placeId: string }[]>([]);
  const inOrder = $derived(
    held === null
      ? rows
      : order.flatMap(({ key, placeId }) => {
          const row = rows.find((one) => one.key === key);
          return row ? [{ ...row, placeId }] : [];
        })
  );
  const lanes = $derived(lanesOf(inOrder, places));
  const height = $derived(lanes.at(-1)?.bottom ?? DATES);
  /** What light its slots are in. */
  const lights = $derived(new Map(places.map(({ id, light }) => [id, light.kind])));
  const boards = $derived(
    new Map(
      uses.flatMap((use) => (use.kind === 'board' ? [[use.id, { shares: use.shares, dark: dark(use) }]] : []))
    )
  );
  const containers = $derived(
    uses.filter(({ kind, shares }) => kind === 'container' && shares.some((share) => share > 0))
  );

  let drawing = $state<SVGSVGElement>();
  function take(row: Row, by: 'pointer' | 'keys', x = 0, y = 0) {
    order = inOrder.map(({ key, placeId }) => ({ key, placeId }));
    held = { key: row.key, by, x, y, to: { days: 0, placeId: null } };
    ondrag(held.key, held.to);
  }
  function hold(event: PointerEvent, row: Row) {
    onchoose(row.key);
    if (!isMovable(row)) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    take(row, 'pointer', event.clientX, event.clientY);
  }
  function drag(event: PointerEvent, row: Row) {
    if (held?.by !== 'pointer') return;
    nearEdge(event.clientY);
    const lane = laneAt(lanes, event.clientY - drawing!.getBoundingClientRect().top);
    // A hand that goes sideways wavers: a place is meant once it left its own row.
    const isOver = Math.abs(event.clientY - held.y) > ROW / 2 && lane && lane.placeId !== row.placeId;
    const to: To = {
      days: Math.round((event.clientX - held.x) / scale.dayWidth),
      placeId: isOver ? lane.placeId : null
    };
    if (to.days === held.to.days && to.placeId === held.to.placeId) return;
    held = { ...held, to };
    ondrag(held.key, to);
  }
  /** A place further down or up comes into view once a hand is at the edge. */
  function nearEdge(y: number) {
    if (y > innerHeight - EDGE) scrollBy(0, EDGE / 2);
    else if (y < EDGE) scrollBy(0, -EDGE / 2);
  }
  function drop() {
    if (!held) return;
    const { key, to } = held;
    held = null;
    if (to.days !== 0 || to.placeId !== null) ondrop(key, to);
    else onescape();
  }
  function letGo() {
    held = null;
    onescape();
  }
  const movedPlace = (row: Row, by: -1 | 1): string | null => {
    const now = held?.to.placeId ?? row.placeId;
    const at = places.findIndex(({ id }) => id === now);
    const id = places[(at + by + places.length) % places.length]!.id;
    return id === row.placeId ? null : id;
  };
  /** By keys: a day sooner or later, a place up or down with each arrow, kept with Enter. */
  function keyed(event: KeyboardEvent, row: Row) {
    const across = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    const along = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if ((across !== 0 || along !== 0) && isMovable(row)) {
      event.preventDefault();
      if (held?.key !== row.key) take(row, 'keys');
      const { days: before, placeId } = held!.to;
      held!.to = {
        days: before + across,
        placeId: along === 0 ? placeId : movedPlace(row, along)
      };
      onchoose(row.key);
      ondrag(row.key, held!.to);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      if (held?.key === row.key) drop();
      else onchoose(row.key);
    } else if (event.key === 'Escape') letGo();
  }
  const placeName = (id: string): string => places.find((place) => place.id === id)?.name ?? '';
  const label = (row: Row): string =>
    t('ahead.rownameContainerKindKeptAs', {
      rowName: rowName(row),
      container: row.container,
      kind: ROW_KINDS[row.kind],
      when: row.locked ? 'yes' : 'no',
      when2: row.lightPlaceId === null ? 'yes' : 'no',
      placeName: !(row.lightPlaceId === null) ? placeName(row.lightPlaceId) : '',
      shortDate: shortDate(row.beginsAt, locale),
      shortDate2: shortDate(row.open.p50, locale),
      when3: isMovable(row) ? 'yes' : 'no'
    });
</script>

<!-- What comes to lie under a hand that has pressed, a link for one, is not dragged off by the browser itself. -->
<svelte:document
  ondragstart={(event) => {
    if (held) event.preventDefault();
  }}
/>
<div class="weeks">
  <div class="names" aria-hidden="true">
    <div class="head"></div>
    {#each lanes as lane (lane.placeId)}
      <div class="lane-name soft small" class:target={lane.placeId === held?.to.placeId}>
        {lane.name} · {lights.get(lane.placeId)}
      </div>
      {#each lane.rows as { row } (row.key)}
        <div class="name" class:on={row.key === chosen}>
          <span>{rowName(row)}</span>
          <span class="soft small"
            >{row.container}{row.kind === 'draft' || row.kind === 'proposed'
              ? ` · ${ROW_KINDS[row.kind]}`
              : row.locked
                ? ` · ${t('ahead.kept')}`
                : ''}</span
          >
        </div>
      {/each}
    {/each}
    <div class="grams-name soft small">{t('ahead.gramsDayLineWhatYou')}</div>
    {#each containers as { id, name } (id)}<div class="use-name soft small">{name}</div>{/each}
  </div>
  <div class="scroll" bind:clientWidth={width}>
    <div class="draw">
      <svg
        bind:this={drawing}
        width={scale.width}
        {height}
        viewBox="0 0 {scale.width} {height}"
        role="group"
        aria-label={t('ahead.sowingsOverWeeksAheadBy')}
      >
        {#each lanes as lane (lane.placeId)}
          {#if lane.placeId === held?.to.placeId}
            <rect class="target" x="0" y={lane.top} width={scale.width} height={lane.bottom - lane.top} />
          {/if}
          <g role="img" aria-label={t('ahead.howFullName', { name: lane.name })}>
            {#if boards.has(lane.placeId)}
              {@const { shares, dark } = boards.get(lane.placeId)!}
              {@const on = { scale, bottom: lane.top + HEADING - 4, height: HEADING - 10 }}
              <Bars {shares} {...on} />
              <Bars shares={dark} {...on} dark />
            {/if}
          </g>
          <line
            class="board"
            x1="0"
            x2={scale.width}
            y1={lane.top + HEADING - 4}
            y2={lane.top + HEADING - 4}
          />
        {/each}
        {#each away as is, day (day)}
          {#if is}<rect
              class="away"
              x={day * scale.dayWidth}
              y={DATES}
              width={scale.dayWidth}
              height={height - DATES}
            />{/if}
        {/each}
        {#each mondays as day (day)}
          <line class="week" x1={day * scale.dayWidth} x2={day * scale.dayWidth} y1="18" y2={height} />
          <text class="date" x={day * scale.dayWidth + 3} y="16"
            >{shortDate(horizon.supperAt[day]!, locale)}</text
          >
        {/each}
        {#if mondays[0] !== 0 && (mondays[0] ?? 7) * scale.dayWidth > 60}
          <text class="date" x="2" y="16"
            >{t('ahead.shortWeekdaysToday', {
              day: shortWeekdays()[horizon.first.dayOfWeek - 1]!
            })}</text
          >
        {/if}
        {#each lanes.flatMap((lane) => lane.rows) as { row, y } (row.key)}
          <g
            role="button"
            tabindex="0"
            aria-label={label(row)}
            aria-pressed={row.key === chosen}
            class:movable={isMovable(row)}
            class:on={row.key === chosen}
            onpointerdown={(event) => hold(event, row)}
            onpointermove={(event) => drag(event, row)}
            onpointerup={() => {
              if (held?.by === 'pointer') drop();
            }}
            onpointercancel={letGo}
            onkeydown={(event) => keyed(event, row)}
            onblur={() => {
              if (held?.by === 'keys') letGo();
            }}
          >
            <rect class="line" x="0" {y} width={scale.width} height={ROW} />
            <BandRow {row} {scale} y={y + (ROW - BAND) / 2} height={BAND} />
            {#if row.lightPlaceId !== null && Number.isFinite(row.lastCutAt)}
              <text class="date" x={scale.x(row.lastCutAt) + 3 * scale.dayWidth} y={y + ROW / 2 + 4}
                >{t('ahead.lightPlacename', { placeName: placeName(row.lightPlaceId) })}</text
              >
            {/if}
          </g>
        {/each}
      </svg>
      <Grams {days} {scale} height={110} />
      {#each containers as { id, name, shares: of } (id)}
        <svg
          width={scale.width}
          height={USE}
          viewBox="0 0 {scale.width} {USE}"
          role="img"
          aria-label={t('ahead.howManyNameSTaken', { name })}
        >
          <Bars shares={of} {scale} bottom={USE - 2} height={USE - 4} />
        </svg>
      {/each}
    </div>
  </div>
</div>

<style>
  .weeks {
    display: grid;
    grid-template-columns: 11.5rem minmax(0, 1fr);
    user-select: none;
  }
  .head {
    height: 28px;
  }
  .lane-name {
    height: 26px;
    display: grid;
    align-content: end;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .lane-name.target {
    color: var(--ink);
    font-weight: 620;
  }
  .name {
    display: grid;
    align-content: center;
    height: 34px;
    font-size: 0.9375rem;
    line-height: 1.1;
    overflow: hidden;
    white-space: nowrap;
  }
  .name span {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .name.on {
    font-weight: 620;
  }
  .grams-name {
    height: 110px;
    display: grid;
    align-content: end;
    padding-right: 0.5rem;
  }
  .use-name {
    height: 16px;
    line-height: 16px;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .scroll {
    touch-action: pan-x pan-y;
  }
  .draw svg {
    display: block;
  }
  .week {
    stroke: var(--ink-faint);
    stroke-width: 1;
    stroke-dasharray: 2 3;
  }
  .date {
    font-size: 12px;
    fill: var(--ink-soft);
  }
  .away {
    fill: var(--paper-sunk);
  }
  .line {
    fill: transparent;
  }
  .board {
    stroke: var(--ink-faint);
  }
  .target {
    fill: var(--beet-soft);
  }
  g[role='button'] {
    cursor: pointer;
    outline: none;
  }
  g.movable {
    cursor: move;
    touch-action: none;
  }
  g[role='button']:hover .line,
  g.on .line {
    fill: var(--beet-soft);
  }
  g[role='button']:focus-visible .line {
    fill: var(--beet-soft);
    stroke: var(--focus);
    stroke-width: 2;
  }
</style>
