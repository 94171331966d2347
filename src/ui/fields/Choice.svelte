<script lang="ts" generics="T extends string">
  import { RadioTile, TileGroup } from 'carbon-components-svelte';

  interface Props {
    legend: string;
    /** A heading above says the same. */
    hideLegend?: boolean;
    name: string;
    options: readonly { value: T; text: string; hint?: string }[];
    value: T;
    onchange?: (value: T) => void;
  }
  let { legend, hideLegend = false, name, options, value = $bindable(), onchange }: Props = $props();

  function choose(chosen: T) {
    value = chosen;
    onchange?.(chosen);
  }
</script>

<div class="choice" class:bare={hideLegend}>
  <TileGroup
    legendText={legend}
    {name}
    selected={value}
    on:select={({ detail }) => choose(detail as unknown as T)}
  >
    {#each options as option (option.value)}
      <span class="option">
        <RadioTile value={option.value} iconDescription="">
          {option.text}{#if option.hint}<span class="hint">{option.hint}</span>{/if}
        </RadioTile>
      </span>
    {/each}
  </TileGroup>
</div>

<style>
  .choice :global(fieldset) {
    border: 0;
    margin: 0;
    padding: 0;
    min-width: 0;
  }
  .choice :global(legend) {
    padding: 0;
    margin-bottom: 0.4rem;
  }
  .bare :global(legend) {
    position: absolute;
    width: 1px;
    height: 1px;
    margin: -1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .choice :global(fieldset > div) {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  .choice :global(.bx--tile) {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    min-width: 0;
    padding: 0.25rem 0.9rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 10px;
    background: var(--paper-raised);
    color: var(--ink);
    font-size: 1rem;
  }
  .choice :global(.bx--tile__checkmark) {
    display: none;
  }
  .choice :global(.bx--tile-content) {
    width: auto;
    height: auto;
    padding: 0;
  }
  .option {
    position: relative;
    display: inline-flex;
    min-width: 0;
  }
  /* The input covers its tile, so that screen readers and touch can press it. */
  .choice :global(.bx--tile-input) {
    inset: 0;
    z-index: 1;
    clip: auto;
    width: 100%;
    height: 100%;
    margin: 0;
    opacity: 0;
    cursor: pointer;
  }
  .choice :global(input:checked + .bx--tile) {
    background: var(--beet);
    border-color: var(--beet);
    color: var(--on-beet);
  }
  .choice :global(input:focus-visible + .bx--tile) {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  .hint {
    display: block;
    font-size: 0.875rem;
    opacity: 0.85;
  }
</style>
