<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { PantryItem } from '$core/pantry/item.ts';
  import type { Zone } from '$core/time/zone.ts';
  import { shortDate, type Locale } from '$words/time.ts';

  /** How its days go: fresh, then at its last, as a strip whose edge is soft where nobody can be sure. */
  interface Props {
    item: PantryItem;
    zone: Zone;
    now: number;
    locale: Locale;
  }
  let { item, zone, now, locale }: Props = $props();
  const began = $derived(
    zone.dayNumber(
      item.unit === 'g' && item.packing !== 'dried' && item.packing !== 'frozen' ? item.cutAt : item.packedAt
    )
  );
  const days = $derived(Math.max(1, zone.dayNumber(item.keepsTo) - began));
  const best = $derived(Math.min(1, (zone.dayNumber(item.bestBy) - began) / days));
  const today = $derived(Math.min(1, Math.max(0, (zone.dayNumber(now) - began) / days)));
</script>

<svg
  viewBox="0 0 240 20"
  role="img"
  aria-label={t('pantry.bestShortdateTodayAtToday', {
    shortDate: shortDate(item.bestBy, locale),
    today: Math.round(today * 100)
  })}
>
  <defs>
    <linearGradient id="keeps-{item.id}">
      <stop offset="0" stop-color="var(--leaf-green)" />
      <stop offset={best * 0.85} stop-color="var(--leaf-green)" />
      <stop offset={Math.min(1, best + (1 - best) * 0.6)} stop-color="var(--window)" />
      <stop offset="1" stop-color="var(--soil)" stop-opacity="0.35" />
    </linearGradient>
  </defs>
  <rect x="1" y="7" width="238" height="7" rx="3.5" fill="url(#keeps-{item.id})" />
  <path d="M{4 + today * 232} 2v17" class="now" />
</svg>

<style>
  svg {
    width: 100%;
    max-width: 22rem;
    height: auto;
    display: block;
    margin: 0.25rem 0;
  }
  .now {
    stroke: var(--ink);
    stroke-width: 2.5;
    stroke-linecap: round;
  }
</style>
