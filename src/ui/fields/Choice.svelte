<script lang="ts" generics="T extends string">
  interface Props {
    legend: string;
    name: string;
    options: readonly { value: T; text: string; hint?: string }[];
    value: T;
    onchange?: (value: T) => void;
  }
  let { legend, name, options, value = $bindable(), onchange }: Props = $props();
</script>

<fieldset>
  <legend>{legend}</legend>
  <div class="row">
    {#each options as option (option.value)}
      <label class="option" class:on={option.value === value}>
        <input
          type="radio"
          {name}
          value={option.value}
          checked={option.value === value}
          onchange={() => {
            value = option.value;
            onchange?.(option.value);
          }}
        />
        <span
          >{option.text}{#if option.hint}<span class="hint">{option.hint}</span>{/if}</span
        >
      </label>
    {/each}
  </div>
</fieldset>

<style>
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
    min-width: 0;
  }
  legend {
    padding: 0;
    margin-bottom: 0.4rem;
    font-size: 0.9375rem;
  }
  .option {
    position: relative;
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    padding: 0.25rem 0.9rem;
    box-sizing: border-box;
    border: 1.5px solid var(--ink-soft);
    border-radius: 10px;
    background: var(--paper-raised);
    cursor: pointer;
  }
  .option.on {
    background: var(--beet);
    border-color: var(--beet);
    color: var(--on-beet);
  }
  .option:focus-within {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  input {
    position: absolute;
    inset: 0;
    margin: 0;
    opacity: 0;
    cursor: pointer;
    width: 100%;
    height: 100%;
  }
  .hint {
    display: block;
    font-size: 0.875rem;
    opacity: 0.85;
  }
</style>
