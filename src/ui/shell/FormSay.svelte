<script lang="ts">
  import { page } from '$app/state';

  const form = $derived(page.form as { say?: string | null; errors?: Record<string, string> } | null);
  /** What the last form was told as a whole; what is wrong with a field stands at the field. */
  const say = $derived(form?.say ?? '');

  // What is wrong may stand far above the button that was pressed: lead the eye and the keyboard there.
  $effect(() => {
    if (Object.keys(form?.errors ?? {}).length === 0) return;
    // SvelteKit empties the form once more before the page has what was answered.
    const frame = requestAnimationFrame(() =>
      requestAnimationFrame(() => document.querySelector<HTMLElement>('main [aria-invalid="true"]')?.focus())
    );
    return () => cancelAnimationFrame(frame);
  });
</script>

{#if say}<p class="alarm" role="alert">{say}</p>{/if}

<style>
  .alarm {
    color: var(--alarm);
    background: var(--alarm-soft);
    padding: 0.75rem 1rem;
    border-radius: 8px;
  }
</style>
