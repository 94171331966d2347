<script lang="ts">
  import { t } from '$messages/t.ts';
  import { PasswordInput, TextInput } from 'carbon-components-svelte';

  import { untrack } from 'svelte';
  import { typedBefore } from './typedBefore.ts';

  interface Props {
    name: string;
    label: string;
    value?: string;
    /** What is wrong with it and what to do; empty where all is well. */
    error?: string | undefined;
    helper?: string;
    type?: string;
    placeholder?: string;
    inputmode?: 'decimal' | 'numeric' | 'text' | undefined;
    autocomplete?: AutoFill | undefined;
    /** Given where the form works with what is typed before it is sent. */
    oninput?: (typed: string) => void;
  }
  let {
    name,
    label,
    value = '',
    error = '',
    helper = '',
    type = 'text',
    placeholder = '',
    inputmode,
    autocomplete = 'off',
    oninput
  }: Props = $props();

  /** A passphrase is never sent back, and so nowhere but in what was typed. */
  const typed = untrack(() => (type === 'password' ? typedBefore(name) : ''));
  const rest = $derived({ placeholder, inputmode, autocomplete });
</script>

{#if type === 'password'}
  <PasswordInput
    tooltipAlignment="end"
    showPasswordLabel={t('app.showPassphrase')}
    hidePasswordLabel={t('app.hidePassphrase')}
    {name}
    labelText={label}
    value={value || typed}
    invalid={!!error}
    invalidText={error}
    helperText={helper}
    {...rest}
  />
{:else}
  <TextInput
    {name}
    {type}
    labelText={label}
    {value}
    on:input={(event) => oninput?.(String(event.detail ?? ''))}
    invalid={!!error}
    invalidText={error}
    helperText={helper}
    {...rest}
  />
{/if}
