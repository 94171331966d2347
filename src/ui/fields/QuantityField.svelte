<script lang="ts">
  import { problemWords } from '$words/problems.ts';
  import { TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { figure } from '$core/units/format.ts';
  import { parseQuantity, unitFactor, type UnitKind } from '$core/units/parseQuantity.ts';

  interface Props {
    label: string;
    kind: UnitKind;
    /** Shown, and taken where none is typed. */
    unit: string;
    /** In the kind's base unit (g, cm, mL); NaN while what is typed cannot be read. */
    value: number;
    /** What is wrong with the value, from whoever checks it. */
    error?: string;
    helper?: string;
    id?: string;
  }
  let { label, kind, unit, value = $bindable(), error = '', helper = '', id }: Props = $props();

  const shown = (base: number) => (Number.isFinite(base) ? figure(base / unitFactor(kind, unit)!) : '');
  let typed = $state(untrack(() => shown(value)));
  let read = $state(untrack(() => value));
  let unread = $state('');

  // A value set from outside replaces what stands here; one read from here leaves the typing alone.
  $effect(() => {
    if (Number.isFinite(value) && value !== read) {
      typed = shown(value);
      read = value;
      unread = '';
    }
  });

  function take(text: unknown) {
    typed = String(text ?? '');
    const parsed = parseQuantity(typed, kind, unit);
    unread = parsed.ok ? '' : problemWords(parsed.problem);
    read = parsed.ok ? parsed.value : NaN;
    value = read;
  }
</script>

<TextInput
  {id}
  labelText="{label} ({unit})"
  value={typed}
  on:input={(event) => take(event.detail)}
  invalid={unread !== '' || error !== ''}
  invalidText={unread || error}
  helperText={helper}
  inputmode="decimal"
  autocomplete="off"
/>
