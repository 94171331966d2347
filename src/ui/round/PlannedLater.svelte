<script lang="ts">
  import type { Projected } from '$core/sowing/project.ts';
  import { plannedLaterWords } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';

  /** What is planned for later days, as one line that leads to where it can be seen day by day. */
  interface Props {
    /** One sowing of each container, the soonest first. */
    later: readonly Projected[];
    now: number;
    locale: Locale;
  }
  let { later, now, locale }: Props = $props();
</script>

{#if later.length > 0}
  <p><a href="/ahead">{plannedLaterWords(later, now, locale)}</a></p>
{/if}

<style>
  p {
    margin: 1.5rem 0 0;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
  }
</style>
