<script lang="ts">
  import { t } from '$messages/t.ts';
  /** What the colours of the weeks ahead mean. */
  const KEYS = [
    ['dark', t('ahead.dark')],
    ['light', t('ahead.light')],
    ['open', t('ahead.canBeCutSofterEdge')],
    ['eaten', t('ahead.legend.eaten')],
    ['missing', t('ahead.legend.missing')],
    ['thrown', t('ahead.pastDays')]
  ] as const;
</script>

<p class="legend small soft">
  {#each KEYS as [key, words] (key)}<span class="key {key}"></span> {words}
  {/each}<br />
  {t('ahead.overEachPlaceHowFull')}
</p>

<style>
  .legend {
    margin: 0.5rem 0 0;
  }
  .key {
    display: inline-block;
    width: 1.1rem;
    height: 0.7rem;
    margin: 0 0.15rem 0 0.5rem;
    border-radius: 2px;
  }
  .key.dark {
    background: var(--band-dark);
  }
  .key.light {
    background: var(--band-light);
  }
  .key.open {
    background: linear-gradient(90deg, transparent, var(--window), transparent);
  }
  .key.eaten {
    background: var(--leaf-green);
  }
  .key.missing {
    border: 1px solid var(--alarm);
    background: repeating-linear-gradient(45deg, var(--alarm) 0 2px, transparent 2px 5px);
  }
  .key.thrown {
    background: var(--soil);
  }
</style>
