<script lang="ts">
  import { t } from '$messages/t.ts';
  import { flushSync, onMount, untrack } from 'svelte';
  import { Button } from 'carbon-components-svelte';
  import { v4 as newId } from 'uuid';
  import { buildProblem, nothingWithout } from '$core/ahead/build.ts';
  import { eat, isShort } from '$core/ahead/eat.ts';
  import { aheadOf, type AheadData } from '$core/ahead/household.ts';
  import { dayIndex, dayOf, horizonFrom, isAwayOn } from '$core/ahead/horizon.ts';
  import { gapsOf, glutsOf, type DayStretch } from '$core/ahead/mends.ts';
  import { darkSharesOf, oversOf, usesOf, type Over } from '$core/ahead/uses.ts';
  import { seedOfLines } from '$core/ahead/drawn.ts';
  import { linesOf } from '$core/ahead/lines.ts';
  import { groundOf } from '$core/ahead/ground.ts';
  import type { Mending, Offer } from '$core/ahead/offers.ts';
  import { standsNow } from '$core/ahead/problem.ts';
  import { rowsOf, workOf, type Row } from '$core/ahead/rows.ts';
  import type { Projected } from '$core/sowing/project.ts';
  import { greensMass } from '$core/units/format.ts';
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import { partSeeds } from '$core/ahead/growable.ts';
  import { beginBodies, orderBody } from '$ui/ahead/beginBody.ts';
  import ChosenRow from '$ui/ahead/ChosenRow.svelte';
  import { asIfMoved } from '$ui/ahead/asIf.ts';
  import { Deeds } from '$ui/ahead/deeds.svelte.ts';
  import DayList from '$ui/ahead/DayList.svelte';
  import { LittleByLittle } from '$ui/ahead/littleByLittle.svelte.ts';
  import Legend from '$ui/ahead/Legend.svelte';
  import PhoneWeeks from '$ui/ahead/PhoneWeeks.svelte';
  import Mendings from '$ui/ahead/Mendings.svelte';
  import { Planner } from '$ui/ahead/planner.svelte.ts';
  import ProposalPanel from '$ui/ahead/ProposalPanel.svelte';
  import Timeline, { type To } from '$ui/ahead/Timeline.svelte';
  import { afterPaint } from '$ui/state/afterPaint.ts';
  import { PaintLater } from '$ui/state/paintLater.svelte.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { factsOf } from '$core/sowing/household.ts';
  import { eventsNow, projectAll } from '$ui/state/projecting.ts';
  import {
    dayNames,
    gapWords,
    glutAheadWords,
    overWords,
    rowName,
    takenWords,
    whereWords
  } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';

  let { data }: { data: { ahead: AheadData; household: Locale; now: number; chosen: string | null } } =
    $props();
  const journal = useJournal();
  const planner = new Planner();
  const locale = $derived(data.household);

  /** As it is now, with what was touched since it was loaded. */
  const present = $derived<AheadData>({
    ...data.ahead,
    household: journal.patches.household(data.ahead.household, data.ahead),
    records: data.ahead.records.map((record) => journal.patches.record(record, data.ahead))
  });
  const facts = $derived(factsOf(present.household));
  const sowings = $derived(projectAll(present.records, facts, data.ahead, journal));

  /** The same days, whatever is dragged. */
  const fixed = $derived(horizonFrom(facts.rhythm, data.ahead.now));
  /** A planned sowing on its way to another day or place, as it is dragged. */
  let dragged = $state.raw<{ key: string; to: To } | null>(null);
  /** The same as days and boards follow it. */
  const followed = new PaintLater(() => dragged);
  const isDragged = ({ setup }: Projected, by: typeof dragged): boolean =>
    // Two halves go together.
    by !== null && (setup.half?.trayId ?? setup.id) === by.key;
  const movedBy = (all: readonly Projected[], by: typeof dragged): readonly Projected[] =>
    by === null
      ? all
      : all.map((one) => {
          if (!isDragged(one, by)) return one;
          const record = data.ahead.records.find(({ setup }) => setup.id === one.setup.id)!;
          const events = eventsNow(record, data.ahead, journal);
          return asIfMoved(one, events, by.to, { facts, horizon: fixed, now: data.ahead.now });
        });
  const ahead = $derived(aheadOf(present, movedBy(sowings, followed.current)));
  const horizon = $derived(ahead.input.horizon);
  const stands = $derived(buildProblem({ ...ahead.input, growables: [] }));
  const outcome = $derived(eat(stands.problem, standsNow(stands.problem)));
  const stored = $derived(new Set(data.ahead.records.map(({ setup }) => setup.id)));
  /** What is drawn: all of it as it is reckoned with, and what is dragged as the hand has it. */
  const underHand = $derived.by(() => {
    const all = ahead.input.sowings;
    if (dragged === followed.current) return all;
    const before = sowings.filter((one) => isDragged(one, dragged) || isDragged(one, followed.current));
    const now = new Map(movedBy(before, dragged).map((one) => [one.setup.id, one]));
    return all.map((one) => now.get(one.setup.id) ?? one);
  });
  const rows = $derived(
    rowsOf(underHand, ({ setup, state }) => {
      if (!stored.has(setup.id)) {
        const [id, day] = setup.id.split(' ') as [string, string];
        return { kind: 'draft', locked: true, order: { id, day } };
      }
      const isBegun = state.sownAt !== null || state.soakedAt !== null;
      return {
        kind: isBegun ? 'under-way' : 'planned',
        locked: data.ahead.locked.includes(setup.id),
        order: null
      };
    })
  );

  /** What is proposed and left by hand. */
  let left = $state<ReadonlySet<string>>(new Set());
  const lines = $derived(linesOf(planner.proposal?.changes ?? []));
  const takenLines = $derived(lines.filter(({ key }) => !left.has(key)));
  const taken = $derived(takenLines.flatMap((line) => line.changes));
  const drawn = new LittleByLittle(() => lines.map(({ key }) => key));
  const drawnLines = $derived(lines.filter(({ key }) => drawn.has(key)));
  const proposedRows = $derived(
    takenLines
      .filter(({ key }) => drawn.has(key))
      .flatMap(({ changes }) => changes.flatMap(({ kind, row }) => (kind === 'begin' ? [row] : [])))
  );
  const leftOut = $derived(new Set(taken.flatMap(({ sowingId }) => sowingId ?? [])));
  const seed = $derived(seedOfLines(present, ahead, takenLines));
  const allRows = $derived(
    [...rows.filter(({ key }) => !leftOut.has(key)), ...proposedRows].toSorted(
      (a, b) => a.beginsAt - b.beginsAt
    )
  );
  /** The proposal as days and boards follow it. */
  const reached = new PaintLater(() => planner.proposal);
  const whole = $derived(planner.proposal && left.size === 0 ? reached.current : null);
  /** While a proposal is shown whole, its own days; with something left out it is looked at again once it is taken. */
  const days = $derived(whole?.days ?? outcome.days);

  const name = $derived(dayNames(horizon.supperAt, locale));
  const away = $derived(horizon.supperAt.map((_, day) => isAwayOn(horizon, day, data.ahead.away)));
  const works = $derived(workOf(allRows, horizon, facts.rhythm));
  const uses = $derived(whole?.uses ?? usesOf(stands.problem, standsNow(stands.problem)));
  /** What boards and containers are told to be full of. */
  const standing = $derived(whole ? allRows : rows);
  const hungry = $derived(outcome.days.some(({ appetiteG }) => appetiteG > 0));
  /** What is said above the weeks. Under a hand that drags nothing may jump: it is said anew once that has let go. */
  const atRest = (): {
    gaps: DayStretch[];
    gluts: DayStretch[];
    overs: Over[];
    mendings: readonly Mending[] | null;
  } => ({
    gaps: gapsOf(days),
    gluts: glutsOf(days),
    // Of each the first: what comes later changes with it.
    overs: oversOf(uses).filter((over, at, all) => all.findIndex(({ use }) => use === over.use) === at),
    mendings: planner.mendings
  });
  let before: ReturnType<typeof atRest> | null = null;
  const above = $derived(dragged !== null && before ? before : (before = atRest()));
  const eatingDays = $derived(days.filter(({ appetiteG }) => appetiteG > 0).length);
  const fedDays = $derived(eatingDays - days.filter(isShort).length);
  const placeName = (id: string): string =>
    data.ahead.household.places.find((place) => place.id === id)?.name ?? '';

  /** What of that might go to another day: planned, in the container or at the place of which there is too little, in those days. */
  const rowsOver = ({ use, from, until }: Over): Row[] =>
    standing.filter(
      ({ kind, begun, containerSize, placeId, lightPlaceId, startAt, lastCutAt }) =>
        kind !== 'under-way' &&
        begun === 'no' &&
        (use.kind === 'container' ? containerSize === use.id : [placeId, lightPlaceId].includes(use.id)) &&
        dayIndex(horizon, facts.rhythm, startAt) <= until &&
        dayIndex(horizon, facts.rhythm, lastCutAt) >= from
    );

  let chosenKey = $state<string | null>(untrack(() => data.chosen));
  /** What can be done about it is drawn once its mark is. */
  const openKey = new PaintLater(() => chosenKey);
  const chosen = $derived(allRows.find(({ key }) => key === openKey.current) ?? null);
  const deeds = new Deeds(journal);

  const dayName = (day: number): string => dayOf(horizon, day).toString();

  async function put(row: Row, to: To) {
    planner.clear();
    await deeds.put(row, to, { places: data.ahead.household.places, sowings, horizon: fixed, facts, name });
  }
  async function drop(key: string, to: To) {
    dragged = followed.current = null;
    const row = rows.find((one) => one.key === key);
    if (row) await put(row, to);
  }

  async function take() {
    const begin = beginBodies(present, taken, dayName);
    const leaveOut = taken.flatMap(({ sowingId }) => (sowingId ? [{ sowingId, eventId: newId() }] : []));
    const { ground } = planner;
    planner.stop();
    const isTaken = await deeds.send({ ground, begin, leaveOut }, takenWords(begin.length, leaveOut.length));
    if (isTaken || deeds.stale) planner.clear();
    if (isTaken) left = new Set();
  }

  /** What mends what stands, as it was worked out. */
  async function mendBy(offer: Offer) {
    const { ground } = planner;
    if (offer.kind === 'begin')
      await deeds.send({ ground, begin: beginBodies(present, [offer.change], dayName) }, takenWords(1, 0));
    if (offer.kind === 'move') {
      const row = rows.find(({ sowingIds }) => sowingIds.includes(offer.sowingId))!;
      const day = dayIndex(horizon, facts.rhythm, row.beginsAt) + offer.days;
      const move = row.sowingIds.map((sowingId) => ({ sowingId, eventId: newId(), day: dayName(day) }));
      const lock = row.sowingIds.map((sowingId) => ({ sowingId, locked: true }));
      await deeds.send(
        { ground, move, lock },
        t('ahead.rownameBeginsNameStaysThere', { rowName: rowName(row), name: name(day) })
      );
    }
  }

  function propose() {
    left = new Set();
    planner.start(present);
  }

  const beginOrder = (row: Row, day: number) => {
    const order = data.ahead.orders.find(({ id }) => id === row.order!.id)!;
    const laid = ahead.drafts.find((draft) => draft.orderId === order.id && draft.day === row.order!.day);
    const body = laid?.planned && orderBody(present, order, partSeeds(laid.planned.setup), dayName(day));
    if (!body) return;
    return deeds.send(
      { begin: [body], orderDays: [{ orderId: order.id, day: row.order!.day, sowingId: body.ids.first }] },
      t('ahead.rownameOnList', { rowName: rowName(row) })
    );
  };
  const skipOrder = (row: Row) =>
    deeds.send(
      { orderDays: [{ orderId: row.order!.id, day: row.order!.day, sowingId: null }] },
      t('ahead.rownameLeftOutTime', { rowName: rowName(row) })
    );

  // What mends what stands is looked for anew when that changes, and never while a plan is looked for.
  let asked = '';
  let askedWith: AheadData | null = null;
  $effect(() => {
    if (!page.hydrated || planner.working || planner.proposal || !hungry) return;
    const now = present;
    // The same to the last bit need not be hashed to know so.
    if (planner.mends && now === askedWith) return;
    return afterPaint(() => {
      const ground = groundOf(now);
      const print = JSON.stringify(ground);
      const isKnown = print === asked && planner.mends;
      [asked, askedWith] = [print, now];
      if (isKnown) return;
      planner.mend(now, ground);
    });
  });
  /** The list stands open where the drawing has no room, and on paper. */
  let listed = $state(false);
  onMount(() => {
    listed = !matchMedia('(min-width: 48rem)').matches;
    const print = () => flushSync(() => (listed = true));
    addEventListener('beforeprint', print);
    return () => {
      removeEventListener('beforeprint', print);
      planner.stop();
    };
  });
</script>

<AheadTabs />
<header class="page-head">
  <div>
    <h1>{t('ahead.weeksAhead')}</h1>
    <p class="soft">
      {#if hungry}
        {t('ahead.greensOnFeddaysEatingdaysDays', {
          fedDays,
          eatingDays,
          when: planner.proposal ? 'yes' : 'no',
          when2: planner.proposal && left.size === 0 ? 'yes' : 'no'
        })}
      {:else}
        {t('ahead.nobodyHasSaidYetWhat')}
      {/if}
    </p>
  </div>
  <div class="row acts">
    <Button kind="tertiary" class="print" disabled={!page.hydrated} on:click={() => window.print()}
      >{t('ahead.print')}</Button
    >
    {#if hungry}
      <Button disabled={!page.hydrated || planner.working} on:click={propose}
        >{t('ahead.proposeEightWeeks')}</Button
      >
    {:else}
      <Button href="/ahead/appetite">{t('ahead.sayWhatYouEat')}</Button>
    {/if}
  </div>
</header>

{#if allRows.length > 0}
  <div class="narrow"><PhoneWeeks {horizon} rows={allRows} {days} {hungry} {locale} /></div>
{/if}

{#if deeds.said}<p class="said" role="status">{deeds.said}</p>{/if}
{#if deeds.wrong}
  <div class="warn" role="alert">
    <p>{deeds.wrong}</p>
    {#if deeds.stale && hungry}<Button kind="tertiary" class="chip" on:click={propose}
        >{t('ahead.proposeAgain')}</Button
      >{/if}
  </div>
{/if}

{#if planner.proposal || planner.working || planner.done}
  <ProposalPanel
    {planner}
    {lines}
    {drawnLines}
    {left}
    {seed}
    lacks={nothingWithout(ahead.input)}
    leastCrops={data.ahead.variety.leastCrops}
    {placeName}
    {name}
    firstWeekday={horizon.first.dayOfWeek}
    now={data.now}
    {locale}
    sending={deeds.sending}
    onleave={(key, is) => (left = new Set(is ? [...left, key] : [...left].filter((other) => other !== key)))}
    ontake={() => void take()}
  />
{/if}

{#if hungry && !planner.proposal}
  {#if above.gaps.length === 0 && above.gluts.length === 0}
    <p class="said">{t('ahead.everyDayHasWhatYou')}</p>
  {:else}
    <Mendings
      said={[
        ...above.gaps
          .slice(0, 2)
          .map((gap) => ({ from: gap.from, of: 'gap' as const, words: gapWords(gap, name, locale) })),
        ...above.gluts.slice(0, 2).map((glut) => ({
          from: glut.from,
          of: 'glut' as const,
          words: glutAheadWords(glut, name, locale)
        }))
      ]}
      mendings={above.mendings}
      {name}
      {locale}
      onmend={(offer) => void mendBy(offer)}
    />
  {/if}
{/if}

{#each above.overs as over (`${over.use.kind} ${over.use.id} ${over.from}`)}
  <p class="warn">{overWords(over, rowsOver(over), name)}</p>
{/each}
{#if allRows.length === 0}
  <p class="lead">
    {t('ahead.nothingUnderWayOrPlanned')}
    {#if hungry}{t('ahead.letBroteProposeEightWeeks')}{:else}{t('ahead.sayWhatYouEatBrote')}{/if}
    <a href="/sow">{t('ahead.beginSowing')}</a>.
  </p>
{:else}
  <div class="wide">
    <Timeline
      {horizon}
      rows={allRows}
      {days}
      places={data.ahead.household.places}
      {uses}
      dark={(use) => darkSharesOf(use, standing, horizon, facts.rhythm)}
      {away}
      chosen={chosenKey}
      {locale}
      onchoose={(key) => (chosenKey = key)}
      ondrag={(key, to) => (dragged = { key, to })}
      ondrop={(key, to) => void drop(key, to)}
      onescape={() => (dragged = null)}
    />
    <Legend />
  </div>
  {#if chosen}
    <ChosenRow
      row={chosen}
      {horizon}
      rhythm={facts.rhythm}
      sending={deeds.sending}
      where={whereWords(chosen, placeName)}
      places={data.ahead.household.places}
      onplace={(placeId) => void put(chosen!, { days: 0, placeId })}
      {locale}
      now={data.now}
      onmove={(byDays) => void put(chosen!, { days: byDays, placeId: null })}
      onlock={(locked) =>
        void deeds.send(
          { lock: chosen!.sowingIds.map((sowingId) => ({ sowingId, locked })) },
          locked ? t('ahead.staysAsWhateverProposed') : t('ahead.mayBeMovedAgain')
        )}
      onleaveout={() =>
        void deeds.send(
          { leaveOut: chosen!.sowingIds.map((sowingId) => ({ sowingId, eventId: newId() })) },
          t('ahead.rownameNotBegun', { rowName: rowName(chosen!) })
        )}
      onbegin={() => void beginOrder(chosen!, Math.max(0, dayIndex(fixed, facts.rhythm, chosen!.beginsAt)))}
      onskip={() => void skipOrder(chosen!)}
    />
  {/if}
  <details class="unfold list" bind:open={listed}>
    <summary><h2>{t('ahead.dayByDay')}</h2></summary>
    <!-- Eight weeks of lines that nobody looks at would be drawn anew with every plan that is found. -->
    {#if listed}
      <DayList suppers={horizon.supperAt} {days} {works} {away} {placeName} now={data.now} {locale} />
    {/if}
  </details>
{/if}
{#if hungry}
  <p class="small soft totals">
    {t('ahead.overTheseWeeksYouEat', {
      greensMass: greensMass(
        days.reduce((sum, { appetiteG }) => sum + appetiteG, 0),
        locale.units
      ),
      greensMass2: greensMass(
        days.reduce((sum, { thrownG }) => sum + thrownG, 0),
        locale.units
      ),
      name: name(0)
    })}
  </p>
{/if}

<style>
  .said,
  .warn {
    margin: 0.75rem 0;
  }
  .lead {
    margin-top: 1.5rem;
  }
  .list {
    max-width: 44rem;
    margin-top: 1.5rem;
  }
  .list h2 {
    display: inline;
    font-size: 1.2rem;
  }
  .totals {
    margin-top: 1rem;
  }
  @media (min-width: 48rem) {
    .narrow {
      display: none;
    }
  }
  /* A phone prints nothing, and has the chart before anything else. */
  @media (max-width: 47.99rem) {
    .wide,
    .acts :global(.print) {
      display: none;
    }
  }
  @media print {
    .wide,
    .narrow,
    .said,
    .acts {
      display: none;
    }
  }
</style>
