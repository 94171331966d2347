<script lang="ts">
  import { cropName } from '$words/cropNames.ts';
  import { percent } from '$words/percent.ts';
  import { t } from '$messages/t.ts';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { v4 as newId } from 'uuid';
  import {
    PORTIONS,
    sharedOut,
    usualAppetiteG,
    type Eater,
    type PortionSize,
    type Taste
  } from '$core/ahead/appetite.ts';
  import { greensMass } from '$core/units/format.ts';
  import { parseQuantity } from '$core/units/parseQuantity.ts';
  import type { ApiProblem } from '$contract/api.ts';
  import AheadTabs from '$ui/ahead/AheadTabs.svelte';
  import { ask } from '$ui/state/ask.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';
  import { PORTION_WORDS, shortWeekdays, weekdayName } from '$words/ahead.ts';
  import { problemWords } from '$words/problems.ts';
  import { LEAST_CROPS, MOST_IN_ROW } from '$words/variety.ts';
  import type { Variety } from '$core/ahead/variety.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const journal = useJournal();
  const locale = $derived(data.household);
  const unit = $derived(locale.units === 'us' ? 'oz' : 'g');

  const DAYS = [1, 2, 3, 4, 5, 6, 7] as const;
  interface Typed {
    id: string;
    name: string;
    /** As typed, Monday to Sunday. */
    grams: string[];
    liked: string[];
    disliked: string[];
  }
  const shown = (g: number): string =>
    greensMass(
      g,
      untrack(() => locale.units)
    );
  const typedOf = ({ id, name, gByWeekday, liked = [], disliked = [] }: Eater): Typed => ({
    id,
    name,
    grams: gByWeekday.map(shown),
    liked: [...liked],
    disliked: [...disliked]
  });
  const nobodyYet = (name: string): Typed => ({
    id: newId(),
    name,
    grams: Array.from({ length: 7 }, () => ''),
    liked: [],
    disliked: []
  });
  let eaters = $state<Typed[]>(
    untrack(() => (data.eaters.length > 0 ? data.eaters.map(typedOf) : [nobodyYet(t('ahead.allUs'))]))
  );
  let tastes = $state<Record<string, Taste>>(
    untrack(() => Object.fromEntries(data.tastes.map((taste) => [taste.cropKey, { ...taste }])))
  );
  let variety = $state<Variety>(untrack(() => ({ ...data.variety })));
  let daysOff = $state<number[]>(untrack(() => [...data.daysOff]));
  let wrong = $state<Record<string, string>>({});
  let failed = $state('');
  /** Whether so much was given that it is asked back. */
  let asksBack = $state(false);
  let sending = $state(false);
  let more = $state(false);

  const read = (typed: string): number => {
    if (typed.trim() === '') return 0;
    const parsed = parseQuantity(typed, 'mass', unit);
    return parsed.ok ? parsed.value : NaN;
  };
  const sumG = (typed: Typed): number => typed.grams.reduce((sum, one) => sum + (read(one) || 0), 0);
  const all = $derived(eaters.reduce((sum, typed) => sum + sumG(typed), 0) / 7);

  const crops = $derived(
    data.crops.filter(({ key }) => more || data.inCupboard.includes(key) || tastes[key] !== undefined)
  );
  const tasteOf = (key: string): Taste =>
    tastes[key] ?? { cropKey: key, taste: 'usual', leastShare: null, mostShare: null };
  function feel(key: string, taste: Taste['taste']) {
    tastes[key] = { ...tasteOf(key), taste };
  }
  /** One person's own chip is turned on or off; nobody both likes a crop and does not eat it. */
  function toggle(typed: Typed, of: 'liked' | 'disliked', key: string) {
    const on = !typed[of].includes(key);
    const other = of === 'liked' ? 'disliked' : 'liked';
    typed[of] = on ? [...typed[of], key] : typed[of].filter((one) => one !== key);
    if (on) typed[other] = typed[other].filter((one) => one !== key);
  }
  const wished = (event: Event): number | null => Number((event.target as HTMLSelectElement).value) || null;
  const SHARES = [0, 0.1, 0.2, 0.3, 0.5, 0.7, 1] as const;
  const SHARE_WORDS = {
    leastShare: { label: t('ahead.atLeastWeek'), none: t('ahead.noWish') },
    mostShare: { label: t('ahead.atMostWeek'), none: t('ahead.most.half') }
  } as const;
  const wish = (key: string, of: keyof typeof SHARE_WORDS, chosen: string) =>
    (tastes[key] = { ...tasteOf(key), [of]: chosen === '' ? null : Number(chosen) });

  function every(typed: Typed, g: number) {
    typed.grams = typed.grams.map(() => shown(g));
  }

  /** What was eaten in truth, in place of what was said: shared among all as they said it themselves. */
  function useEaten(byWeekday: readonly number[]) {
    const said = eaters.map(({ id, name, grams, liked, disliked }) => ({
      id,
      name,
      liked,
      disliked,
      gByWeekday: grams.map((one) => read(one) || 0)
    }));
    eaters = sharedOut(said, byWeekday).map(typedOf);
  }

  async function save(event: SubmitEvent | null, sure = false) {
    event?.preventDefault();
    [wrong, failed, asksBack] = [{}, '', false];
    for (const [n, { grams }] of eaters.entries())
      for (const [day, typed] of grams.entries()) {
        const parsed = typed.trim() === '' ? null : parseQuantity(typed, 'mass', unit);
        if (parsed && !parsed.ok) wrong[`eaters.${n}.gByWeekday.${day}`] = problemWords(parsed.problem);
      }
    if (Object.keys(wrong).length > 0) return;
    sending = true;
    const answer = await ask('/api/ahead/appetite', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        eaters: eaters.map(({ id, name, grams, liked, disliked }) => ({
          id,
          name,
          gByWeekday: grams.map(read),
          liked,
          disliked
        })),
        tastes: Object.values(tastes).filter(
          ({ taste, leastShare, mostShare }) => taste !== 'usual' || leastShare !== null || mostShare !== null
        ),
        variety,
        daysOff,
        sure
      })
    });
    sending = false;
    if (!answer || answer.status >= 500) failed = t('ahead.noAnswerFromBroteWhat2');
    else if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) await goto('/ahead', { invalidateAll: true });
    else {
      const problem = (await answer.json()) as ApiProblem;
      wrong = problem.fields ?? {};
      failed = problem.message;
      asksBack = problem.code === 'implausible';
    }
  }
</script>

{#snippet share(key: string, of: keyof typeof SHARE_WORDS, chosen: number | null)}
  <Select
    size="sm"
    labelText={SHARE_WORDS[of].label}
    selected={chosen === null ? '' : String(chosen)}
    on:change={(event) => wish(key, of, (event.target as HTMLSelectElement).value)}
  >
    <SelectItem value="" text={SHARE_WORDS[of].none} />
    {#each SHARES as one (one)}{#if one > 0}<SelectItem value={String(one)} text={percent(one)} />{/if}{/each}
  </Select>
{/snippet}

<svelte:head><title>{t('ahead.whatYouEatBrote')}</title></svelte:head>

<AheadTabs />
<h1>{t('ahead.whatYouEat2')}</h1>
<p class="soft">
  {t('ahead.brotePlansSoThereAs')}
  {#if data.eaten !== null}
    {t('ahead.byWhatWasTakenOut', {
      greensMass: greensMass(usualAppetiteG([{ id: '', name: '', gByWeekday: data.eaten }]), locale.units),
      weekdayName: weekdayName(data.eaten.indexOf(Math.max(...data.eaten)) + 1)
    })}
    <Button kind="ghost" class="chip quiet" on:click={() => useEaten(data.eaten!)}>{t('ahead.use')}</Button>
  {/if}
</p>

<form onsubmit={save} novalidate>
  {#each eaters as typed, n (typed.id)}
    <fieldset>
      <legend class="visually-hidden">{typed.name || t('ahead.somebody')}</legend>
      <div class="who">
        <TextInput
          labelText={t('ahead.who')}
          bind:value={typed.name}
          invalid={!!wrong[`eaters.${n}.name`]}
          invalidText={wrong[`eaters.${n}.name`]}
        />
        {#if eaters.length > 1}
          <Button
            kind="ghost"
            class="chip quiet"
            on:click={() => (eaters = eaters.filter((one) => one.id !== typed.id))}
            >{t('ahead.takeNameOff', { name: typed.name || t('ahead.somebody') })}</Button
          >
        {/if}
      </div>
      <div class="row" role="group" aria-label={t('ahead.everyDayName', { name: typed.name })}>
        {#each Object.entries(PORTIONS) as [portion, g] (portion)}
          <Button kind="tertiary" class="chip" on:click={() => every(typed, g)}
            >{PORTION_WORDS[portion as PortionSize]} · {greensMass(g, locale.units)}</Button
          >
        {/each}
      </div>
      <div class="week">
        {#each DAYS as day (day)}
          <TextInput
            labelText={shortWeekdays()[day - 1]}
            bind:value={typed.grams[day - 1]}
            inputmode="decimal"
            autocomplete="off"
            placeholder="0 {unit}"
            invalid={!!wrong[`eaters.${n}.gByWeekday.${day - 1}`]}
            invalidText={wrong[`eaters.${n}.gByWeekday.${day - 1}`]}
          />
        {/each}
      </div>
    </fieldset>
  {/each}
  <div class="row">
    <Button kind="tertiary" class="chip" on:click={() => (eaters = [...eaters, nobodyYet('')])}
      >{t('ahead.somebodyElseEatsToo')}</Button
    >
    <span class="soft"
      >{t('ahead.togetherAboutGreensmassDay', { greensMass: greensMass(all, locale.units) })}</span
    >
  </div>

  <section>
    <h2>{t('ahead.likedNot')}</h2>
    <p class="soft small">
      {t('ahead.plansKeepEachCropHalf')}
    </p>
    <ul>
      {#each crops as { key, name } (key)}
        {@const { taste, leastShare, mostShare } = tasteOf(key)}
        <li>
          <span>{cropName(name)}</span>
          <div class="row" role="group" aria-label={cropName(name)}>
            <button
              class="chip"
              type="button"
              aria-pressed={taste === 'liked'}
              onclick={() => feel(key, taste === 'liked' ? 'usual' : 'liked')}>{t('ahead.liked')}</button
            >
            <button
              class="chip"
              type="button"
              aria-pressed={taste === 'disliked'}
              onclick={() => feel(key, taste === 'disliked' ? 'usual' : 'disliked')}
              >{t('ahead.never')}</button
            >
            {#if taste === 'liked'}
              {@render share(key, 'leastShare', leastShare)}
              {@render share(key, 'mostShare', mostShare)}
            {/if}
          </div>
        </li>
      {/each}
    </ul>
    {#if !more}<Button kind="ghost" class="chip quiet" on:click={() => (more = true)}
        >{t('ahead.allCropsLibrary')}</Button
      >{/if}
  </section>

  {#if eaters.length > 1}
    <section>
      <h2>{t('ahead.favouritesByPerson')}</h2>
      <p class="small soft">
        {t('ahead.plansFavourWhatMoreYou')}
      </p>
      {#each eaters as typed (typed.id)}
        <details class="unfold">
          <summary
            >{typed.name || t('ahead.somebody')}{typed.liked.length + typed.disliked.length > 0
              ? ` (${typed.liked.length + typed.disliked.length})`
              : ''}</summary
          >
          <ul>
            {#each crops as { key, name } (key)}
              <li>
                <span>{cropName(name)}</span>
                <div class="row" role="group" aria-label="{cropName(name)}, {typed.name}">
                  <button
                    class="chip"
                    type="button"
                    aria-pressed={typed.liked.includes(key)}
                    onclick={() => toggle(typed, 'liked', key)}>{t('ahead.favourite')}</button
                  >
                  <button
                    class="chip"
                    type="button"
                    aria-pressed={typed.disliked.includes(key)}
                    onclick={() => toggle(typed, 'disliked', key)}>{t('ahead.doesntEat')}</button
                  >
                </div>
              </li>
            {/each}
          </ul>
        </details>
      {/each}
    </section>
  {/if}

  <section>
    <h2>{t('ahead.variety')}</h2>
    <p class="small soft">{t('ahead.proposalSaysWhatCosts')}</p>
    <div class="wishes">
      <Select
        labelText={t('ahead.cropsEveryWeek')}
        selected={String(variety.leastCrops ?? '')}
        on:change={(event) => (variety.leastCrops = wished(event))}
      >
        <SelectItem value="" text={t('ahead.noWish')} />
        {#each LEAST_CROPS as { value, text } (value)}<SelectItem value={String(value)} {text} />{/each}
      </Select>
      <Select
        labelText={t('ahead.sameCropSown')}
        selected={String(variety.mostInRow ?? '')}
        on:change={(event) => (variety.mostInRow = wished(event))}
      >
        <SelectItem value="" text={t('ahead.asOftenAsSuits')} />
        {#each MOST_IN_ROW as { value, text } (value)}<SelectItem value={String(value)} {text} />{/each}
      </Select>
    </div>
  </section>

  <section>
    <h2>{t('ahead.daysWithoutTime')}</h2>
    <p class="soft small">
      {t('ahead.nothingProposedBeSoakedOr')}
    </p>
    <div class="row" role="group" aria-label={t('ahead.daysWithoutTime')}>
      {#each DAYS as day (day)}
        <button
          class="chip"
          type="button"
          aria-pressed={daysOff.includes(day)}
          onclick={() =>
            (daysOff = daysOff.includes(day) ? daysOff.filter((one) => one !== day) : [...daysOff, day])}
          >{weekdayName(day)}</button
        >
      {/each}
    </div>
  </section>

  {#if failed}
    <div class="warn" role="alert">
      <p>{failed}</p>
      {#if asksBack}
        <Button kind="tertiary" class="chip" on:click={() => void save(null, true)}
          >{t('ahead.saveAs')}</Button
        >
      {/if}
    </div>
  {/if}
  <Button type="submit" disabled={!page.hydrated || sending}>{t('ahead.save')}</Button>
</form>

<style>
  form {
    display: grid;
    gap: 1rem;
    max-width: 52rem;
  }
  fieldset {
    border: 1px solid var(--ink-faint);
    border-radius: 8px;
    padding: 0.9rem 1rem;
    display: grid;
    gap: 0.75rem;
  }
  .who {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: end;
    max-width: 30rem;
  }
  .week {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(5rem, 1fr));
    gap: 0.5rem;
  }
  .wishes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(12rem, 16rem));
    gap: 1rem;
  }
  ul {
    list-style: none;
    padding: 0;
    margin: 0 0 0.5rem;
  }
  li {
    display: grid;
    grid-template-columns: minmax(8rem, 14rem) minmax(0, 1fr);
    align-items: center;
    gap: 0.5rem;
    padding: 0.25rem 0;
    border-top: 1px solid var(--ink-faint);
  }
  @media (max-width: 47.99rem) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
