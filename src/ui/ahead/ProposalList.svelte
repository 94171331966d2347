<script lang="ts">
  import { Checkbox } from 'carbon-components-svelte';
  import type { Line } from '$core/ahead/lines.ts';
  import { lineTitle, seedLackWords, whereWords, whyWords, type DayName } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';

  /** What a proposal would change, each with its why, to take or to leave. */
  interface Props {
    lines: readonly Line[];
    /** Those that are left, by their key. */
    left: ReadonlySet<string>;
    /** Seed that is not in the cupboard, g by the key of its line. */
    seedLacks: ReadonlyMap<string, number>;
    placeName: (id: string) => string;
    name: DayName;
    now: number;
    locale: Locale;
    onleave: (key: string, left: boolean) => void;
  }
  let { lines, left, seedLacks, placeName, name, now, locale, onleave }: Props = $props();
</script>

<ul>
  {#each lines as line (line.key)}
    <li>
      <Checkbox
        checked={!left.has(line.key)}
        on:check={({ detail }) => detail === left.has(line.key) && onleave(line.key, !detail)}
      >
        <span slot="labelChildren">
          <strong>{lineTitle(line, now, locale)}</strong>
          <span class="soft small"
            >{whereWords(line.change.row, placeName)}. {whyWords(line.change, name, locale)}</span
          >
          {#if seedLacks.has(line.key)}<span class="small"
              >{seedLackWords(seedLacks.get(line.key)!, locale)}</span
            >{/if}
        </span>
      </Checkbox>
    </li>
  {/each}
</ul>

<style>
  ul {
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    border-top: 1px solid var(--ink-faint);
  }
  span > span {
    display: block;
  }
</style>
