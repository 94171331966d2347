<script lang="ts">
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

<KeepForm title={medium ? 'Medium' : 'A new medium'} away={medium ? 'Put it away: it is used up' : null}>
  <input type="hidden" name="id" value={id} />
  <Field
    name="name"
    label="What you call it"
    placeholder="Balcony mix"
    value={typed('name', medium?.name)}
    error={wrong('name')}
  />
  <Select
    name="kind"
    labelText="Holds water like"
    selected={typed('kind', medium?.kind ?? 'coir')}
    invalid={wrong('kind') !== ''}
    invalidText={wrong('kind')}
  >
    {#each KEPT_MEDIA as kind (kind)}<SelectItem value={kind} text={MEDIUM_WORDS[kind]} />{/each}
  </Select>
  <Field
    name="parts"
    label="Mixed of, if it is mixed"
    placeholder="3 coir, 1 compost, 1 perlite"
    value={typed('parts', medium?.parts?.map(({ name, parts }) => `${parts} ${name}`).join(', '))}
    error={wrong('parts')}
  />
  <Field
    name="swellLKg"
    label="Litres from a dry kg, off the brick"
    helper="Left empty: 8 for coir"
    value={typed('swellLKg', medium?.swellLKg)}
    error={wrong('swellLKg')}
    inputmode="decimal"
  />
  <Caution>{CAUTIONS.dust}</Caution>
</KeepForm>
