import { t } from '$messages/t.ts';
import { randomBytes, randomUUID } from 'node:crypto';
import { REMINDER_KINDS } from '$core/reminders/reminder.ts';
import { check } from '$contract/schemas/check.ts';
import { minutesOf } from '$contract/schemas/household.ts';
import {
  kindsSchema,
  mailChannelSchema,
  pushChannelSchema,
  quietSchema,
  webhookChannelSchema
} from '$contract/schemas/reminders.ts';
import { FEED_KINDS, type FeedKind } from '$contract/reminders.ts';
import { isId } from '$contract/text.ts';
import { householdNow } from '$server/households/household.ts';
import { outgoingUrl, Refused } from '$server/jobs/channels/outgoing.ts';
import { vapidKeys } from '$server/jobs/channels/vapid.ts';
import { smtpUrl } from '$server/jobs/channels/mail.ts';
import {
  addChannel,
  channelOfEndpoint,
  listChannels,
  mendChannel,
  quietOf,
  removeChannel,
  setKinds,
  setQuiet,
  type Channel
} from '$server/reminders/channels.ts';
import { addDeliveries } from '$server/reminders/deliveries.ts';
import { setAsideSince } from '$server/reminders/judging.ts';
import { addFeed, listFeeds, removeFeed } from '$server/reminders/feeds.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { callerOf } from '$server/sessions/cookie.ts';
import { waitFor } from '$server/sessions/attempts.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { household, memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [channels, quiet, feeds, setAside] = await Promise.all([
      listChannels(tx, memberId),
      quietOf(tx, memberId),
      listFeeds(tx, memberId),
      setAsideSince(tx)
    ]);
    return {
      channels,
      quiet,
      feeds,
      setAside,
      now: householdNow(household),
      vapidKey: vapidKeys().publicKey,
      hasMail: smtpUrl() !== '',
      /** Where the demo's stand-ins show what arrived. */
      outside: household.demo ? (process.env.BROTE_OUTSIDE ?? null) : null,
      newId: randomUUID()
    };
  });
};

const done = (what: string, more: { secret?: string; feed?: string; feedKind?: FeedKind } = {}) =>
  taken({
    done: what,
    secret: more.secret ?? null,
    feed: more.feed ?? null,
    feedKind: more.feedKind ?? null
  });

/** A message with no reminder in it: a test, or to an address that is not confirmed the question whether it may be. */
const messageNow = (channelId: string) => ({
  id: randomUUID(),
  channelId,
  reminders: [],
  nextAt: Date.now()
});

async function add(
  { locals }: RequestEvent,
  channel: Pick<Channel, 'id' | 'kind' | 'name' | 'address'>
): Promise<void> {
  const { household, memberId } = signedIn(locals);
  return inSession(locals, (tx) =>
    addChannel(tx, household.id, { ...channel, memberId, kinds: [...REMINDER_KINDS] } as Channel)
  );
}

/** What a browser's subscription, real or the demo's, is kept as. */
async function subscribe(
  event: RequestEvent,
  {
    id,
    name,
    endpoint,
    p256dh,
    auth
  }: { id: string; name: string; endpoint: string; p256dh: string; auth: string }
) {
  const { memberId } = signedIn(event.locals);
  const known = await inSession(event.locals, async (tx) => {
    const found = await channelOfEndpoint(tx, endpoint);
    if (found?.memberId === memberId) await mendChannel(tx, memberId, found.id);
    // A browser that two share reminds whoever turned it on last.
    else if (found) await removeChannel(tx, found.memberId, found.id);
    return found?.memberId === memberId;
  });
  if (!known) await add(event, { id, kind: 'push', name, address: { endpoint, keys: { p256dh, auth } } });
  return done('push');
}

export const actions: Actions = {
  mail: form(async (event: RequestEvent, fields) => {
    const checked = check(mailChannelSchema, fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { id, to } = checked.value;
    const { household } = signedIn(event.locals);
    const wait = await waitFor(t('household.mailId', { id: household.id }), 12);
    if (wait > 0)
      return notTaken(429, fields, {
        to: t('household.youAddedManyAddressesTry', { seconds: wait })
      });
    await add(event, { id, kind: 'mail', name: to, address: { to } });
    await inSession(event.locals, (tx) => addDeliveries(tx, household.id, [messageNow(id)]));
    return done('mail');
  }),
  webhook: form(async (event: RequestEvent, fields) => {
    const checked = check(webhookChannelSchema, fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { id, url } = checked.value;
    try {
      outgoingUrl(url);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      return notTaken(422, fields, { url: error.message });
    }
    const secret = `whsec_${randomBytes(24).toString('base64')}`;
    const name = new URL(url).host.slice(0, 200);
    await add(event, { id, kind: 'webhook', name, address: { url, secret } });
    return done('webhook', { secret });
  }),
  push: form(async (event: RequestEvent, fields) => {
    const checked = check(pushChannelSchema, fields);
    if (!checked.ok) return notTaken(422, fields, { push: Object.values(checked.errors)[0] ?? '' });
    return subscribe(event, { ...checked.value, name: callerOf(event).agent });
  }),
  /** In the demo a stand-in plays the push service that a browser's maker runs. */
  standIn: form(async (event: RequestEvent, { id, kind }) => {
    const outside = process.env.BROTE_OUTSIDE;
    if (!outside || !signedIn(event.locals).household.demo || !isId(id))
      return notTaken(404, {}, { push: t('household.onlyDemoHasStand') });
    if (kind === 'webhook') {
      const secret = `whsec_${randomBytes(24).toString('base64')}`;
      await fetch(`${outside}trust`, { method: 'POST', body: secret });
      await add(event, {
        id,
        kind,
        name: t('household.demosWebhook'),
        address: { url: `${outside}hook`, secret }
      });
      return done('webhook');
    }
    const answer = await fetch(`${outside}subscribe`, { method: 'POST' });
    const { endpoint, keys } = (await answer.json()) as {
      endpoint: string;
      keys: { p256dh: string; auth: string };
    };
    return subscribe(event, { id, name: t('household.demosBrowser'), endpoint, ...keys });
  }),
  kinds: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(kindsSchema, fields);
    if (!checked.ok) return notTaken(422, {}, checked.errors);
    const { channel, kinds } = checked.value;
    await inSession(locals, (tx) => setKinds(tx, signedIn(locals).memberId, channel, kinds));
    return done('kinds');
  }),
  test: form(async ({ locals }: RequestEvent, { channel = '' }) => {
    const { household, memberId } = signedIn(locals);
    const wait = await waitFor(t('household.testId', { id: household.id }), 12);
    if (wait > 0) return notTaken(429, {}, {}, t('household.manyTestsWereSentTry', { seconds: wait }));
    await inSession(locals, async (tx) => {
      const own = (await listChannels(tx, memberId)).find(({ id }) => id === channel);
      if (!own) return;
      if (own.broken) await mendChannel(tx, memberId, own.id);
      await addDeliveries(tx, household.id, [messageNow(own.id)]);
    });
    return done('test');
  }),
  remove: form(async ({ locals }: RequestEvent, { channel = '' }) => {
    if (isId(channel)) await inSession(locals, (tx) => removeChannel(tx, signedIn(locals).memberId, channel));
    return done('removed');
  }),
  quiet: form(async ({ locals }: RequestEvent, fields) => {
    const checked = check(quietSchema, fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { quietFrom, quietUntil } = checked.value;
    const quiet =
      quietFrom && quietUntil ? { fromMin: minutesOf(quietFrom), untilMin: minutesOf(quietUntil) } : null;
    await inSession(locals, (tx) => setQuiet(tx, signedIn(locals).memberId, quiet));
    return done('quiet');
  }),
  feed: form(async ({ locals, url }: RequestEvent, { id, kind: asked }) => {
    const { household, memberId } = signedIn(locals);
    if (!isId(id)) return notTaken(422, {}, { feed: t('household.loadPageAnewTryAgain') });
    const kind = FEED_KINDS.find((one) => one === asked) ?? 'calendar';
    const token = await inSession(locals, (tx) => addFeed(tx, household.id, memberId, id, kind));
    const path = kind === 'display' ? `/display/${token}` : `/calendar/${token}/brote.ics`;
    return done('feed', token ? { feed: new URL(path, url).href, feedKind: kind } : {});
  }),
  noFeed: form(async ({ locals }: RequestEvent, { feed = '' }) => {
    if (isId(feed)) await inSession(locals, (tx) => removeFeed(tx, signedIn(locals).memberId, feed));
    return done('noFeed');
  })
};
