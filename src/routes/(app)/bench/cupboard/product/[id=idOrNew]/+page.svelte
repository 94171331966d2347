<script lang="ts">
  import { t } from '$messages/t.ts';
  import { untrack } from 'svelte';
  import { FADED_AFTER_DAYS } from '$core/supplies/seed/product.ts';
  import type { Disinfectant } from '$core/supplies/seed/disinfect.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import Choice from '$ui/fields/Choice.svelte';
  import Field from '$ui/fields/Field.svelte';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { productOptions } from '$words/disinfect.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { product } = $derived(data);
  const id = untrack(() => data.product?.id ?? data.newId);
  const { wrong, typed } = formAnswers(() => form);
  let kind = $state(untrack(() => typed('kind', data.product?.kind ?? 'hypochlorite') as Disinfectant));
</script>

<KeepForm
  title={product ? t('bench.disinfectant') : t('bench.newDisinfectant')}
  away={product ? t('bench.putAwayUsedUp') : null}
>
  <input type="hidden" name="id" value={id} />
  <Choice legend={t('bench.what2')} name="kind" options={productOptions()} bind:value={kind} />
  <Field
    name="name"
    label={t('bench.whatYouCall')}
    placeholder={t('bench.bleachUnderSink')}
    value={typed('name', product?.name)}
    error={wrong('name')}
  />
  <Field
    name="strengthPct"
    label={t('bench.strengthOnLabel')}
    helper={kind === 'hypochlorite' ? t('bench.sodiumHypochloriteSuchAs') : t('bench.hydrogenPeroxideSuchAs')}
    value={typed('strengthPct', product?.strengthPct)}
    error={wrong('strengthPct')}
    inputmode="decimal"
  />
  <Field
    name="datedOn"
    label={t('bench.dateOnLabelOrBought')}
    type="date"
    helper={kind === 'hypochlorite'
      ? t('bench.hypochloriteGetsWeakerBottleBrote', { FADED_AFTER_DAYS })
      : t('bench.leaveEmptyIfYouDo')}
    value={typed('datedOn', product?.datedOn)}
    error={wrong('datedOn')}
  />
  <Caution>{CAUTIONS[kind]}</Caution>
</KeepForm>
