import { t } from '../../../messages/t.ts';
import webpush from 'web-push';
import { failed, gone, type ChannelType, type Message } from './channel.ts';
import { postOut, Refused } from './outgoing.ts';
import { vapidKeys } from './vapid.ts';

/** What the service worker is handed, encrypted for it alone; the standard allows 4096 bytes, less what encryption takes. */
const MOST_BYTES = 3000;

/** A message as a notification has it. */
export interface PushPayload {
  id: string;
  title: string;
  body: string;
  path: string;
}

function pushPayload({ id, title, parts }: Message): PushPayload {
  const lines =
    parts.length === 1
      ? [parts[0]!.words.summary]
      : parts.map(({ words }) => `${words.title}. ${words.summary}`);
  const payload = { id, title, body: lines.join('\n'), path: parts[0]?.words.path ?? '/household/reminders' };
  while (Buffer.byteLength(JSON.stringify(payload)) > MOST_BYTES)
    payload.body = `${payload.body.slice(0, Math.floor(payload.body.length * 0.9) - 2)} …`;
  return payload;
}

export const push: ChannelType<'push'> = {
  toldApartBy: 'the notification’s tag, by which a second one takes the place of the first',
  async send(subscription, message) {
    try {
      const contact = process.env.BROTE_MAIL_FROM ?? '';
      const address = /<([^<>]+)>/.exec(contact)?.[1] ?? contact;
      const { endpoint, headers, body } = webpush.generateRequestDetails(
        subscription,
        JSON.stringify(pushPayload(message)),
        {
          vapidDetails: { subject: `mailto:${address || 'brote@localhost'}`, ...vapidKeys() },
          TTL: Math.max(60, Math.round(message.ttlS)),
          // One that was not fetched yet is replaced by its own repetition.
          topic: message.id.replaceAll('-', ''),
          urgency: 'normal',
          contentEncoding: 'aes128gcm'
        }
      );
      const { status } = await postOut(endpoint, headers as Record<string, string>, body);
      if (status >= 200 && status < 300) return { ok: true };
      if (status === 404 || status === 410) return gone(t('reminders.push.gone'));
      if (status === 401 || status === 403) return gone(t('reminders.push.refused'));
      return failed(t('reminders.push.answered', { status: status }));
    } catch (error) {
      if (error instanceof Refused) return gone(error.message);
      return failed((error as Error).message);
    }
  }
};
