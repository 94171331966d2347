<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Snippet } from 'svelte';
  let { children }: { children: Snippet } = $props();
</script>

<p class="caution small">
  <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"
    ><path class="sign" d="M12 3L22 21H2z" /><path d="M12 10v5M12 17.6v.4" /></svg
  >
  <span><strong>{t('app.caution')}</strong> {@render children()}</span>
</p>

<style>
  .caution {
    display: flex;
    gap: 0.6rem;
    align-items: flex-start;
    padding: 0.5rem 0.75rem;
    margin-top: 0.4rem;
    border-left: 5px solid var(--window);
    background: var(--paper-sunk);
    border-radius: 0 8px 8px 0;
  }
  svg {
    flex: none;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .sign {
    fill: var(--window);
  }
  @media print {
    .caution {
      padding: 0 0.5rem;
      margin: 0.1rem 0;
      font-size: 0.8rem;
    }
    svg {
      width: 12px;
      height: 12px;
    }
  }
</style>
