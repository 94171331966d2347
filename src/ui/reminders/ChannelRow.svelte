<script lang="ts">
  import { t } from '$messages/t.ts';
  import { Button } from 'carbon-components-svelte';
  import { enhance } from '$ui/state/reload.ts';
  import { REMINDER_KINDS, type ReminderKind } from '$core/reminders/reminder.ts';
  import type { ShownChannel } from '$contract/reminders.ts';
  import { CHANNEL_WORDS, REMINDER_KIND_WORDS } from '$words/reminders.ts';
  import { dayAndTime, type Locale } from '$words/time.ts';

  interface Props {
    channel: ShownChannel;
    now: number;
    locale: Locale;
    /** How far the demo's clock runs ahead of the machine's. */
    aheadMs: number;
  }
  let { channel, now, locale, aheadMs }: Props = $props();

  const toggled = (kind: ReminderKind): string =>
    REMINDER_KINDS.filter((one) => (one === kind) !== channel.kinds.includes(one)).join(',');
  const state = $derived(
    !channel.confirmed
      ? t('reminders.notConfirmedYetOpenMail')
      : channel.broken
        ? t('reminders.nothingGoesHereAnyMore')
        : channel.waiting > 0 && channel.said
          ? t('reminders.tryingAgain')
          : channel.waiting > 0
            ? t('reminders.oneOnWay')
            : channel.lastSentAt !== null
              ? t('reminders.lastSentDayandtime', {
                  dayAndTime: dayAndTime(channel.lastSentAt + aheadMs, now, locale)
                })
              : t('reminders.nothingWasSentHereYet')
  );
</script>

<li>
  <div class="head">
    <div>
      <strong>{channel.name}</strong> <span class="soft">{CHANNEL_WORDS[channel.kind]}</span><br />
      <span class="small" class:warn={channel.broken} role="status">{state} {channel.said ?? ''}</span>
    </div>
    <div class="row">
      <form method="POST" action="?/test" use:enhance>
        <input type="hidden" name="channel" value={channel.id} />
        <Button type="submit" kind="tertiary" class="chip"
          >{channel.broken
            ? t('reminders.tryAgain')
            : channel.confirmed
              ? t('reminders.sendTest')
              : t('reminders.sendMailAgain')}<span class="visually-hidden">
            {t('reminders.name', { name: channel.name })}</span
          ></Button
        >
      </form>
      <form method="POST" action="?/remove" use:enhance>
        <input type="hidden" name="channel" value={channel.id} />
        <Button type="submit" kind="ghost" class="undo"
          >{t('reminders.takeAway')}<span class="visually-hidden">: {channel.name}</span></Button
        >
      </form>
    </div>
  </div>
  <form
    method="POST"
    action="?/kinds"
    use:enhance
    class="row"
    aria-label={t('reminders.whatGoesName', { name: channel.name })}
  >
    <input type="hidden" name="channel" value={channel.id} />
    {#each REMINDER_KINDS as kind (kind)}
      <button class="chip" name="kinds" value={toggled(kind)} aria-pressed={channel.kinds.includes(kind)}
        >{REMINDER_KIND_WORDS[kind].name}</button
      >
    {/each}
  </form>
</li>

<style>
  li {
    display: grid;
    gap: 0.6rem;
    padding: 0.9rem 0;
    border-top: 1.5px solid var(--ink-faint);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.5rem 1rem;
  }
</style>
