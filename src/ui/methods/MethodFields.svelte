<script lang="ts">
  import { rich, t } from '$messages/t.ts';
  import Rich from '$ui/shell/Rich.svelte';
  import { untrack } from 'svelte';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { MEDIA } from '$core/supplies/media/medium.ts';
  import {
    figureAsked,
    METHOD_FIGURES,
    QUESTIONS,
    type Answers,
    type Method,
    type MethodFigure,
    type Question
  } from '$core/supplies/methods/method.ts';
  import { isWeak, type Disinfectant, type Strengths } from '$core/supplies/seed/disinfect.ts';
  import {
    mayHaveFaded,
    productsOf,
    ruleWith,
    ruleWithout,
    type Product
  } from '$core/supplies/seed/product.ts';
  import { startingRule } from '$core/supplies/seed/rule.ts';
  import { readNumber } from '$core/units/parseQuantity.ts';
  import { figure } from '$core/units/format.ts';
  import type { Units } from '$core/units/format.ts';
  import Choice from '$ui/fields/Choice.svelte';
  import QuantityField from '$ui/fields/QuantityField.svelte';
  import SprayFields from './SprayFields.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { FADED_WORDS, productWords, ruleSource, WEAK_WORDS } from '$words/disinfect.ts';
  import { CAUTIONS } from '$words/cautions.ts';
  import { answerWords, FIGURE_WORDS, QUESTION_GROUPS, QUESTION_WORDS } from '$words/methods.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';

  interface Props {
    method: Method;
    wrong?: Record<string, string>;
    /** Asked outside a sowing alone, which has a field of its own for its medium. */
    askMedium?: boolean;
    /** Strengths off the labels of the household's products. */
    strengths?: Strengths;
    /** The household's products to disinfect with. */
    products: readonly Product[];
    /** `YYYY-MM-DD`. */
    today: string;
    units: Units;
  }
  let {
    method = $bindable(),
    wrong = {},
    askMedium = false,
    strengths = {},
    products,
    today,
    units
  }: Props = $props();

  /** A method's own page shows all of it; a sowing, what it asks for. */
  const unfolded = $state<Record<string, boolean>>(
    untrack(() => Object.fromEntries(QUESTION_GROUPS.map(({ title }) => [title, askMedium])))
  );
  /** What stands chosen in a group, in one line; what is not done, or done as usual, goes without saying. */
  const answersWords = (questions: readonly Question[]): string =>
    questions
      .filter((question) => method[question] !== 'none' && method[question] !== 'usual')
      .map((question) => answerWords(question, method[question]).text)
      .join('; ');
  const options = (question: Question) =>
    QUESTIONS[question].map((answer) => ({
      value: answer as string,
      text: QUESTION_WORDS[question].answers[answer as never]['text'] as string
    }));
  const turns = (question: Question): string =>
    (QUESTION_WORDS[question].answers as Record<string, { turns: string }>)[method[question]]!.turns;

  function answer(question: Question, value: string) {
    const next = { ...method, [question]: value as Answers[typeof question] };
    if (question === 'disinfect' && value !== 'none' && value !== method.disinfect)
      next.disinfectRule = startingRule(value as Disinfectant, products, strengths);
    method = next;
  }
  function rule(field: 'target' | 'productPct' | 'minutes' | 'ratioLKg', text: unknown) {
    method = {
      ...method,
      disinfectRule: { ...method.disinfectRule, [field]: readNumber(String(text ?? '')) ?? NaN }
    };
  }
  const toChooseFrom = $derived(method.disinfect === 'none' ? [] : productsOf(method.disinfect, products));
  /** The product that the rule takes, where the cupboard still has it. */
  const taken = $derived(toChooseFrom.find(({ id }) => id === method.disinfectRule.productId) ?? null);
  function takeProduct(id: string) {
    const product = toChooseFrom.find((one) => one.id === id);
    const { disinfectRule } = method;
    method = {
      ...method,
      disinfectRule: product ? ruleWith(disinfectRule, product) : ruleWithout(disinfectRule)
    };
  }
  /** As it is typed: what is no number stays in its field. */
  const typedFigure = (figureKey: MethodFigure): number =>
    method[figureKey] ?? METHOD_FIGURES[figureKey].start;
  const shown = (value: number) => (Number.isFinite(value) ? figure(value) : '');
  const RULE_FIELDS = $derived([
    {
      key: 'target',
      label: method.disinfect === 'peroxide' ? t('methods.strengthWanted') : t('methods.strengthWantedPpm')
    },
    ...(taken ? [] : [{ key: 'productPct', label: t('methods.strengthOnLabel') } as const]),
    { key: 'minutes', label: t('methods.contactTimeMin') },
    { key: 'ratioLKg', label: t('methods.litresKgSeed') }
  ] as const);
</script>

<div class="questions">
  {#if askMedium}
    <Select labelText={t('methods.usuallyGrownOn')} bind:selected={method.medium}>
      {#each MEDIA as medium (medium)}<SelectItem value={medium} text={MEDIUM_WORDS[medium]} />{/each}
    </Select>
  {/if}
  {#each QUESTION_GROUPS as { title, questions } (title)}
    <details class="unfold" bind:open={unfolded[title]}>
      <summary><span>{title}:<span class="answers small soft">{answersWords(questions)}</span></span></summary
      >
      <div class="group">
        {#each questions as question (question)}
          {@const asked = figureAsked(method, question)}
          <div class="question">
            <Choice
              legend={QUESTION_WORDS[question].ask}
              name={question}
              options={options(question)}
              value={method[question] as string}
              onchange={(value) => answer(question, value)}
            />
            <p class="small soft">{turns(question)}</p>
            {#if asked === 'domeCm'}
              <QuantityField
                label={FIGURE_WORDS.domeCm}
                kind="length"
                unit={units === 'us' ? 'in' : 'cm'}
                bind:value={() => typedFigure('domeCm'), (domeCm) => (method = { ...method, domeCm })}
                error={wrong.domeCm ?? ''}
              />
            {:else if asked}
              <TextInput
                labelText={FIGURE_WORDS[asked]}
                value={shown(typedFigure(asked))}
                on:input={(event) =>
                  (method = { ...method, [asked]: readNumber(String(event.detail ?? '')) ?? NaN })}
                invalid={!!wrong[asked]}
                invalidText={wrong[asked]}
                inputmode="decimal"
              />
            {/if}
            {#if question === 'feed' && method.feed !== 'none'}
              <TextInput
                labelText={t('methods.feedOffBottleMlLitre')}
                helperText={t('methods.thenEveryWateringSaysHow')}
                value={method.feedMlL === null ? '' : shown(method.feedMlL)}
                on:input={(event) => {
                  const text = String(event.detail ?? '').trim();
                  method = { ...method, feedMlL: text === '' ? null : (readNumber(text) ?? NaN) };
                }}
                invalid={!!wrong.feedMlL}
                invalidText={wrong.feedMlL}
                inputmode="decimal"
              />
            {/if}
            {#if question === 'disinfect' && method.disinfect !== 'none'}
              <div class="rule">
                {#if toChooseFrom.length > 0}
                  <div class="wide">
                    <Select
                      labelText={t('methods.product')}
                      selected={taken?.id ?? ''}
                      on:update={({ detail }) => takeProduct(String(detail))}
                    >
                      {#each toChooseFrom as product (product.id)}
                        <SelectItem value={product.id} text={productWords(product)} />
                      {/each}
                      <SelectItem value="" text={t('methods.one')} />
                    </Select>
                  </div>
                {/if}
                {#each RULE_FIELDS as { key, label } (key)}
                  <TextInput
                    labelText={label}
                    value={shown(method.disinfectRule[key])}
                    on:input={(event) => rule(key, event.detail)}
                    invalid={!!wrong[`disinfectRule.${key}`]}
                    invalidText={wrong[`disinfectRule.${key}`]}
                    inputmode="decimal"
                  />
                {/each}
                <div class="wide">
                  <TextInput
                    labelText={t('methods.whereYouHaveRuleFrom')}
                    value={ruleSource(method.disinfectRule)}
                    on:input={(event) =>
                      (method = {
                        ...method,
                        disinfectRule: { ...method.disinfectRule, source: String(event.detail ?? '') }
                      })}
                    invalid={!!wrong['disinfectRule.source']}
                    invalidText={wrong['disinfectRule.source']}
                  />
                </div>
              </div>
              {#if taken && mayHaveFaded(taken, today)}
                <p class="warn small" role="status">{FADED_WORDS()}</p>
              {/if}
              {#if toChooseFrom.length === 0}
                <p class="small soft">
                  <Rich parts={rich('methods.linkAddYourBottleCupboard')}
                    >{#snippet link(text: string)}<a href="/bench/cupboard/product/new">{text}</a
                      >{/snippet}</Rich
                  >
                </p>
              {/if}
              {#if isWeak(method.disinfect, method.disinfectRule.target)}
                <p class="warn small" role="status">{WEAK_WORDS[method.disinfect]}</p>
              {/if}
              <Caution>{CAUTIONS[method.disinfect]}</Caution>
            {/if}
            {#if question === 'peroxide' && method.peroxide !== 'none'}
              <p class="small soft">{t('methods.weakMeansMlStockLitre')}</p>
              <Caution>{CAUTIONS.peroxide}</Caution>
            {/if}
          </div>
        {/each}
        {#if questions.includes('feed')}
          <SprayFields
            sprays={method.sprays}
            {wrong}
            onchange={(sprays) => (method = { ...method, sprays })}
          />
        {/if}
      </div>
    </details>
  {/each}
</div>

<style>
  .questions {
    display: grid;
    gap: 1.25rem;
  }
  .answers {
    /* An inline block takes no underline from around it. */
    display: inline-block;
    width: 100%;
  }
  .group {
    display: grid;
    gap: 1.25rem;
    padding-top: 0.75rem;
  }
  .question {
    display: grid;
    gap: 0.35rem;
  }
  .rule {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
    gap: 0.75rem;
    align-items: start;
    margin-top: 0.5rem;
  }
  .wide {
    grid-column: 1 / -1;
  }
</style>
