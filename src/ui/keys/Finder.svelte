<script lang="ts">
  import { t } from '$messages/t.ts';
  import { onMount } from 'svelte';
  import type { Found } from '$contract/api.ts';
  import { ask } from '$ui/state/ask.ts';
  import { foldedWords, folded } from '$words/search.ts';
  import { cropList, cropName } from '$words/cropNames.ts';
  import { containersWords } from '$words/containers.ts';
  import OverPage from './OverPage.svelte';
  import { pages } from './pages.ts';

  let { onclose }: { onclose: () => void } = $props();
  let list: HTMLElement;
  let field: HTMLInputElement;
  let sought = $state('');
  /** Null while it is asked for, and without a network: pages are found all the same. */
  let kept = $state<Found | null>(null);
  let loading = $state(true);

  interface Line {
    href: string;
    name: string;
    beside: string;
    words: string;
  }
  const line = (href: string, name: string, beside: string, more: readonly string[] = []): Line => ({
    href,
    name,
    beside,
    words: foldedWords([name, beside, ...more])
  });
  const lines = $derived([
    ...(kept?.trays ?? []).map(({ id, crops, of, place }) =>
      line(`/tray/${id}`, cropList(crops), t('app.find.tray', { container: containersWords(of), place }))
    ),
    ...pages().map(({ path, name }) => line(path, name, t('app.find.page'))),
    ...(kept?.crops ?? []).map(({ key, name, botanicalName }) =>
      line(`/crops/${key}`, cropName(name), t('app.find.crop'), [botanicalName])
    )
  ]);
  const MOST = 8;
  const asked = $derived(folded(sought));
  const begins = ({ words }: Line): boolean => words.startsWith(asked);
  /** By all words that were typed, in whatever order; names that begin with them come first. */
  const found = $derived(
    lines
      .filter(({ words }) => asked.split(' ').every((word) => words.includes(word)))
      .toSorted((a, b) => Number(begins(b)) - Number(begins(a)))
      .slice(0, MOST)
  );

  onMount(() => {
    field.focus();
    void ask('/api/find').then(async (answer) => {
      if (answer?.ok) kept = (await answer.json()) as Found;
      loading = false;
    });
  });

  /** Up and down go through what was found, and back into the field. */
  function move(event: KeyboardEvent) {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const all: HTMLElement[] = [field, ...list.querySelectorAll('a')];
    const at = all.indexOf(document.activeElement as HTMLElement);
    all[(at + by + all.length) % all.length]?.focus();
  }
</script>

<OverPage label={t('app.find.title')} high {onclose} onkeydown={move}>
  {#snippet children(close)}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        list.querySelector('a')?.click();
      }}
    >
      <input
        type="search"
        bind:this={field}
        bind:value={sought}
        placeholder={t('app.find.placeholder')}
        aria-label={t('app.find.title')}
        aria-controls="found"
        autocomplete="off"
      />
    </form>
    <ul id="found" bind:this={list}>
      {#each found as { href, name, beside } (href)}
        <li>
          <a {href} onclick={close}>{name} <span class="soft small">{beside}</span></a>
        </li>
      {/each}
    </ul>
    <p class="soft small" role="status">
      {found.length === 0 && loading
        ? t('app.find.loading')
        : found.length === 0
          ? t('app.find.nothing', { sought })
          : t('app.find.count', { found: found.length })}
    </p>
  {/snippet}
</OverPage>

<style>
  input {
    box-sizing: border-box;
    width: 100%;
    min-height: 2.75rem;
    padding: 0 0.75rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 8px;
    background: var(--paper);
    color: inherit;
    font: inherit;
  }
  ul {
    list-style: none;
    margin: 0.5rem 0 0;
    padding: 0;
  }
  li a {
    display: block;
    padding: 0.55rem 0.75rem;
    border-radius: 8px;
    color: inherit;
    text-decoration: none;
  }
  li a:hover,
  li a:focus-visible {
    background: var(--beet-soft);
  }
  p {
    margin: 0.5rem 0 0;
  }
</style>
