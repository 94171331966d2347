import { t } from '../../../messages/t.ts';
import { createHmac } from 'node:crypto';
import { failed, gone, type ChannelType, type Message } from './channel.ts';
import { postOut, Refused } from './outgoing.ts';

/**
 * The signature of a webhook's body, as the open Standard Webhooks specification has it: over id, time and body, so that
 * neither can be changed and an old one is known for old.
 * @param secret `whsec_` and base64
 */
function signatureOf(secret: string, id: string, seconds: number, body: string): string {
  const key = Buffer.from(secret.replace(/^whsec_/, ''), 'base64');
  return `v1,${createHmac('sha256', key).update(`${id}.${seconds}.${body}`).digest('base64')}`;
}

/** What a webhook is sent. */
function webhookBody({ id, household, base, parts }: Message, now: number): string {
  return JSON.stringify({
    id,
    type: parts.length === 0 ? 'test' : 'reminders',
    sentAt: new Date(now).toISOString(),
    household,
    reminders: parts.map(({ key, kind, dueAt, words, body }) => ({
      key,
      kind,
      dueAt: new Date(dueAt).toISOString(),
      title: words.title,
      summary: words.summary,
      lines: words.lines,
      why: words.why,
      url: new URL(words.path, base).href,
      data: body
    }))
  });
}

export const webhook: ChannelType<'webhook'> = {
  toldApartBy: 'the header webhook-id, the same for every try',
  async send({ url, secret }, message) {
    const now = Date.now();
    const seconds = Math.floor(now / 1000);
    const body = webhookBody(message, now);
    try {
      const { status } = await postOut(
        url,
        {
          'content-type': 'application/json',
          'user-agent': 'Brote',
          'webhook-id': message.id,
          'webhook-timestamp': seconds,
          'webhook-signature': signatureOf(secret, message.id, seconds, body)
        },
        body
      );
      if (status >= 200 && status < 300) return { ok: true };
      if (status === 410) return gone(t('reminders.webhook.gone'));
      return failed(t('reminders.webhook.answered', { status: status }));
    } catch (error) {
      return error instanceof Refused ? gone(error.message) : failed((error as Error).message);
    }
  }
};
