import type { ChannelKind } from '../../../contract/reminders.ts';
import type { Channel } from '../../reminders/channels.ts';
import type { ChannelType, Message, SendResult } from './channel.ts';
import { mail } from './mail.ts';
import { push } from './push.ts';
import { webhook } from './webhook.ts';

/** Every way to reach a member. A crash between sending and noting it sends again, under the same id: at least once. */
const CHANNELS: { [K in ChannelKind]: ChannelType<K> } = { push, mail, webhook };

/** Sends a message on a channel. Never throws: what goes wrong is said. */
export async function sendOn(channel: Channel, message: Message): Promise<SendResult> {
  const type = CHANNELS[channel.kind] as ChannelType<ChannelKind>;
  try {
    return await type.send(channel.address, message);
  } catch (error) {
    return { ok: false, say: (error as Error).message, gone: false };
  }
}
