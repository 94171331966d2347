<script lang="ts">
  import { t } from '$messages/t.ts';
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
    if (!answer) say = t('app.noAnswerFromBroteCheck');
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
  modalHeading={t('app.signAgain')}
  primaryButtonText={t('app.signGoOn')}
  secondaryButtonText={t('app.notNow')}
  selectorPrimaryFocus="#again"
  hasForm
  on:click:button--secondary={() => (journal.signedOut = false)}
  on:close={() => (journal.signedOut = false)}
  on:submit={signIn}
>
  <p>{t('app.youWereSignedOutHousehold', { household })}</p>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void signIn();
    }}
  >
    <PasswordInput
      id="again"
      labelText={t('app.passphrase')}
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
