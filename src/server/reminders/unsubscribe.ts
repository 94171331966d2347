import { createHmac, timingSafeEqual } from 'node:crypto';
import { isId } from '../../contract/text.ts';

/** Signs what names a channel, so that whoever was written to can take it away without signing in. Nothing of it is kept. */
function sealOf(text: string): Buffer {
  const secret = process.env.BROTE_SECRET;
  if (!secret) throw new Error('BROTE_SECRET is not set: start Brote with `npm start`, which sets it.');
  return createHmac('sha256', secret).update(`unsubscribe ${text}`).digest();
}

/** What stands in an unsubscribe address. */
export const unsubscribeToken = (householdId: string, channelId: string): string =>
  `${householdId}.${channelId}.${sealOf(`${householdId}.${channelId}`).toString('base64url')}`;

/** Whose channel a token is of; null where it is none of ours. */
export function readUnsubscribe(token: string): { householdId: string; channelId: string } | null {
  const [householdId = '', channelId = '', seal = ''] = token.split('.');
  if (!isId(householdId) || !isId(channelId)) return null;
  const right = sealOf(`${householdId}.${channelId}`);
  const given = Buffer.from(seal, 'base64url');
  return given.length === right.length && timingSafeEqual(given, right) ? { householdId, channelId } : null;
}
