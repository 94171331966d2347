<script lang="ts">
  import { onMount, type Snippet } from 'svelte';

  /** A window over the page that keeps the focus and closes with Escape. */
  interface Props {
    label: string;
    /** Near the top, where a list below a field may grow. */
    high?: boolean;
    onclose: () => void;
    onkeydown?: (event: KeyboardEvent) => void;
    children: Snippet<[close: () => void]>;
  }
  let { label, high = false, onclose, onkeydown, children }: Props = $props();
  let dialog: HTMLDialogElement;
  onMount(() => dialog.showModal());
</script>

<dialog bind:this={dialog} class:high {onclose} {onkeydown} aria-label={label}>
  {@render children(() => dialog.close())}
</dialog>

<style>
  dialog {
    width: min(32rem, calc(100vw - 2rem));
    margin: auto;
    padding: 1rem;
    border: 1.5px solid var(--ink-soft);
    border-radius: 12px;
    background: var(--paper-raised);
    color: var(--ink);
  }
  .high {
    margin-top: 12vh;
  }
  dialog::backdrop {
    background: rgb(0 0 0 / 40%);
  }
</style>
