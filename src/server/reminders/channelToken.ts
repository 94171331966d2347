import { createHmac, timingSafeEqual } from 'node:crypto';
import { isId } from '../../contract/text.ts';

/** What whoever holds a mail may do to its channel without signing in. */
export type ChannelRight = 'unsubscribe' | 'confirm';

/** Signs what names a channel, for one right to it. Nothing of it is stored. */
function sealOf(right: ChannelRight, text: string): Buffer {
  const secret = process.env.BROTE_SECRET;
  if (!secret) throw new Error('BROTE_SECRET is not set: start Brote with `npm start`, which sets it.');
  return createHmac('sha256', secret).update(`${right} ${text}`).digest();
}

/** The last part of an address that gives a right to a channel. */
export const channelToken = (right: ChannelRight, householdId: string, channelId: string): string =>
  `${householdId}.${channelId}.${sealOf(right, `${householdId}.${channelId}`).toString('base64url')}`;

/** Which channel a token gives that right to; null for a token that Brote did not sign. */
export function readChannelToken(
  asked: ChannelRight,
  token: string
): { householdId: string; channelId: string } | null {
  const [householdId = '', channelId = '', seal = ''] = token.split('.');
  if (!isId(householdId) || !isId(channelId)) return null;
  const right = sealOf(asked, `${householdId}.${channelId}`);
  const given = Buffer.from(seal, 'base64url');
  return given.length === right.length && timingSafeEqual(given, right) ? { householdId, channelId } : null;
}
