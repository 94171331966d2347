import { readdirSync, readFileSync } from 'node:fs';
import {
  eventBody,
  FORM,
  formBody,
  JSON_TYPE,
  methodBody,
  own,
  placeFields,
  sowingBody,
  type Camp
} from './camp.ts';
import type { Sent } from './ask.ts';

/** One thing that can be asked of the application, as its own pages would ask it. */
export interface Target {
  /** The route and its method or action, as `POST /shelf/[id]?/save`. */
  name: string;
  sent: Sent;
  /** The fields or the JSON of its body, for others to change. */
  fields?: Record<string, string>;
  json?: unknown;
  /** Ends or changes what the siege itself signs in with: asked with a cookie that is worth nothing. */
  spares?: boolean;
}

/**
 * Everything the source says can be asked: pages, their data, their actions, and the API. What is added there and
 * not here is missed by name.
 */
export function routesOfSource(): string[] {
  const names: string[] = [];
  const files = readdirSync('src/routes', { recursive: true, withFileTypes: true }).filter((file) =>
    file.isFile()
  );
  for (const file of files) {
    const folder =
      file.parentPath
        .replace('src/routes', '')
        .replace('/(app)', '')
        .replace(/=\w+\]/g, ']') || '/';
    const source = readFileSync(`${file.parentPath}/${file.name}`, 'utf8');
    if (file.name === '+page.svelte') names.push(`GET ${folder}`);
    if (file.name === '+page.server.ts') {
      if (folder === '/') names.push('GET /');
      const actions = source.slice(source.indexOf('actions: Actions'));
      if (source.includes('actions: Actions'))
        for (const [, action] of actions.matchAll(/^ {2}(\w+): /gm))
          names.push(`POST ${folder}${action === 'default' ? '' : `?/${action}`}`);
    }
    if (file.name === '+server.ts')
      for (const [, method] of source.matchAll(/export const (GET|POST|PUT|DELETE|PATCH)\b/g))
        names.push(`${method} ${folder}`);
  }
  return [...new Set(names)].sort();
}

/**
 * Everything that can be asked, with the ids and keys of one household and the cookie of another or the same.
 * @param of whose things are named
 * @param by who asks
 */
export function targets(base: URL, of: Camp, by: { cookie: string; token: string }): Target[] {
  const { ids, keys } = of;
  const all: Target[] = [];
  const get = (name: string, path: string) => {
    all.push({ name: `GET ${name}`, sent: { method: 'GET', path, headers: own(base, by.cookie) } });
    if (!path.startsWith('/api') && !/\.(csv|ics|zip|json)$/.test(path.split('?')[0]!))
      all.push({
        name: `GET ${name}`,
        sent: {
          method: 'GET',
          path: `${path === '/' ? '' : path.split('?')[0]}/__data.json${path.includes('?') ? `?${path.split('?')[1]}` : ''}`,
          headers: own(base, by.cookie)
        }
      });
  };
  const form = (name: string, path: string, fields: Record<string, string>, spares = false) =>
    all.push({
      name: `POST ${name}`,
      fields,
      spares,
      sent: { method: 'POST', path, headers: own(base, by.cookie, FORM), body: formBody(fields) }
    });
  const json = (name: string, path: string, body: unknown, headers: Record<string, string> = {}) =>
    all.push({
      name: `POST ${name}`,
      json: body,
      sent: {
        method: 'POST',
        path,
        headers: own(base, by.cookie, { ...JSON_TYPE, ...headers }),
        body: JSON.stringify(body)
      }
    });

  for (const view of [
    '/',
    '/round',
    '/shelf',
    '/bench',
    '/bench/cupboard',
    '/bench/calculators',
    '/sow',
    '/crops',
    '/methods',
    '/notebook',
    '/notebook/compare',
    '/notebook/year',
    '/pantry',
    '/ahead',
    '/ahead/appetite',
    '/ahead/orders',
    '/ahead/seed',
    '/household/money',
    '/household/data',
    '/household/data/import',
    '/household',
    '/household/reminders',
    '/household/people',
    '/household/away',
    '/reminders',
    '/welcome',
    '/offline',
    '/sign-in'
  ])
    get(view, view);
  get('/bench/cupboard/container/[id]', `/bench/cupboard/container/${ids.container}`);
  get('/bench/cupboard/lot/[id]', `/bench/cupboard/lot/${ids.lot}`);
  get('/bench/cupboard/product/[id]', `/bench/cupboard/product/${ids.product}`);
  get('/bench/cupboard/medium/[id]', `/bench/cupboard/medium/${ids.medium}`);
  get('/bench/calculators/[key]', '/bench/calculators/seed?crop=radish&area=25+x+18');
  get('/crops/[key]', `/crops/${keys.crop}`);
  get('/crops/[key]/edit', `/crops/${keys.crop}/edit`);
  get('/methods/[key]', `/methods/${keys.method}`);
  get('/shelf/[id]', `/shelf/${ids.place}`);
  get('/shelf/labels', '/shelf/labels');
  get('/tray/[id]', `/tray/${ids.sowing}`);
  get('/tray/[id]/harvest', `/tray/${ids.sowing}/harvest`);
  get('/tray/[id]/look', `/tray/${ids.sowing}/look`);
  get('/household/away', '/household/away?from=2027-01-10&until=2027-01-12');
  get('/unsubscribe/[token]', `/unsubscribe/${ids.place}.${ids.device}.x`);
  get('/confirm/[token]', `/confirm/${ids.place}.${ids.device}.x`);
  get('/join/[token]', '/join/nobody-was-invited');
  get('/sitter/[token]', '/sitter/nobody-comes-by');
  get('/display/[token]', '/display/nobody-comes-by');
  get('/calendar/[token]/brote.ics', '/calendar/no-such-address/brote.ics');
  get('/notebook', `/notebook?text=canary&crop=radish&place=${ids.place}&lot=${ids.lot}&sort=cut&up=&page=2`);
  get('/notebook/compare', `/notebook/compare?id=${ids.sowing}&id=${ids.notThere}`);
  get('/notebook/year', '/notebook/year?year=2026');
  get('/notebook.csv', '/notebook.csv?text=canary&outcome=cut');
  get('/pantry.csv', '/pantry.csv');
  (get('/api/ahead/due', '/api/ahead/due'),
    get('/api/find', '/api/find'),
    get('/ahead/seed.csv', '/ahead/seed.csv'));
  get('/ahead/seed.txt', '/ahead/seed.txt');
  get('/bench/cupboard/lots.csv', '/bench/cupboard/lots.csv');
  get('/tray/[id]/story.json', `/tray/${ids.sowing}/story.json`);
  get('/household/data/package.zip', '/household/data/package.zip');
  get('/calendar.ics', '/calendar.ics');
  get('/crops.csv', '/crops.csv');
  get('/api/bench', '/api/bench');
  get('/api/ping', '/api/ping');
  get('/api/reminders', '/api/reminders');
  get('/api/health', '/api/health');
  all.push({
    name: 'GET /api/readings',
    sent: { method: 'GET', path: '/api/readings', headers: { authorization: `Bearer ${by.token}` } }
  });

  form(
    '/welcome',
    '/welcome',
    { name: 'Siege', memberName: 'Ilo', zone: 'Europe/Madrid', units: 'metric', passphrase: 'x' },
    true
  );
  form(
    '/sign-in',
    '/sign-in?to=/round',
    { name: 'Siege', memberName: 'Ilo', passphrase: 'guess guess' },
    true
  );
  json('/api/sign-in', '/api/sign-in', { name: 'Siege', memberName: 'Ilo', passphrase: 'guess guess' });
  form('/sign-out', '/sign-out', {}, true);
  form('/household?/save', '/household?/save', {
    name: by.cookie === '' ? 'x' : 'Kept by the siege',
    zone: 'Europe/Madrid',
    units: 'metric',
    latitudeDeg: '43.4',
    wake: '07:00',
    sleep: '22:30',
    morning: '07:30',
    evening: '20:30',
    methodKey: 'press-and-wait'
  });
  form('/household?/theme', '/household?/theme', { theme: 'dark' });
  form('/household?/passphrase', '/household?/passphrase', {
    passphraseNow: 'not this one',
    passphraseNew: 'nor that one'
  });
  form('/household?/signOut', '/household?/signOut', { session: ids.session });
  const at = '/household/reminders';
  form(`${at}?/mail`, `${at}?/mail`, { id: ids.notThere, to: 'nobody@balcony.example' });
  form(`${at}?/webhook`, `${at}?/webhook`, { id: ids.event, url: 'https://hook.balcony.example/x' });
  form(`${at}?/push`, `${at}?/push`, {
    id: ids.lot,
    endpoint: 'https://push.balcony.example/x',
    p256dh: 'BNcRdreALRFXTkOOUHK1EtK2wtaz5Ry4YfYCA_0QTpQtUbVlUls0VJXg7A8u-Ts1XbjhazAkj7I99e8QcYP7DkM',
    auth: 'tBHItJI5svbpez7KI4CCXg'
  });
  form(`${at}?/standIn`, `${at}?/standIn`, { id: ids.medium, kind: 'push' });
  form(`${at}?/kinds`, `${at}?/kinds`, { channel: ids.notThere, kinds: 'round,window' });
  form(`${at}?/test`, `${at}?/test`, { channel: ids.notThere });
  form(`${at}?/remove`, `${at}?/remove`, { channel: ids.device });
  form(`${at}?/quiet`, `${at}?/quiet`, { quietFrom: '22:00', quietUntil: '07:00' });
  form(`${at}?/feed`, `${at}?/feed`, { id: ids.notThere });
  form(`${at}?/noFeed`, `${at}?/noFeed`, { feed: ids.device });
  form('/household/people?/invite', '/household/people?/invite', { id: ids.notThere });
  form('/household/people?/noInvite', '/household/people?/noInvite', { invite: ids.device });
  form('/household/people?/passphrase', '/household/people?/passphrase', {
    now: 'not this',
    own: 'nor that one'
  });
  form('/household/people?/language', '/household/people?/language', { language: 'en' });
  form('/household/people?/remove', '/household/people?/remove', { member: ids.notThere });
  form('/confirm/[token]', `/confirm/${ids.place}.${ids.device}.x`, {});
  form('/household/people?/leave', '/household/people?/leave', {}, true);
  form('/household/away?/mark', '/household/away?/mark', { fromDay: '2099-01-10', untilDay: '2099-01-12' });
  form('/household/away?/unmark', '/household/away?/unmark', { fromDay: '2099-01-10' });
  form('/household/away?/sitter', '/household/away?/sitter', {
    id: ids.notThere,
    name: 'Milla',
    fromDay: '2099-01-10',
    untilDay: '2099-01-12'
  });
  form('/household/away?/revoke', '/household/away?/revoke', { sitter: ids.device });
  form('/join/[token]', '/join/nobody-was-invited', { memberName: 'Ilo', passphrase: 'guess guess' });
  form('/sitter/[token]?/tick', '/sitter/nobody-comes-by?/tick', {
    stop: ids.sowing,
    step: 'sow',
    nonce: ids.notThere
  });
  form('/sitter/[token]?/undo', '/sitter/nobody-comes-by?/undo', { events: ids.event, nonce: ids.notThere });
  form('/unsubscribe/[token]', `/unsubscribe/${ids.place}.${ids.device}.x`, {});
  json('/api/round', '/api/round', { member: ids.notThere });
  form('/shelf/[id]?/save', `/shelf/${ids.place}?/save`, placeFields(ids.place, 'Taken'));
  form('/shelf/[id]?/device', `/shelf/${ids.place}?/device`, { id: ids.notThere, device: 'Another' });
  form('/shelf/[id]?/retire', `/shelf/${ids.place}?/retire`, { device: ids.notThere });
  form('/bench/cupboard/container/[id]?/save', `/bench/cupboard/container/${ids.container}?/save`, {
    name: 'Taken',
    drains: 'yes',
    emptyG: '120',
    reservoirMl: '',
    owned: '3'
  });
  form('/bench/cupboard/container/[id]?/retire', `/bench/cupboard/container/${ids.notThere}?/retire`, {});
  form('/bench/cupboard/lot/[id]?/save', `/bench/cupboard/lot/${ids.lot}?/save`, {
    id: ids.lot,
    cropKey: 'radish',
    name: 'Taken',
    weighedG: '400 g',
    price: '3.50',
    boughtOn: '2026-10-01',
    bestBefore: '2028-02-29',
    packetPct: '92',
    sprouted: '18',
    tested: '20'
  });
  form('/bench/cupboard/lot/[id]?/retire', `/bench/cupboard/lot/${ids.notThere}?/retire`, {});
  form('/bench/cupboard/medium/[id]?/save', `/bench/cupboard/medium/${ids.medium}?/save`, {
    id: ids.medium,
    name: 'Taken',
    kind: 'coir',
    swellLKg: '8',
    parts: '3 coir, 1 perlite'
  });
  form('/bench/cupboard/medium/[id]?/retire', `/bench/cupboard/medium/${ids.notThere}?/retire`, {});
  form('/bench/cupboard/product/[id]?/save', `/bench/cupboard/product/${ids.product}?/save`, {
    id: ids.product,
    name: 'Taken',
    kind: 'hypochlorite',
    strengthPct: '5.25',
    datedOn: '2026-10-01'
  });
  form('/bench/cupboard/product/[id]?/retire', `/bench/cupboard/product/${ids.notThere}?/retire`, {});
  const method = methodBody(keys.method, 'Taken');
  form('/methods/[key]?/save', `/methods/${keys.method}?/save`, { method: JSON.stringify(method) });
  form('/methods/[key]?/retire', `/methods/own-${ids.notThere}?/retire`, {});
  form('/crops/[key]/edit?/save', `/crops/${keys.crop}/edit?/save`, {
    key: keys.crop,
    name: 'Taken',
    botanicalName: 'Raphanus sativus',
    'seedsPerCm2.sparse': '1',
    'seedsPerCm2.usual': '2',
    'seedsPerCm2.dense': '3',
    thousandSeedWeightG: '10',
    sure: 'yes'
  });
  form('/crops/[key]/edit?/retire', `/crops/own-${ids.notThere}/edit?/retire`, {});
  json('/api/events', '/api/events', { events: [eventBody(ids)] });
  for (const body of [
    { type: 'watered', waterG: 120 },
    { type: 'moved', placeId: ids.place },
    { type: 'undone', eventId: ids.event },
    { type: 'looked', cue: 'rooted', reached: false },
    { type: 'weighed', grossG: 900, full: true },
    {
      type: 'cut',
      grossG: 200,
      tareG: 100,
      share: 0.5,
      last: false,
      pieces: [6, 7],
      handling: { tool: 'knife', washing: 'washed', packing: 'paper-box' }
    },
    {
      type: 'packed',
      from: ids.event,
      amount: 20,
      packing: 'frozen',
      washing: 'unwashed',
      made: 20,
      portion: 10
    },
    { type: 'taken', from: ids.event, amount: 5, to: 'eaten' },
    { type: 'thrown', from: ids.event, amount: 5, reason: 'slime' },
    { type: 'cleaned', step: 'wash' }
  ])
    json('/api/events', '/api/events', { events: [{ ...eventBody(ids), id: ids.notThere, body }] });
  json('/api/sowings', '/api/sowings', sowingBody(ids, 'Taken'));
  json('/api/sowings', '/api/sowings', {
    ...sowingBody(ids, 'Taken'),
    ids: { first: ids.notThere, second: ids.event, container: ids.container },
    kind: 'blended',
    parts: [
      { cropKey: 'radish', lotId: ids.lot, share: 2 },
      { cropKey: keys.crop, lotId: null, share: 1 }
    ],
    method,
    density: 'own',
    seedsPerCm2: 2.5,
    readyBy: '2026-02-30'
  });
  form('/household/money?/save', '/household/money?/save', { currency: 'EUR', kWh: '0,28', feedL: '9.5' });
  form('/household/money?/medium', '/household/money?/medium', {
    key: 'coir',
    price: '2.40',
    amount: '5.2',
    uses: '1'
  });
  form('/household/money?/shop', '/household/money?/shop', { key: 'radish', price: '2.60', amount: '50 g' });
  form('/household/money?/forget', '/household/money?/forget', { of: 'shop', key: 'radish' });
  form('/household/data?/empty', '/household/data?/empty', { name: 'not its name' });
  json('/api/data/past', '/api/data/past', {
    sowings: [
      {
        cropKey: 'radish',
        sownAt: Date.UTC(2026, 0, 2, 12),
        openedAt: null,
        cutAt: Date.UTC(2026, 0, 10, 12),
        cutG: 120,
        seedG: 12,
        container: { lengthCm: 25, widthCm: 18 },
        count: 1,
        medium: 'coir',
        placeId: null,
        lost: null,
        note: 'sunny',
        copy: 0
      }
    ],
    placeId: ids.place,
    containerId: null,
    dry: false
  });
  all.push({
    name: 'POST /api/data/import',
    sent: {
      method: 'POST',
      path: '/api/data/import',
      headers: own(base, by.cookie, { 'content-type': 'application/zip' }),
      body: 'no package at all'
    }
  });
  json('/api/clock', '/api/clock', { by: 'round' });
  json('/api/ahead', '/api/ahead', {
    leaveOut: [{ sowingId: ids.sowing, eventId: ids.notThere }],
    lock: [{ sowingId: ids.sowing, locked: true }],
    orderDays: [{ orderId: ids.notThere, day: '2027-01-04', sowingId: ids.sowing }]
  });
  json('/api/sowings/again', '/api/sowings/again', {
    sowingId: ids.sowing,
    ids: { first: ids.notThere, second: ids.event, container: ids.container }
  });
  const put = (path: string, body: unknown, method = 'PUT') =>
    all.push({
      name: `${method} ${path}`,
      json: body,
      sent: {
        method,
        path,
        headers: own(base, by.cookie, { 'content-type': 'application/json' }),
        body: JSON.stringify(body)
      }
    });
  put('/api/ahead/appetite', { eaters: [], tastes: [], daysOff: [1] });
  json('/api/ahead/appetite', '/api/ahead/appetite', { id: ids.notThere, portion: 'handful' });
  put('/api/ahead/orders', {
    id: ids.notThere,
    parts: [{ cropKey: 'radish' }],
    containerId: ids.container,
    count: 1,
    medium: 'coir',
    methodKey: 'press-and-dome',
    placeId: ids.place,
    rule: { kind: 'every', days: 7 },
    fromDay: '2027-01-04'
  });
  put('/api/ahead/orders', { id: ids.notThere }, 'DELETE');
  json('/api/places/[id]/rating', `/api/places/${ids.place}/rating`, {});
  json('/api/places/[id]/readings', `/api/places/${ids.place}/readings?from=hand`, {
    readings: [{ at: null, tempC: 20.5, humidityPct: 55 }]
  });
  json(
    '/api/readings',
    '/api/readings',
    { readings: [{ at: new Date().toISOString(), tempC: 20.5, humidityPct: 55 }] },
    { authorization: `Bearer ${by.token}` }
  );
  all.push({
    name: 'POST /api/readings',
    sent: {
      method: 'POST',
      path: '/api/readings?precision=ms',
      headers: { authorization: `Bearer ${by.token}`, 'content-type': 'text/plain' },
      body: `air,place=x temperature=20.5,humidity=55 ${Date.now()}\nair temperature_f=70`
    }
  });
  return all;
}
