<script lang="ts">
  import { cropName as nameOfCrop } from '$words/cropNames.ts';
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
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
  const nameOf = (id: string): string => data.names[id] ?? t('notebook.putAway');
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
      name: t('notebook.warmth'),
      of: ({ facts: { came } }) => (came.warmthC === null ? '–' : temperature(came.warmthC, units))
    },
    { name: t('notebook.waterAll'), of: ({ facts: { came } }) => volume(came.waterG, units) },
    {
      name: t('notebook.daysWindow'),
      of: ({ facts: { came, lost } }) =>
        lost
          ? '–'
          : t('notebook.daysNobodyLooked', { days: days(came.openD), when: came.openSeen ? 'yes' : 'no' })
    },
    { name: t('notebook.daysFirstCut'), of: ({ facts: { came } }) => days(came.firstCutD) },
    { name: t('notebook.cut'), of: ({ facts: { came } }) => (came.cutG > 0 ? mass(came.cutG, units) : '–') },
    {
      name: t('notebook.perArea'),
      of: ({ facts: { came } }) => (came.gPerM2 === null ? '–' : yieldPerArea(came.gPerM2, units))
    },
    {
      name: t('notebook.gPerGSeed2'),
      of: ({ facts: { came } }) => (came.gPerGSeed === null ? '–' : figure(came.gPerGSeed))
    },
    { name: t('notebook.eaten'), of: ({ fate }) => (fate.eatenG > 0 ? mass(fate.eatenG, units) : '–') },
    { name: t('notebook.thrownOut'), of: ({ fate }) => (fate.thrownG > 0 ? mass(fate.thrownG, units) : '–') },
    {
      name: t('notebook.gCost'),
      of: ({ cost }) =>
        cost.per100G === null || cost.lines.length === 0
          ? '–'
          : t('notebook.moneyAtLeast', {
              money: money(cost.per100G, data.currency),
              when: cost.unknown.length > 0 ? 'yes' : 'no'
            })
    },
    { name: t('notebook.lost'), of: ({ facts: { lost } }) => (lost ? LOSS_WORDS[lost] : 'no') }
  ]);
</script>

<svelte:head><title>{t('notebook.sideBySideBrote')}</title></svelte:head>

<NotebookTabs />
<h1>{t('notebook.sideBySide')}</h1>
{#if data.stories.length < 2}
  <p class="lead">
    <Rich parts={rich('notebook.tickTwoOrMoreSowings')}
      >{#snippet link(text: string)}<a href="/notebook">{text}</a>{/snippet}</Rich
    >
  </p>
{:else}
  {#if data.left > 0}<p class="soft small" role="status">
      {t('notebook.eightStandBesideEachLeft', { left: data.left })}
    </p>{/if}
  <section class="said stack" aria-labelledby="said">
    <h2 id="said">{t('notebook.whatCanBeSaid')}</h2>
    {#each said as line (line)}<p>{line}</p>{/each}
    {#if verdict?.kind === 'two'}
      <CompareChart {verdict} names={[wayName(0), wayName(1)]} />
    {/if}
  </section>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
  <div class="scroll" role="region" aria-label={t('notebook.sowingsSideBySide')} tabindex="0">
    <table class="plain">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">{t('notebook.what')}</span></th>
          {#each facts as { id, cropName, startAt } (id)}
            <th scope="col"
              ><a href="/tray/{id}">{nameOfCrop(cropName)}</a><br /><span class="soft small"
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
              >{CHOSEN_WORDS[choice]}{#if differs.has(choice)}<span class="mark small"
                  >{t('notebook.differs')}</span
                >{/if}</th
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
