import { ask } from './ask.ts';

const KEY = 'brote.notify-while-open';

/** Whether this browser shows what comes while Brote is open in it: where it cannot be reached when it is closed. */
export const notifiesWhileOpen = (): boolean => localStorage.getItem(KEY) === 'yes';

export function setNotifiesWhileOpen(on: boolean): void {
  if (on) localStorage.setItem(KEY, 'yes');
  else localStorage.removeItem(KEY);
}

interface Notice {
  id: string;
  toldAt: number;
  title: string;
  body: string;
  path: string;
}

/**
 * Shows what came since a moment as notifications of the browser's own, by the service worker. A browser that is subscribed
 * to pushes gets them that way.
 * @returns the moment of the latest, to go on from
 */
export async function showNotices(since: number): Promise<number> {
  if (!notifiesWhileOpen() || !('Notification' in window) || Notification.permission !== 'granted')
    return since;
  const registration = await navigator.serviceWorker?.getRegistration();
  if (!registration || (await registration.pushManager?.getSubscription())) return since;
  const answer = await ask('/api/reminders');
  if (!answer?.ok) return since;
  const notices = ((await answer.json()) as Notice[]).filter(({ toldAt }) => toldAt > since);
  for (const { id, title, body, path } of notices)
    await registration.showNotification(title, { body, tag: id, icon: '/icon-192.png', data: { path } });
  return Math.max(since, ...notices.map(({ toldAt }) => toldAt));
}
