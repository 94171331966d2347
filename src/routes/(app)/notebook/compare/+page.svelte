<script lang="ts">
  import { differing, verdictOf, type Chosen } from '$core/notebook/compare.ts';
  import { figure, mass, temperature, volume, yieldPerArea } from '$core/units/format.ts';
  import CompareChart from '$ui/notebook/CompareChart.svelte';
  import NotebookTabs from '$ui/notebook/NotebookTabs.svelte';
  import { LOSS_WORDS } from '$words/events.ts';
  import { money } from '$words/money.ts';
  import { CHOSEN_WORDS, chosenWords, verdictWords, wayWords } from '$words/story.ts';
  import { shortDate } from '$words/time.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const locale = $derived(data.household);
  const { units } = $derived(locale);
  const facts = $derived(data.stories.map((story) => story.facts));
  const differs = $derived(new Set<Chosen>(facts.length > 1 ? differing(facts) : []));
  const verdict = $derived(facts.length > 1 ? verdictOf(facts) : null);
  const nameOf = (id: string): string => data.names[id] ?? 'put away';
  /** A way of growing, by what it differs in from the other. */
  const wayName = (way: 0 | 1): string => {
    if (verdict?.kind !== 'two') return '';
    return wayWords(verdict.ways[way].stories[0]!, verdict.differs, units, nameOf);
  };
  const said = $derived(verdict ? verdictWords(verdict, wayName, units) : []);
  const CHOSEN: readonly Chosen[] = [
    'crop',
    'container',
    'medium',
    'mediumId',
    'method',
    'place',
    'light',
    'density',
    'seedG',
    'soakH',
    'lotId'
  ];
  const shown = $derived(
    CHOSEN.filter((choice) => choice !== 'mediumId' || facts.some(({ chosen }) => chosen.mediumId !== null))
  );
  const days = (value: number | null): string =>
    value === null ? '–' : `${figure(Math.round(value * 10) / 10)}`;
  type Story = (typeof data.stories)[number];
  const came: { name: string; of: (story: Story) => string }[] = $derived([
    {
      name: 'Warmth',
      of: ({ facts: { came } }) => (came.warmthC === null ? '–' : temperature(came.warmthC, units))
    },
    { name: 'Water in all', of: ({ facts: { came } }) => volume(came.waterG, units) },
    {
      name: 'Days to the window',
      of: ({ facts: { came, lost } }) =>
        lost ? '–' : `${days(came.openD)}${came.openSeen ? '' : ' (nobody looked)'}`
    },
    { name: 'Days to the first cut', of: ({ facts: { came } }) => days(came.firstCutD) },
    { name: 'Cut', of: ({ facts: { came } }) => (came.cutG > 0 ? mass(came.cutG, units) : '–') },
    {
      name: 'Per area',
      of: ({ facts: { came } }) => (came.gPerM2 === null ? '–' : yieldPerArea(came.gPerM2, units))
    },
    {
      name: 'g per g of seed',
      of: ({ facts: { came } }) => (came.gPerGSeed === null ? '–' : figure(came.gPerGSeed))
    },
    { name: 'Eaten', of: ({ fate }) => (fate.eatenG > 0 ? mass(fate.eatenG, units) : '–') },
    { name: 'Thrown out', of: ({ fate }) => (fate.thrownG > 0 ? mass(fate.thrownG, units) : '–') },
    {
      name: '100 g cost',
      of: ({ cost }) =>
        cost.per100G === null || cost.lines.length === 0
          ? '–'
          : `${money(cost.per100G, data.currency)}${cost.unknown.length > 0 ? ' at least' : ''}`
    },
    { name: 'Lost', of: ({ facts: { lost } }) => (lost ? LOSS_WORDS[lost] : 'no') }
  ]);
</script>

<svelte:head><title>Side by side · Brote</title></svelte:head>

<NotebookTabs />
<h1>Side by side</h1>
{#if data.stories.length < 2}
  <p class="lead">
    Tick two or more sowings in the <a href="/notebook">notebook</a> and set them side by side: a lamp against a
    sill, a mat against a mix, more seed against less.
  </p>
{:else}
  {#if data.left > 0}<p class="soft small" role="status">
      Eight stand beside each other; {data.left} more were left out.
    </p>{/if}
  <section class="said stack" aria-labelledby="said">
    <h2 id="said">What can be said</h2>
    {#each said as line (line)}<p>{line}</p>{/each}
    {#if verdict?.kind === 'two'}
      <CompareChart {verdict} names={[wayName(0), wayName(1)]} />
    {/if}
  </section>
  <div class="scroll" role="region" aria-label="Sowings side by side" tabindex="-1">
    <table class="plain">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">What</span></th>
          {#each facts as { id, cropName, startAt } (id)}
            <th scope="col"
              ><a href="/tray/{id}">{cropName}</a><br /><span class="soft small"
                >{shortDate(startAt, locale)}</span
              ></th
            >
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each shown as choice (choice)}
          <tr class:differs={differs.has(choice)}>
            <th scope="row"
              >{CHOSEN_WORDS[choice]}{#if differs.has(choice)}<span class="mark small">differs</span>{/if}</th
            >
            {#each facts as story (story.id)}<td>{chosenWords(story, choice, units, nameOf)}</td>{/each}
          </tr>
        {/each}
        {#each came as { name, of } (name)}
          <tr class="came"
            ><th scope="row">{name}</th>{#each data.stories as story (story.facts.id)}<td>{of(story)}</td
              >{/each}</tr
          >
        {/each}
      </tbody>
    </table>
  </div>
{/if}

<style>
  .lead {
    margin-top: 1rem;
    max-width: 36rem;
  }
  .said {
    margin: 1rem 0 1.5rem;
    max-width: 46rem;
  }
  .scroll {
    overflow-x: auto;
  }
  thead a {
    font-weight: 600;
  }
  tbody th {
    color: var(--ink-soft);
    white-space: nowrap;
  }
  .differs td {
    font-weight: 620;
  }
  .differs {
    background: var(--beet-soft);
  }
  @media (max-width: 47.99rem) {
    /* The columns are what is compared: their names give way. */
    tbody th {
      white-space: normal;
    }
  }
  .mark {
    margin-left: 0.6rem;
    color: var(--beet);
    font-weight: 620;
  }
</style>
