<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { KEPT_MEDIA } from '$core/supplies/media/medium.ts';
  import { formAnswers } from '$ui/fields/formAnswers.ts';
  import KeepForm from '$ui/bench/KeepForm.svelte';
  import Field from '$ui/fields/Field.svelte';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';
  import { MEDIUM_WORDS } from '$words/media.ts';
  import type { ActionData, PageData } from './$types';

  let { data, form }: { data: PageData; form: ActionData } = $props();
  const { medium } = $derived(data);
  const id = untrack(() => data.medium?.id ?? data.newId);
  const { wrong, typed } = formAnswers(() => form);
</script>

<KeepForm
  title={medium ? t('bench.medium') : t('bench.newMedium')}
  away={medium ? t('bench.putAwayUsedUp') : null}
>
  <input type="hidden" name="id" value={id} />
  <Field
    name="name"
    label={t('bench.whatYouCall')}
    placeholder={t('bench.balconyMix')}
    value={typed('name', medium?.name)}
    error={wrong('name')}
  />
  <Select
    name="kind"
    labelText={t('bench.holdsWaterLike')}
    selected={typed('kind', medium?.kind ?? 'coir')}
    invalid={wrong('kind') !== ''}
    invalidText={wrong('kind')}
  >
    {#each KEPT_MEDIA as kind (kind)}<SelectItem value={kind} text={MEDIUM_WORDS[kind]} />{/each}
  </Select>
  <Field
    name="parts"
    label={t('bench.mixedIfMixed')}
    placeholder={t('bench.coirCompostPerlite')}
    value={typed('parts', medium?.parts?.map(({ name, parts }) => `${parts} ${name}`).join(', '))}
    error={wrong('parts')}
  />
  <Field
    name="swellLKg"
    label={t('bench.litresFromDryKgOff')}
    helper={t('bench.leftEmptyCoir')}
    value={typed('swellLKg', medium?.swellLKg)}
    error={wrong('swellLKg')}
    inputmode="decimal"
  />
  <Caution>{CAUTIONS.dust}</Caution>
</KeepForm>
