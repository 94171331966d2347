<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Spray } from '$core/supplies/methods/method.ts';
  import { MOST_SPRAYS } from '$contract/schemas/method.ts';
  import Caution from '$ui/shell/Caution.svelte';
  import { CAUTIONS } from '$words/cautions.ts';

  /** What a household sprays of its own, line by line. */
  interface Props {
    sprays: readonly Spray[];
    wrong: Record<string, string>;
    onchange: (sprays: readonly Spray[]) => void;
  }
  let { sprays, wrong, onchange }: Props = $props();

  const change = (at: number, part: Partial<Spray>) =>
    onchange(sprays.map((spray, index) => (index === at ? { ...spray, ...part } : spray)));
</script>

<fieldset class="sprays">
  <legend>{t('methods.spraysYourOwn')}</legend>
  {#each sprays as { name, timesADay }, at (at)}
    <div class="line">
      <TextInput
        labelText={t('methods.sprayAtWhatWith', { at: at + 1 })}
        placeholder={t('methods.nettleWater')}
        value={name}
        on:input={(event) => change(at, { name: String(event.detail ?? '') })}
        invalid={!!wrong[`sprays.${at}.name`]}
        invalidText={wrong[`sprays.${at}.name`]}
      />
      <Select
        labelText={t('methods.howOften')}
        selected={timesADay}
        on:change={(event) =>
          change(at, { timesADay: (event.target as HTMLSelectElement).value === '2' ? 2 : 1 })}
      >
        <SelectItem value={1} text={t('methods.onceDay')} />
        <SelectItem value={2} text={t('methods.morningEvening')} />
      </Select>
      <Button kind="ghost" class="undo" on:click={() => onchange(sprays.filter((_, index) => index !== at))}
        >{t('methods.takeAway')}<span class="visually-hidden">
          {t('methods.sprayAt', { at: at + 1 })}</span
        ></Button
      >
    </div>
  {/each}
  {#if wrong.sprays}<p class="warn small" role="alert">{wrong.sprays}</p>{/if}
  <p class="small soft">
    {t('methods.noneAskedLightAtRounds', { when: sprays.length === 0 ? 'yes' : 'no' })}
  </p>
  {#if sprays.length > 0}<Caution>{CAUTIONS.ownSpray}</Caution>{/if}
  {#if sprays.length < MOST_SPRAYS}
    <div>
      <Button
        kind="tertiary"
        size="small"
        type="button"
        on:click={() => onchange([...sprays, { name: '', timesADay: 1 }])}>{t('methods.addSpray')}</Button
      >
    </div>
  {/if}
</fieldset>

<style>
  .sprays {
    display: grid;
    gap: 0.5rem;
    border: 0;
    margin: 0;
    padding: 0;
  }
  .line {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 12rem) auto;
    gap: 0.75rem;
    align-items: end;
  }
  @media (max-width: 40rem) {
    .line {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
