import { randomUUID } from 'node:crypto';
import { ask } from './ask.ts';
import { JSON_TYPE, own, placeFields, sowingBody, FORM, formBody, type Camp } from './camp.ts';

/** How full a household was made, and how that went. */
export interface Crowd {
  added: number;
  /** Refused with a sentence for being past a limit. */
  refused: number;
  errors: string[];
  /** Pages visited once it was full. */
  visited: number;
}

const CROPS = ['radish', 'pea', 'basil', 'kale', 'beet', 'mustard', 'sunflower', 'broccoli'];

/**
 * Fills a household until it is refused more, several writers at once, and then opens each of its pages: no household may be
 * so full that it keeps the others waiting.
 * @param atMost of each thing; fewer than its limit for a taste
 */
export async function crowd(base: URL, camp: Camp, atMost: number): Promise<Crowd> {
  const found: Crowd = { added: 0, refused: 0, errors: [], visited: 0 };
  const send = async (
    what: string,
    method: string,
    path: string,
    body: string,
    type: Record<string, string>
  ) => {
    const came = await ask(base, {
      method,
      path,
      headers: { ...own(base, camp.cookie, type), accept: 'text/html' },
      body
    });
    if (came.status === 200 || came.status === 201 || came.status === 303) found.added += 1;
    else if (/You already have|already be/.test(came.text)) found.refused += 1;
    else found.errors.push(`${what}: ${came.status} ${came.text.slice(0, 150)}`);
    return came.status < 400;
  };
  /** Four writers, each until it is refused or has written its share. */
  const fill = async (one: (n: number) => Promise<boolean>) => {
    await Promise.all(
      [0, 1, 2, 3].map(async (writer) => {
        for (let n = writer; n < atMost; n += 4) if (!(await one(n))) return;
      })
    );
  };
  const ids = () => ({ ...camp.ids, sowing: randomUUID(), notThere: randomUUID(), container: randomUUID() });
  await fill((n) =>
    send('place', 'POST', '/shelf/new?/save', formBody(placeFields(randomUUID(), `Place ${n}`)), FORM)
  );
  await fill((n) =>
    send(
      'lot',
      'POST',
      '/bench/cupboard/lot/new?/save',
      formBody({
        id: randomUUID(),
        cropKey: CROPS[n % 8]!,
        name: `Lot ${n}`,
        weighedG: '300',
        packetPct: '90'
      }),
      FORM
    )
  );
  await fill((n) =>
    send(
      'sowing',
      'POST',
      '/api/sowings',
      JSON.stringify({
        ...sowingBody(ids(), `Tray ${n}`),
        parts: [{ cropKey: CROPS[n % 8]!, lotId: null, share: 1 }],
        container: {
          name: `Tray ${n}`,
          shape: 'rectangle',
          lengthCm: 20 + n / 10,
          widthCm: 18,
          depthCm: 5,
          cells: 1
        }
      }),
      JSON_TYPE
    )
  );
  await fill((n) =>
    send(
      'order',
      'PUT',
      '/api/ahead/orders',
      JSON.stringify({
        id: randomUUID(),
        parts: [{ cropKey: CROPS[n % 8]! }],
        containerId: camp.ids.container,
        count: 1,
        medium: 'coir',
        methodKey: 'press-and-wait',
        placeId: camp.ids.place,
        rule:
          n % 2 === 0 ? { kind: 'every', days: 1 } : { kind: 'weekdays', weekdays: [1, 2, 3, 4, 5, 6, 7] },
        fromDay: '2026-01-01'
      }),
      JSON_TYPE
    )
  );
  for (const path of [
    '/round',
    '/api/round',
    '/api/ahead/due',
    '/api/ahead/due',
    '/shelf',
    `/shelf/${camp.ids.place}`,
    '/bench',
    '/bench/cupboard',
    '/sow',
    '/ahead',
    '/ahead/orders',
    '/ahead/seed',
    '/ahead/seed.csv',
    '/pantry',
    '/notebook',
    '/notebook.csv',
    '/notebook/year',
    '/calendar.ics',
    '/household/away?from=2027-01-10&until=2027-01-12',
    '/household/money',
    '/crops',
    '/methods',
    `/tray/${camp.ids.sowing}`
  ]) {
    const came = await ask(base, { method: 'GET', path, headers: own(base, camp.cookie) });
    found.visited += 1;
    if (came.status >= 500 || came.hung) found.errors.push(`${path}: ${came.status}`);
  }
  return found;
}
