<script lang="ts">
  import { page } from '$app/state';

  /** What the last form was told as a whole; what is wrong with a field stands at the field. */
  const say = $derived((page.form as { say?: string | null } | null)?.say ?? '');
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
