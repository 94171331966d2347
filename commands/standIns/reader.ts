import type { CaughtMail } from './mailCatcher.ts';
import type { ReadPush } from './pushService.ts';
import type { TakenCall } from './webhookReceiver.ts';

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
const time = (at: number): string => new Date(at).toISOString().slice(11, 19);

const page = (title: string, body: string): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escaped(title)}</title>
<style>
body{font:16px/1.5 system-ui,sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem;color:#222;background:#fff}
li{margin:.6rem 0}pre{white-space:pre-wrap;background:#f4f4f4;padding:1rem}iframe{width:100%;height:34rem;border:1px solid #ccc}
small{color:#555}
</style><body>${body}</body></html>`;

/** What arrived outside, the latest first. */
export function readerPage(
  mails: readonly CaughtMail[],
  pushes: readonly ReadPush[],
  calls: readonly TakenCall[]
): string {
  const list = (title: string, empty: string, items: string[]) =>
    `<h2>${title}</h2>${items.length > 0 ? `<ul>${items.reverse().join('')}</ul>` : `<p>${empty}</p>`}`;
  return page(
    'Outside of Brote',
    `<h1>Outside of Brote</h1>
<p>What the demo sent by mail, to a browser&rsquo;s push service and to a webhook. Nothing of it left this machine.</p>
${list(
  'Mail',
  'None yet.',
  mails.map(
    ({ at, to, subject }, n) =>
      `<li><a href="/mail/${n}">${escaped(subject)}</a><br><small>${time(at)} to ${escaped(to.join(', '))}</small></li>`
  )
)}
${list(
  'Notifications, decrypted',
  'None yet.',
  pushes.map(({ at, text }) => {
    const { title, body } = JSON.parse(text) as { title: string; body: string };
    return `<li><strong>${escaped(title)}</strong><br>${escaped(body)}<br><small>${time(at)}</small></li>`;
  })
)}
${list(
  'Webhook',
  'None yet.',
  calls.map(
    ({ at, body }) =>
      `<li><small>${time(at)}, signature holds</small><pre>${escaped(JSON.stringify(body, null, 2))}</pre></li>`
  )
)}`
  );
}

/** One mail, as its program shows it and as plain text. */
export const mailPage = ({ from, to, subject, text, html }: CaughtMail): string =>
  page(
    subject,
    `<p><a href="/">All that arrived</a></p><h1>${escaped(subject)}</h1>
<p><small>From ${escaped(from)}<br>To ${escaped(to.join(', '))}</small></p>
<iframe sandbox title="The mail as HTML" srcdoc="${escaped(html)}"></iframe>
<h2>As plain text</h2><pre>${escaped(text)}</pre>`
  );
