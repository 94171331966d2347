<script lang="ts">
  import { methodName } from '$words/methods.ts';
  import { t } from '$messages/t.ts';
  import { untrack } from 'svelte';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { v4 as newId } from 'uuid';
  import {
    aheadOf,
    choiceOfOrder,
    growableOf,
    type AheadData,
    type OrderData
  } from '$core/ahead/household.ts';
  import { AGE_BOUNDS, READY, type CutAim } from '$core/ahead/cutting.ts';
  import type { OrderDraft, Rule } from '$core/ahead/standingOrder.ts';
  import { ofSize } from '$core/supplies/containers/sizes.ts';
  import { MEDIA, type MediumKind } from '$core/supplies/media/medium.ts';
  import { readNumber } from '$core/units/parseQuantity.ts';
  import { resolve } from '$core/choice/resolve.ts';
  import { fieldWords } from '$words/problems.ts';
  import type { Crop } from '$core/crops/crop.ts';
  import { seedOfCrop } from '$core/choice/choiceData.ts';
  import type { Units } from '$core/units/format.ts';
  import type { ApiProblem } from '$contract/api.ts';
  import { ask } from '$ui/state/ask.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import CropParts from '$ui/sow/CropParts.svelte';
  import { draftOf, seedOfDraft } from '$ui/ahead/orderSeed.ts';
  import type { SeedDraft } from '$ui/sow/draft.ts';
  import { draftWords, MOVED_WORDS, NONE_WORDS, shortWeekdays, weekdayName } from '$words/ahead.ts';
  import { MEDIUM_IN_TEXT, MEDIUM_WORDS } from '$words/media.ts';
  import { isoDay, shortDate, type Locale } from '$words/time.ts';

  /** A standing order, new or to be changed, with what it would lay. */
  interface Props {
    data: AheadData;
    crops: readonly Crop[];
    units: Units;
    order: OrderData | null;
    locale: Locale;
    onsaved: () => void;
  }
  let { data, crops, units, order, locale, onsaved }: Props = $props();
  const journal = useJournal();

  const id = untrack(() => order?.id ?? newId());
  let seed = $state<SeedDraft>(
    untrack(() => draftOf(order ?? seedOfCrop(data.latest[0]?.cropKey ?? crops[0]!.key)))
  );
  const seedData = $derived(seedOfDraft(seed));
  let containerId = $state(
    untrack(
      () => (order ? ofSize(order.container, data.containers)?.id : undefined) ?? data.containers[0]?.id ?? ''
    )
  );
  let countTyped = $state(untrack(() => String(order?.count ?? 1)));
  const count = $derived(readNumber(countTyped) ?? NaN);
  let placeId = $state(
    untrack(
      () =>
        order?.placeId ??
        data.household.places.find(({ light }) => light.kind !== 'dark')?.id ??
        data.household.places[0]?.id ??
        ''
    )
  );
  const usual = $derived(growableOf(seedData, data));
  let medium = $state<string>(untrack(() => order?.mediumId ?? order?.medium ?? ''));
  let methodKey = $state(untrack(() => order?.methodKey ?? ''));
  let kind = $state<Rule['kind']>(untrack(() => order?.rule.kind ?? 'every'));
  let everyTyped = $state(untrack(() => String(order?.rule.kind === 'every' ? order.rule.days : 7)));
  const every = $derived(readNumber(everyTyped) ?? NaN);
  let weekdays = $state<number[]>(
    untrack(() => (order?.rule.kind === 'weekdays' ? [...order.rule.weekdays] : []))
  );
  const aimBefore = untrack(() => (order?.rule.kind === 'weekdays' ? order.rule.aim : undefined) ?? READY);
  let aimKind = $state<CutAim['kind']>(aimBefore.kind);
  let ageTyped = $state(aimBefore.kind === 'age' ? String(aimBefore.days) : '');
  const age = $derived(readNumber(ageTyped) ?? NaN);
  const isAge = (days: number): boolean =>
    Number.isInteger(days) && days >= AGE_BOUNDS[0] && days <= AGE_BOUNDS[1];
  const aim = $derived<CutAim>(aimKind === 'age' ? { kind: aimKind, days: age } : { kind: aimKind });
  /** What the server answered, by field. */
  let told = $state<Record<string, string>>({});
  let failed = $state('');
  let sending = $state(false);

  const own = $derived(data.media.find((one) => one.id === medium));
  const rule = $derived<Rule>(
    kind === 'every' ? { kind, days: every } : kind === 'weekdays' ? { kind, weekdays, aim } : { kind }
  );
  const container = $derived(data.containers.find((one) => one.id === containerId));
  const made = $derived<OrderData | null>(
    container && placeId
      ? {
          id,
          ...seedData,
          container,
          count,
          medium: own?.kind ?? ((medium || (usual?.medium ?? 'coir')) as MediumKind),
          mediumId: own?.id ?? (medium === '' ? (usual?.mediumId ?? null) : null),
          methodKey: methodKey || (usual?.method.key ?? data.household.methodKey),
          placeId,
          ownSeedG: order?.ownSeedG ?? null,
          rule,
          fromDay: order?.fromDay ?? isoDay(data.now, locale.zone),
          done: order?.done ?? []
        }
      : null
  );
  const resolved = $derived(made && resolve(choiceOfOrder(made), data));
  let tried = $state(false);
  /** What is wrong with the choice: what is still empty is said once the order is to be saved. */
  const found = $derived(
    resolved?.ok === false
      ? fieldWords(resolved.problems.filter(({ problem }) => tried || problem.code !== 'no-crop'))
      : {}
  );
  const wrong = $derived<Record<string, string>>({ ...found, ...told });
  const laid = $derived<OrderDraft[]>(
    made &&
      resolved?.ok &&
      page.hydrated &&
      (kind !== 'every' || (Number.isInteger(every) && every > 0)) &&
      (kind !== 'weekdays' || (weekdays.length > 0 && (aimKind !== 'age' || isAge(age))))
      ? aheadOf({ ...data, orders: [...data.orders.filter((one) => one.id !== id), made] }).drafts.filter(
          ({ orderId }) => orderId === id
        )
      : []
  );
  const MOST = 5;

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    [tried, told, failed] = [true, {}, ''];
    if (!made || !resolved?.ok) return;
    sending = true;
    const { container: _, done: __, ...plain } = made;
    const answer = await ask('/api/ahead/orders', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...plain, containerId })
    });
    sending = false;
    if (!answer || answer.status >= 500) failed = t('ahead.noAnswerFromBroteWhat');
    else if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) onsaved();
    else {
      const problem = (await answer.json()) as ApiProblem;
      told = problem.fields ?? {};
      // What is about a field stands there.
      failed = problem.fields ? '' : problem.message;
    }
  }
</script>

<form onsubmit={keep} novalidate>
  <div class="seed">
    <CropParts
      bind:draft={seed}
      again
      {crops}
      lots={data.lots}
      {units}
      today={isoDay(data.now, locale.zone)}
      {wrong}
    />
    {#if wrong.parts}<p class="warn">{wrong.parts}</p>{/if}
  </div>
  <div class="fields">
    <Select
      labelText={t('ahead.container')}
      bind:selected={containerId}
      invalid={!!wrong.containerId}
      invalidText={wrong.containerId}
    >
      {#each data.containers as one (one.id)}<SelectItem value={one.id} text={one.name} />{/each}
    </Select>
    <TextInput
      labelText={t('ahead.howMany')}
      bind:value={countTyped}
      inputmode="numeric"
      autocomplete="off"
      invalid={!!wrong.count}
      invalidText={wrong.count}
    />
    <Select
      labelText={t('ahead.place')}
      bind:selected={placeId}
      invalid={!!wrong.placeId}
      invalidText={wrong.placeId}
    >
      {#each data.household.places as place (place.id)}<SelectItem
          value={place.id}
          text={place.name}
        />{/each}
    </Select>
  </div>
  <Choice
    legend={t('ahead.whenComesAgain')}
    name="rule"
    options={[
      { value: 'every', text: t('ahead.everyFewDays') },
      { value: 'weekdays', text: t('ahead.cutOnDaysWeek') },
      { value: 'keep', text: t('ahead.alwaysOneGoing2') }
    ]}
    bind:value={kind}
  />
  {#if kind === 'every'}
    <div class="narrow">
      <TextInput
        labelText={t('ahead.everyHowManyDays')}
        bind:value={everyTyped}
        inputmode="numeric"
        autocomplete="off"
        invalid={!!wrong['rule.days']}
        invalidText={wrong['rule.days']}
      />
    </div>
  {:else if kind === 'weekdays'}
    <div class="row" role="group" aria-label={t('ahead.cutOn')}>
      {#each shortWeekdays() as words, n (words)}
        <button
          class="chip"
          type="button"
          aria-label={weekdayName(n + 1)}
          aria-pressed={weekdays.includes(n + 1)}
          onclick={() =>
            (weekdays = weekdays.includes(n + 1)
              ? weekdays.filter((day) => day !== n + 1)
              : [...weekdays, n + 1].toSorted())}>{words}</button
        >
      {/each}
    </div>
    {#if wrong['rule.weekdays']}<p class="warn">{wrong['rule.weekdays']}</p>{/if}
    <Choice
      legend={t('ahead.howShouldBeByThen')}
      name="aim"
      options={[
        { value: 'ready', text: t('ahead.readyByThen') },
        { value: 'best', text: t('ahead.atBestThen') },
        { value: 'age', text: t('ahead.notBeforeDay') }
      ]}
      bind:value={aimKind}
    />
    {#if aimKind === 'age'}
      <div class="narrow">
        <TextInput
          labelText={t('ahead.daysAfterSowingAtLeast')}
          bind:value={ageTyped}
          inputmode="numeric"
          autocomplete="off"
          invalid={!!wrong['rule.aim.days']}
          invalidText={wrong['rule.aim.days']}
        />
      </div>
    {/if}
  {/if}
  <details class="unfold">
    <summary>{t('ahead.mediumMethod')}</summary>
    <div class="fields">
      <Select labelText={t('ahead.medium')} bind:selected={medium}>
        <SelectItem
          value=""
          text={t('ahead.asUsualMedium', {
            when: usual ? 'yes' : 'no',
            medium: usual ? MEDIUM_IN_TEXT[usual.medium] : ''
          })}
        />
        {#each MEDIA as one (one)}<SelectItem value={one} text={MEDIUM_WORDS[one]} />{/each}
        {#each data.media as one (one.id)}<SelectItem value={one.id} text={one.name} />{/each}
      </Select>
      <Select labelText={t('ahead.method')} bind:selected={methodKey}>
        <SelectItem
          value=""
          text={t('ahead.asUsualName', {
            when: usual ? 'yes' : 'no',
            name: usual ? methodName(usual.method) : ''
          })}
        />
        {#each data.methods as one (one.key)}<SelectItem value={one.key} text={methodName(one)} />{/each}
      </Select>
    </div>
  </details>
  {#if laid.length > 0}
    <div class="laid">
      <p class="small soft">{t('ahead.whatLays')}</p>
      <ul>
        {#each laid.slice(0, MOST) as { day, beginsAt, planned, cutAt, moved } (day)}
          <li>
            {#if planned && beginsAt !== null}
              {draftWords(planned, { beginsAt, cutAt }, data.now, locale)}{#if moved}<span class="soft small"
                  >, {MOVED_WORDS[moved]}</span
                >{/if}
            {:else}
              <span class="soft"
                >{t('ahead.noneOnShortdateValue', {
                  when: rule.kind === 'weekdays' ? 'yes' : 'no',
                  shortDate: shortDate(Date.parse(`${day}T12:00Z`), locale),
                  value: moved ? NONE_WORDS[moved] : t('ahead.impossible')
                })}</span
              >
            {/if}
          </li>
        {/each}
      </ul>
    </div>
  {:else if resolved?.ok && (kind !== 'weekdays' || (weekdays.length > 0 && (aimKind !== 'age' || isAge(age))))}
    <p class="small soft">
      {t('ahead.laysNothingWithinEightWeeks')}
    </p>
  {/if}
  {#if failed}<p class="warn" role="alert">{failed}</p>{/if}
  <Button type="submit" disabled={!page.hydrated || sending || !made}>{t('ahead.keepOrder')}</Button>
</form>

<style>
  form {
    display: grid;
    gap: 1rem;
    max-width: 46rem;
    justify-items: start;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
    gap: 1rem;
    width: 100%;
  }
  .seed {
    display: grid;
    gap: 1rem;
    width: 100%;
  }
  .narrow {
    width: 12rem;
  }
  .laid ul {
    margin: 0.25rem 0 0;
    padding-left: 1.2rem;
    list-style: disc;
  }
  .laid p {
    margin: 0;
  }
</style>
