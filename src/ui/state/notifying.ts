import { t } from '$messages/t.ts';
/** Whether this browser can show notifications, and why not. */
export type Notifying = 'insecure' | 'unsupported' | 'denied' | 'possible' | 'granted';

export function notifying(): Notifying {
  if (!window.isSecureContext) return 'insecure';
  if (!('serviceWorker' in navigator) || !('Notification' in window)) return 'unsupported';
  if (Notification.permission === 'denied') return 'denied';
  return Notification.permission === 'granted' ? 'granted' : 'possible';
}

interface Subscribed {
  endpoint: string;
  p256dh: string;
  auth: string;
}

const FAILED = () => t('app.browserCouldNotSubscribeAt');

/**
 * Asks for leave to notify, and subscribes this browser.
 * @param vapidKey of the Brote that will send
 */
export async function subscribeHere(
  vapidKey: string
): Promise<{ ok: true; subscription: Subscribed } | { ok: false; say: string }> {
  if ((await Notification.requestPermission()) !== 'granted')
    return { ok: false, say: t('app.notificationsWereNotAllowedYou') };
  try {
    const registration = await navigator.serviceWorker.ready;
    if (!registration.pushManager) return { ok: false, say: FAILED() };
    const known = await registration.pushManager.getSubscription();
    const subscription =
      known ??
      (await registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: vapidKey }));
    const { endpoint, keys } = subscription.toJSON();
    if (!endpoint || !keys?.p256dh || !keys.auth) return { ok: false, say: FAILED() };
    return { ok: true, subscription: { endpoint, p256dh: keys.p256dh, auth: keys.auth } };
  } catch {
    return { ok: false, say: FAILED() };
  }
}
