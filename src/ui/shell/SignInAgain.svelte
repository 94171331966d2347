<script lang="ts">
  import { Modal, PasswordInput } from 'carbon-components-svelte';
  import { post } from '$ui/state/ask.ts';
  import { useJournal } from '$ui/state/journal.svelte.ts';

  let { household, member, onsignedin }: { household: string; member: string; onsignedin: () => void } =
    $props();
  const journal = useJournal();
  let passphrase = $state('');
  let say = $state('');

  async function signIn() {
    const answer = await post('/api/sign-in', { name: household, memberName: member, passphrase });
    if (!answer) say = 'No answer from Brote: check the connection and try again.';
    else if (answer.ok) {
      passphrase = '';
      say = '';
      journal.signedOut = false;
      await journal.flush();
      onsignedin();
    } else say = ((await answer.json()) as { message: string }).message;
  }
</script>

<Modal
  size="xs"
  open={journal.signedOut}
  modalHeading="Sign in again"
  primaryButtonText="Sign in and go on"
  secondaryButtonText="Not now"
  selectorPrimaryFocus="#again"
  hasForm
  on:click:button--secondary={() => (journal.signedOut = false)}
  on:close={() => (journal.signedOut = false)}
  on:submit={signIn}
>
  <p>You were signed out of {household}. What you entered is still here and is saved once you are back.</p>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void signIn();
    }}
  >
    <PasswordInput
      id="again"
      labelText="Passphrase"
      bind:value={passphrase}
      invalid={say !== ''}
      invalidText={say}
      autocomplete="current-password"
    />
  </form>
</Modal>

<style>
  form {
    margin-top: 1rem;
  }
</style>
