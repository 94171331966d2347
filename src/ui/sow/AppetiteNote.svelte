<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { PORTIONS, type Appetite, type PortionSize } from '$core/ahead/appetite.ts';
  import { greensMass } from '$core/units/format.ts';
  import type { ApiProblem } from '$contract/api.ts';
  import { post } from '$ui/state/ask.ts';
  import { assumedWords, PORTION_WORDS } from '$words/ahead.ts';
  import type { Locale } from '$words/time.ts';
  import { v4 as newId } from 'uuid';

  /** Says what is taken for what is eaten where nobody has said it, and takes an answer in one touch. */
  interface Props {
    appetite: Appetite;
    locale: Locale;
    onsaid: (appetite: Appetite) => void;
  }
  let { appetite, locale, onsaid }: Props = $props();
  /** Made once: sending it twice is one answer. */
  const id = newId();
  let wrong = $state('');

  async function say(portion: PortionSize) {
    wrong = '';
    const answer = await post('/api/ahead/appetite', { id, portion });
    if (answer?.ok) onsaid({ ...appetite, gD: appetite.people * PORTIONS[portion], assumed: false });
    else if (answer && answer.status < 500) wrong = ((await answer.json()) as ApiProblem).message;
    else wrong = t('sow.noAnswerFromBroteTry');
  }
</script>

<div class="stack" role="group" aria-label={t('sow.howMuchYouEat')}>
  <p class="small">{t('sow.assumedHowMuchDoesEach', { assumed: assumedWords(appetite, locale) })}</p>
  <div class="row">
    {#each Object.entries(PORTIONS) as [portion, g] (portion)}
      <Button kind="tertiary" class="chip" on:click={() => void say(portion as PortionSize)}
        >{PORTION_WORDS[portion as PortionSize]} · {greensMass(g, locale.units)}</Button
      >
    {/each}
  </div>
  {#if wrong}<p class="small" role="alert">{wrong}</p>{/if}
</div>
