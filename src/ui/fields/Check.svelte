<script lang="ts">
  let { name, label, checked }: { name: string; label: string; checked: boolean } = $props();
</script>

<label><input type="checkbox" {name} {checked} />{label}</label>

<style>
  label {
    display: flex;
    align-items: center;
    gap: 0.75rem;
    min-height: 2.75rem;
    cursor: pointer;
  }
  input {
    width: 1.5rem;
    height: 1.5rem;
    margin: 0;
    flex: none;
    accent-color: var(--beet);
  }
</style>
