import { AWAY } from '../requests/session.ts';

/** A page that needs nothing of the application, for when it cannot be drawn. */
export const AWAY_PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <meta name="color-scheme" content="light dark" />
    <meta http-equiv="refresh" content="5" />
    <title>One moment · Brote</title>
    <link rel="stylesheet" href="/plain.css" />
  </head>
  <body>
    <main>
      <img src="/brote.svg" alt="" width="56" height="56" />
      <h1>One moment</h1>
      <p>${AWAY}</p>
      <p>This page asks again by itself. <a href="">Ask now</a></p>
    </main>
  </body>
</html>
`;
