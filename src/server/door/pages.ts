import { language, t } from '../../messages/t.ts';
import { AWAY } from '../requests/session.ts';

/** A page that needs nothing of the application. @param body HTML under its heading */
const plainPage = (title: string, body: string, head = ''): string => `<!doctype html>
<html lang="${language()}">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <meta name="color-scheme" content="light dark" />
    ${head}
    <title>${title} · Brote</title>
    <link rel="stylesheet" href="/plain.css" />
  </head>
  <body>
    <main>
      <img src="/brote.svg" alt="" width="56" height="56" />
      <h1>${title}</h1>
      ${body}
    </main>
  </body>
</html>
`;

/** For when a page cannot be drawn. */
export const awayPage = (): string =>
  plainPage(
    t('door.away.title'),
    `<p>${AWAY()}</p><p>${t('door.away.retrying')} <a href="">${t('door.away.tryNow')}</a></p>`,
    '<meta http-equiv="refresh" content="5" />'
  );

/** For a device without a network, in place of a page that it has not stored. */
export const offlinePage = (): string =>
  plainPage(
    t('door.offline.title'),
    `<p>${t('door.offline.text')} <a href="/round">${t('door.offline.round')}</a></p>`
  );
