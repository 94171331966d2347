import { createHmac, timingSafeEqual } from 'node:crypto';
import type { IncomingHttpHeaders } from 'node:http';

/** A call as the receiver understood it. */
export interface TakenCall {
  at: number;
  id: string;
  body: unknown;
}

/** How old a call may be, s: an older one was kept and sent again by somebody. */
const MOST_AGE_S = 300;

/**
 * Receives webhooks signed as the Standard Webhooks specification has it. A call that comes again under the same id is
 * answered as the first was, and taken once.
 */
export class WebhookReceiver {
  readonly calls: TakenCall[] = [];
  /** Calls that came again. */
  repeated = 0;
  /** What it answers instead; null to behave. */
  answer: number | null = null;
  private readonly secrets = new Set<string>();

  /** Trusts what is signed with a secret, as somebody who pasted it. */
  trust(secret: string): void {
    this.secrets.add(secret);
  }

  take(headers: IncomingHttpHeaders, body: string): number {
    if (this.answer !== null) return this.answer;
    const id = String(headers['webhook-id'] ?? '');
    const seconds = Number(headers['webhook-timestamp']);
    if (!id || !(Math.abs(Date.now() / 1000 - seconds) < MOST_AGE_S)) return 400;
    const given = String(headers['webhook-signature'] ?? '').split(' ');
    const holds = [...this.secrets].some((secret) => {
      const key = Buffer.from(secret.slice('whsec_'.length), 'base64');
      const right = createHmac('sha256', key).update(`${id}.${seconds}.${body}`).digest();
      return given.some((one) => {
        const seal = Buffer.from(one.replace(/^v1,/, ''), 'base64');
        return seal.length === right.length && timingSafeEqual(seal, right);
      });
    });
    if (!holds) return 401;
    if (this.calls.some((call) => call.id === id)) this.repeated += 1;
    else this.calls.push({ at: Date.now(), id, body: JSON.parse(body) as unknown });
    return 204;
  }
}
