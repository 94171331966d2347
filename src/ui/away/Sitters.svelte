<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import Field from '$ui/fields/Field.svelte';
  import ShownOnce from '$ui/shell/ShownOnce.svelte';
  import { shortDate, type Locale } from '$words/time.ts';

  interface Props {
    sitters: readonly { id: string; name: string; untilAt: number }[];
    /** The address that was just made; shown this once. */
    shown: { name: string; address: string } | null;
    newId: string;
    fromDay: string;
    untilDay: string;
    name: string;
    wrong: (field: string) => string;
    locale: Locale;
  }
  let { sitters, shown, newId, fromDay, untilDay, name, wrong, locale }: Props = $props();
</script>

<section class="stack" aria-labelledby="sitter-title">
  <h2 id="sitter-title">{t('household.sitter')}</h2>
  <p class="small soft">
    {t('household.whoeverComesByGetsAddress')}
  </p>
  {#if shown}
    <ShownOnce secret={shown.address} isLink
      >{t('household.nameShownOnceSendThem', { name: shown.name })}</ShownOnce
    >
  {/if}
  {#if sitters.length > 0}
    <ul>
      {#each sitters as sitter (sitter.id)}
        <li>
          <span
            ><strong>{sitter.name}</strong><br /><span class="small soft"
              >{t('household.untilShortdate', { shortDate: shortDate(sitter.untilAt, locale) })}</span
            ></span
          >
          <form method="POST" action="?/revoke" use:enhance>
            <input type="hidden" name="sitter" value={sitter.id} />
            <Button type="submit" kind="ghost" class="undo"
              >{t('household.takeAddressAway')}<span class="visually-hidden">: {sitter.name}</span></Button
            >
          </form>
        </li>
      {/each}
    </ul>
  {/if}
  <form method="POST" action="?/sitter" use:enhance class="stack" novalidate>
    <input type="hidden" name="id" value={newId} />
    <Field
      name="name"
      label={t('household.whoComesBy')}
      placeholder={t('household.auntMilla')}
      value={name}
      error={wrong('name')}
    />
    <div class="pair">
      <Field
        name="fromDay"
        type="date"
        label={t('household.from')}
        value={fromDay}
        error={wrong('fromDay')}
      />
      <Field
        name="untilDay"
        type="date"
        label={t('household.until')}
        value={untilDay}
        error={wrong('untilDay')}
      />
    </div>
    <div><Button type="submit" kind="tertiary">{t('household.makeTheirAddress')}</Button></div>
  </form>
</section>

<style>
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 0.6rem;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    align-items: center;
  }
</style>
