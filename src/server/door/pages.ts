import { language, t } from '../../messages/t.ts';
import { AWAY } from '../requests/session.ts';

/** A page that needs nothing of the application, for when it cannot be drawn. */
export const awayPage = (): string => `<!doctype html>
<html lang="${language()}">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <meta name="color-scheme" content="light dark" />
    <meta http-equiv="refresh" content="5" />
    <title>${t('door.away.title')} · Brote</title>
    <link rel="stylesheet" href="/plain.css" />
  </head>
  <body>
    <main>
      <img src="/brote.svg" alt="" width="56" height="56" />
      <h1>${t('door.away.title')}</h1>
      <p>${AWAY()}</p>
      <p>${t('door.away.retrying')} <a href="">${t('door.away.tryNow')}</a></p>
    </main>
  </body>
</html>
`;
