<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Select, SelectItem } from 'carbon-components-svelte';

  /** Where a household lives, by its time zone, and the units it measures in. */
  interface Props {
    zones: readonly string[];
    /** Empty where nobody chose one yet. */
    zone: string;
    units: string;
    wrong: (field: string) => string;
  }
  let { zones, zone = $bindable(), units = $bindable(), wrong }: Props = $props();
  /** A zone that this server does not know is offered as long as the household has it. */
  const all = $derived(zone === '' || zones.includes(zone) ? zones : [zone, ...zones]);
</script>

<Select
  name="zone"
  labelText={t('household.timeZone')}
  bind:selected={zone}
  invalid={wrong('zone') !== ''}
  invalidText={wrong('zone')}
>
  {#if zone === ''}<SelectItem value="" text={t('household.chooseWhereYouLive')} />{/if}
  {#each all as name (name)}<SelectItem value={name} text={name.replaceAll('_', ' ')} />{/each}
</Select>
<Select
  name="units"
  labelText={t('household.units')}
  bind:selected={units}
  invalid={wrong('units') !== ''}
  invalidText={wrong('units')}
>
  <SelectItem value="metric" text={t('household.metricGMlCmC')} />
  <SelectItem value="us" text={t('household.usOzCupsF')} />
</Select>
