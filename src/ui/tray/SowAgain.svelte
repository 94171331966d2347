<script lang="ts">
  import { t } from '$messages/t.ts';
  import { goto } from '$app/navigation';
  import { Button } from 'carbon-components-svelte';
  import { v4 as newId } from 'uuid';
  import type { ApiProblem } from '$contract/api.ts';
  import { post } from '$ui/state/ask.ts';
  import { page } from '$ui/state/hydrated.svelte.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';

  /** The same once more, its own grams and choices kept, in one touch. */
  let { sowingId }: { sowingId: string } = $props();
  const journal = useJournal();
  // Touched twice it is one sowing.
  const ids = { first: newId(), second: newId(), container: newId() };
  let sending = $state(false);
  let failed = $state('');

  async function again() {
    [sending, failed] = [true, ''];
    const answer = await post('/api/sowings/again', { sowingId, ids });
    sending = false;
    if (!answer || answer.status >= 500) failed = t('tray.noAnswerFromBroteTry');
    else if (answer.status === 401) journal.signedOut = true;
    else if (answer.ok) await goto('/round', { invalidateAll: true });
    else failed = ((await answer.json()) as ApiProblem).message;
  }
</script>

<Button kind="tertiary" disabled={!page.hydrated || sending} on:click={again}>{t('tray.sowSameAgain')}</Button
>
{#if failed}<p class="warn" role="alert">{failed}</p>{/if}
