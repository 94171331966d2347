<script lang="ts">
  import { cropName as nameOfCrop } from '$words/cropNames.ts';
  import { t } from '$messages/t.ts';
  import {
    Button,
    Checkbox,
    Search,
    Select,
    SelectItem,
    Table,
    TableBody,
    TableCell,
    TableHead,
    TableHeader,
    TableRow
  } from 'carbon-components-svelte';
  import { findCrop } from '$core/crops/library.ts';
  import { cropOfSowing } from '$core/sowing/sowing.ts';
  import { MEDIA } from '$core/supplies/media/medium.ts';
  import { READY_METHODS } from '$core/supplies/methods/ready.ts';
  import { NOTEBOOK_COLUMNS, notebookAddress, OUTCOMES, type NotebookColumn } from '$contract/notebook.ts';
  import NotebookTabs from '$ui/notebook/NotebookTabs.svelte';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import { cellWords, COLUMN_WORDS, isFigure, OUTCOME_WORDS } from '$words/notebook.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const { query, facets } = $derived(data);
  const locale = $derived(data.household);
  const own = $derived(new Map(data.ownCrops.map((crop) => [crop.key, crop])));
  const nameOf = (row: (typeof data.rows)[number]): string => nameOfCrop(cropOfSowing(row, own).name);
  const cropName = (key: string): string => nameOfCrop(findCrop(key, data.ownCrops)?.name ?? key);
  const methodName = (key: string): string => READY_METHODS.find((method) => method.key === key)?.name ?? key;
  const pages = $derived(Math.max(1, Math.ceil(data.total / data.pageSize)));
  const searches = $derived(
    query.text !== '' ||
      [query.crop, query.place, query.lot, query.medium, query.method, query.outcome].some(Boolean)
  );
  const columns = $derived<readonly NotebookColumn[]>(
    query.columns.includes('crop') ? query.columns : ['crop', ...query.columns]
  );
  let picked = $state<string[]>([]);

  const direction = (column: NotebookColumn) =>
    query.sort !== column ? 'none' : query.descending ? 'descending' : 'ascending';
  const csv = $derived(notebookAddress(query, { page: 1 }, '/notebook.csv'));
</script>

<svelte:head><title>{t('notebook.notebookBrote')}</title></svelte:head>

<NotebookTabs />
<header class="page-head">
  <div>
    <h1>{t('notebook.notebook')}</h1>
    <p class="soft" role="status">
      {t('notebook.oneSowingSowings', { total: data.total })}{searches ? ' found' : ''}
    </p>
  </div>
  {#if data.total > 0}<a class="bx--btn bx--btn--ghost" href={csv} download>{t('notebook.asCsv')}</a>{/if}
</header>

<form method="GET" action="/notebook" class="find" role="search" aria-label={t('notebook.findSowings')}>
  <Search
    name="text"
    labelText={t('notebook.cropPlaceNote')}
    placeholder={t('notebook.cropPlaceNote')}
    value={query.text}
    size="lg"
  />
  <Select name="crop" labelText={t('notebook.crop')} selected={query.crop ?? ''}>
    <SelectItem value="" text={t('notebook.anyCrop')} />
    {#each facets.crops.toSorted((a, b) => cropName(a).localeCompare(cropName(b))) as key (key)}<SelectItem
        value={key}
        text={cropName(key)}
      />{/each}
  </Select>
  <Select name="outcome" labelText={t('notebook.outcome')} selected={query.outcome ?? ''}>
    <SelectItem value="" text={t('notebook.anyOutcome')} />
    {#each OUTCOMES as outcome (outcome)}<SelectItem value={outcome} text={OUTCOME_WORDS[outcome]} />{/each}
  </Select>
  <Select name="place" labelText={t('notebook.place')} selected={query.place ?? ''}>
    <SelectItem value="" text={t('notebook.anyPlace')} />
    {#each facets.places as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
  </Select>
  <div class="row">
    <Button type="submit" size="field">{t('notebook.find')}</Button>
    {#if searches}<a class="chip" href="/notebook">{t('notebook.allThem')}</a>{/if}
  </div>
  <details class="unfold wide" open={query.lot !== null || query.medium !== null || query.method !== null}>
    <summary>{t('notebook.mediumMethodLotColumns')}</summary>
    <div class="more">
      <Select name="medium" labelText={t('notebook.medium')} selected={query.medium ?? ''}>
        <SelectItem value="" text={t('notebook.anyMedium')} />
        {#each facets.media as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
        {#each MEDIA as kind (kind)}<SelectItem value={kind} text={MEDIUM_WORDS[kind]} />{/each}
      </Select>
      <Select name="method" labelText={t('notebook.method')} selected={query.method ?? ''}>
        <SelectItem value="" text={t('notebook.anyMethod')} />
        {#each [...facets.methods, ...READY_METHODS] as { key, name } (key)}<SelectItem
            value={key}
            text={name}
          />{/each}
      </Select>
      <Select name="lot" labelText={t('notebook.lotSeed')} selected={query.lot ?? ''}>
        <SelectItem value="" text={t('notebook.anyLot')} />
        {#each facets.lots as { id, name, cropKey } (id)}<SelectItem
            value={id}
            text="{cropName(cropKey)}: {name}"
          />{/each}
      </Select>
      <fieldset>
        <legend>{t('notebook.columns')}</legend>
        {#each NOTEBOOK_COLUMNS as column (column)}
          <Checkbox
            name="column"
            value={column}
            checked={columns.includes(column)}
            labelText={COLUMN_WORDS[column]}
          />
        {/each}
      </fieldset>
    </div>
  </details>
  <input type="hidden" name="sort" value={query.sort} />
  {#if !query.descending}<input type="hidden" name="up" value="" />{/if}
</form>

{#if data.rows.length === 0}
  <p class="soft lead">
    {searches ? t('notebook.nothingWasSownAllLeave') : t('notebook.everySowingStandsHereWith')}
  </p>
{:else}
  <form method="GET" action="/notebook/compare">
    <!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
    <div class="scroll" role="region" aria-label={t('notebook.sowings')} tabindex="0">
      <Table>
        <TableHead>
          <TableRow>
            <TableHeader><span class="visually-hidden">{t('notebook.setBesideS')}</span></TableHeader>
            {#each columns as column (column)}
              <th scope="col" class:n={isFigure(column)} aria-sort={direction(column)}>
                <a
                  href={notebookAddress(query, {
                    sort: column,
                    descending: query.sort === column ? !query.descending : true,
                    page: 1
                  })}>{COLUMN_WORDS[column]}{query.sort === column ? (query.descending ? ' ↓' : ' ↑') : ''}</a
                >
              </th>
            {/each}
          </TableRow>
        </TableHead>
        <TableBody>
          {#each data.rows as row (row.id)}
            <TableRow>
              <TableCell>
                <Checkbox
                  name="id"
                  value={row.id}
                  bind:group={picked}
                  hideLabel
                  labelText={t('notebook.setNameBesideS', { name: nameOf(row) })}
                />
              </TableCell>
              {#each columns as column (column)}
                {#if column === 'crop'}
                  <th scope="row"><a href="/tray/{row.id}">{nameOf(row)}</a></th>
                {:else}
                  <td class:n={isFigure(column)}>{cellWords(row, column, locale, methodName(row.method))}</td>
                {/if}
              {/each}
            </TableRow>
          {/each}
        </TableBody>
      </Table>
    </div>
    <div class="row foot">
      <Button type="submit" kind="tertiary" size="field"
        >{picked.length > 1
          ? t('notebook.setPickedSideBySide', { picked: picked.length })
          : t('notebook.setSideBySide')}</Button
      >
      {#if pages > 1}
        <nav aria-label={t('notebook.pages')}>
          {#if query.page > 1}<a class="chip" href={notebookAddress(query, { page: query.page - 1 })}
              >{t('notebook.before')}</a
            >{/if}
          <span>{t('notebook.pagePagePages', { page: query.page, pages })}</span>
          {#if query.page < pages}<a class="chip" href={notebookAddress(query, { page: query.page + 1 })}
              >{t('notebook.after')}</a
            >{/if}
        </nav>
      {/if}
    </div>
  </form>
{/if}

<style>
  .lead {
    margin: 1.25rem 0;
  }
  .find {
    display: grid;
    grid-template-columns: 1.6fr 1fr 1fr 1fr auto;
    gap: 0.75rem;
    align-items: end;
    margin: 1rem 0 1.25rem;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .more {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.75rem;
    padding: 0.5rem 0;
  }
  fieldset > :global(*) {
    flex: none;
  }
  fieldset {
    grid-column: 1 / -1;
    border: 0;
    padding: 0;
    margin: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.25rem;
  }
  /* Carbon's table on our paper: one padding for heads and cells, so that columns stand under their names. */
  .scroll :global(th),
  .scroll :global(td) {
    padding: 0 1.1rem 0 0.5rem;
    background: var(--paper);
    color: var(--ink);
    font-size: 1rem;
    white-space: nowrap;
    border-color: var(--ink-faint);
  }
  .scroll :global(tr:hover td),
  .scroll :global(tr:hover th) {
    background: var(--beet-soft);
  }
  th a {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
  }
  th[aria-sort] a {
    color: var(--ink-soft);
    text-decoration: none;
  }
  th[scope='row'] a {
    font-weight: 600;
  }
  .scroll :global(.n) {
    text-align: right;
  }
  .foot {
    justify-content: space-between;
    margin-top: 0.75rem;
  }
  nav {
    display: flex;
    align-items: center;
    gap: 0.75rem;
  }
  @media (max-width: 47.99rem) {
    .find,
    .more {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
    .find :global(.bx--search) {
      grid-column: 1 / -1;
    }
  }
</style>
