<script lang="ts">
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
      <label>
        <input
          type="checkbox"
          checked={!left.has(line.key)}
          onchange={(event) => onleave(line.key, !event.currentTarget.checked)}
        />
        <span>
          <strong>{lineTitle(line, now, locale)}</strong>
          <span class="soft small"
            >{whereWords(line.change.row, placeName)}. {whyWords(line.change, name, locale)}</span
          >
          {#if seedLacks.has(line.key)}<span class="small"
              >{seedLackWords(seedLacks.get(line.key)!, locale)}</span
            >{/if}
        </span>
      </label>
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
  label {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0.75rem;
    align-items: center;
    min-height: 2.75rem;
    padding: 0.4rem 0;
  }
  input {
    width: 1.3rem;
    height: 1.3rem;
    accent-color: var(--beet);
  }
  span > span {
    display: block;
  }
</style>
