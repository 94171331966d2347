<script lang="ts">
  import { t } from '$messages/t.ts';
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    value: string;
    /** What stands beside the figure, smaller. */
    beside?: string;
    /** How it was worked out, unfolded on touch. */
    working?: Snippet;
  }
  let { label, value, beside, working }: Props = $props();
</script>

<div class="figure">
  {#if working}
    <details>
      <summary>
        <span class="label">{label}</span><strong>{value}</strong>{#if beside}<span class="soft small"
            >{beside}</span
          >{/if}
        <span class="more small">{t('fields.how')}</span>
      </summary>
      <p class="small working">{@render working()}</p>
    </details>
  {:else}
    <span class="label">{label}</span><strong>{value}</strong>{#if beside}<span class="soft small"
        >{beside}</span
      >{/if}
  {/if}
</div>

<style>
  .figure {
    padding: 0.4rem 0;
  }
  .label {
    flex-basis: 100%;
    font-size: 0.9375rem;
    color: var(--ink-soft);
    display: block;
  }
  strong {
    font-size: 1.5rem;
    font-weight: 680;
    margin-right: 0.6rem;
  }
  summary {
    cursor: pointer;
    list-style: none;
    min-height: 2.75rem;
  }
  summary::-webkit-details-marker {
    display: none;
  }
  .more {
    margin-left: 0.5rem;
    color: var(--beet);
    text-decoration: underline;
  }
  .working {
    margin-top: 0.25rem;
    padding: 0.5rem 0.75rem;
    background: var(--paper-sunk);
    border-radius: 8px;
  }
</style>
