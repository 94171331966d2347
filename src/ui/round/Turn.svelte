<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { post } from '$ui/state/ask.ts';

  /** Whose this round is: anybody's, until somebody takes it or hands it on. */
  interface Props {
    people: readonly { id: string; name: string }[];
    me: string;
    /** Null for anybody's. */
    turn: string | null;
    onchanged: () => void;
  }
  let { people, me, turn, onchanged }: Props = $props();
  let said = $state('');
  const whose = $derived(people.find(({ id }) => id === turn));
  const others = $derived(people.filter(({ id }) => id !== me && id !== turn));

  async function give(member: string | null) {
    const answer = await post('/api/round', { member });
    if (answer?.ok) said = '';
    else
      said = answer
        ? ((await answer.json()) as { message: string }).message
        : t('round.thereNoNetworkTryAgain');
    onchanged();
  }
</script>

{#if people.length > 1}
  <details class="unfold">
    <summary
      >{whose
        ? turn === me
          ? t('round.roundYours')
          : t('round.nameWalksRound', { name: whose.name })
        : t('round.anybodyWalksRound')}</summary
    >
    <div class="row">
      {#if turn !== me}<Button kind="tertiary" class="chip" on:click={() => void give(me)}
          >{t('round.iTake')}</Button
        >{/if}
      {#each others as one (one.id)}
        <Button kind="ghost" class="chip quiet" on:click={() => void give(one.id)}
          >{t('round.handName', { name: one.name })}</Button
        >
      {/each}
      {#if turn !== null}<Button kind="ghost" class="chip quiet" on:click={() => void give(null)}
          >{t('round.anybodys')}</Button
        >{/if}
    </div>
    <p class="small soft">{t('round.whoeverHasRemindedSNot')}</p>
    {#if said}<p class="warn" role="alert">{said}</p>{/if}
  </details>
{/if}
