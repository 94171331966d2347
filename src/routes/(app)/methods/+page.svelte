<script lang="ts">
  import { untrack } from 'svelte';
  import { t } from '$messages/t.ts';
  import { QUESTIONS, type Method, type Question } from '$core/supplies/methods/method.ts';
  import { READY_METHODS } from '$core/supplies/methods/ready.ts';
  import LibraryTabs from '$ui/shell/LibraryTabs.svelte';
  import { answerWords, methodName, QUESTION_WORDS, spraysWords } from '$words/methods.ts';
  import type { PageData } from './$types';

  let { data }: { data: PageData } = $props();
  const questions = Object.keys(QUESTIONS) as Question[];
  const methods = $derived<Method[]>([...READY_METHODS, ...data.own]);
  /** The one that a phone shows; a desk has room for all. */
  let chosen = $state(untrack(() => data.household.methodKey));
  const isOwn = (key: string) => data.own.some((method) => method.key === key);
</script>

<svelte:head><title>{t('methods.methodsBrote')}</title></svelte:head>

<LibraryTabs />
<h1>{t('methods.methods')}</h1>
<p class="soft lead">
  {t('methods.growersAnswerTheseQuestionsDifferently')}
</p>
<div class="row methods" role="group" aria-label={t('methods.methods')}>
  {#each methods as method (method.key)}
    <button class="chip" aria-pressed={chosen === method.key} onclick={() => (chosen = method.key)}
      >{methodName(method)}</button
    >
  {/each}
</div>
<!-- svelte-ignore a11y_no_noninteractive_tabindex (by keys it is scrolled) -->
<div class="scroll" role="region" aria-label={t('methods.methods')} tabindex="0">
  <table>
    <thead>
      <tr>
        <th scope="col"><span class="visually-hidden">{t('methods.question')}</span></th>
        {#each methods as method (method.key)}
          <th scope="col" class:chosen={chosen === method.key}>
            {methodName(method)}
            {#if data.household.methodKey === method.key}<span class="small soft"
                >{t('methods.yourUsual')}</span
              >{/if}
            <span class="acts small">
              {#if isOwn(method.key)}<a href="/methods/{method.key}">{t('methods.change')}</a>{/if}
              <a href="/methods/new?from={method.key}"
                >{t('methods.makeOneFrom')}<span class="visually-hidden">: {methodName(method)}</span></a
              >
            </span>
          </th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each questions as question (question)}
        <tr>
          <th scope="row">{QUESTION_WORDS[question].ask}</th>
          {#each methods as method (method.key)}
            {@const { text, turns } = answerWords(question, method[question])}
            <td class:chosen={chosen === method.key}>{text}<span class="small soft">{turns}</span></td>
          {/each}
        </tr>
      {/each}
      <tr>
        <th scope="row">{t('methods.spraysYourOwn')}</th>
        {#each methods as method (method.key)}<td class:chosen={chosen === method.key}
            >{spraysWords(method.sprays)}</td
          >{/each}
      </tr>
    </tbody>
  </table>
</div>

<style>
  .methods {
    display: none;
  }
  .lead {
    margin: 0.25rem 0 1rem;
  }
  table {
    border-collapse: collapse;
    width: 100%;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.5rem 0.75rem 0.5rem 0;
    border-top: 1px solid var(--ink-faint);
    min-width: 11rem;
    font-size: 1rem;
  }
  th[scope='row'] {
    font-weight: 450;
    color: var(--ink-soft);
    min-width: 9rem;
  }
  thead th {
    border-top: 0;
    font-size: 1.05rem;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.9rem;
    font-weight: 450;
  }
  .acts a {
    min-height: 2.75rem;
    display: inline-flex;
    align-items: center;
  }
  td span {
    display: block;
  }
  @media (max-width: 47.99rem) {
    .methods {
      display: flex;
      margin-bottom: 1rem;
    }
    :is(td, thead th:not(:first-child)):not(.chosen) {
      display: none;
    }
    th,
    td {
      min-width: 0;
    }
    th[scope='row'] {
      min-width: 0;
      width: 38%;
    }
  }
</style>
