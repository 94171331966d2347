import { randomUUID } from 'node:crypto';
import { confirmationOf, doubtIn, verdictOnPlant } from '../../src/core/crops/names/verdict.ts';
import { ask, type Came, type Sent } from './ask.ts';

/** A household under siege: its things, by which it would be known anywhere else. */
export interface Camp {
  name: string;
  passphrase: string;
  cookie: string;
  ids: Record<
    | 'place'
    | 'sowing'
    | 'event'
    | 'container'
    | 'lot'
    | 'medium'
    | 'product'
    | 'device'
    | 'session'
    | 'notThere',
    string
  >;
  keys: Record<'method' | 'crop', string>;
  token: string;
  /** Words that stand in this household's things and nowhere else. */
  canaries: string[];
}

/** The body of a form. */
export const formBody = (fields: Record<string, string>): string => new URLSearchParams(fields).toString();

/** A request that a page of its own would send. */
export const own = (
  base: URL,
  cookie: string,
  more: Record<string, string> = {}
): Record<string, string> => ({
  cookie,
  origin: base.origin,
  accept: 'text/html,application/json',
  ...more
});
export const FORM = { 'content-type': 'application/x-www-form-urlencoded' };
export const JSON_TYPE = { 'content-type': 'application/json' };

const cookiesOf = (came: Came): string => {
  const set = came.headers['set-cookie'];
  return (Array.isArray(set) ? set : [])
    .map((one) => one.split(';', 1)[0]!)
    .filter((one) => !one.endsWith('='))
    .join('; ');
};

/** Begins a household and gives it one of everything, as its pages would. */
export async function pitch(base: URL, name: string): Promise<Camp> {
  const passphrase = `three wet spoons of ${name}`;
  const canary = (what: string) => `canary-${name}-${what}`.toLowerCase();
  const must = async (what: string, sent: Sent, ok: number[]): Promise<Came> => {
    const came = await ask(base, sent);
    if (!ok.includes(came.status)) throw new Error(`${what}: ${came.status} ${came.text.slice(0, 300)}`);
    return came;
  };
  const welcome = await must(
    'welcome',
    {
      method: 'POST',
      path: '/welcome',
      headers: { ...own(base, ''), accept: 'text/html', ...FORM },
      body: formBody({
        name: canary('household'),
        memberName: canary('member'),
        zone: 'Europe/Madrid',
        units: 'metric',
        passphrase
      })
    },
    [303]
  );
  const cookie = cookiesOf(welcome);
  const post = (path: string, fields: Record<string, string>) =>
    must(
      path,
      {
        method: 'POST',
        path,
        headers: { ...own(base, cookie), accept: 'text/html', ...FORM },
        body: formBody(fields)
      },
      [200, 303]
    );
  const send = (path: string, body: unknown) =>
    must(
      path,
      { method: 'POST', path, headers: own(base, cookie, JSON_TYPE), body: JSON.stringify(body) },
      [200, 201]
    );
  const ids = Object.fromEntries(
    [
      'place',
      'sowing',
      'event',
      'container',
      'lot',
      'medium',
      'product',
      'device',
      'session',
      'notThere'
    ].map((one) => [one, randomUUID()])
  ) as Camp['ids'];
  const keys = { method: `own-${randomUUID()}`, crop: `own-${randomUUID()}` };
  const place = placeFields(ids.place, canary('place'));
  await post('/shelf/new?/save', place);
  await post('/bench/cupboard/lot/new?/save', {
    id: ids.lot,
    cropKey: 'radish',
    name: canary('lot'),
    weighedG: '400',
    packetPct: '90'
  });
  await post('/bench/cupboard/product/new?/save', {
    id: ids.product,
    name: canary('product'),
    kind: 'peroxide',
    strengthPct: '3'
  });
  await post('/bench/cupboard/medium/new?/save', { id: ids.medium, name: canary('medium'), kind: 'coir' });
  const device = await post(`/shelf/${ids.place}?/device`, { id: ids.device, device: canary('device') });
  const token = /brote_[\w-]{32}/.exec(device.text)?.[0] ?? '';
  await send('/api/sowings', sowingBody(ids, canary('container')));
  const kept = await ask(base, {
    method: 'GET',
    path: '/bench/cupboard/__data.json',
    headers: own(base, cookie)
  });
  // The container is kept under the id that the page made.
  if (!kept.text.includes(ids.container)) throw new Error('The container is not in the cupboard.');
  await send('/api/events', {
    events: [{ ...eventBody(ids), body: { type: 'noted', text: canary('note') } }]
  });
  await send(`/api/places/${ids.place}/readings?from=hand`, { readings: [{ tempC: 19.5, humidityPct: 55 }] });
  const methodForm = await ask(base, { method: 'GET', path: '/methods/new', headers: own(base, cookie) });
  if (methodForm.status !== 200) throw new Error('No form for a method.');
  await post('/methods/new?/save', { method: JSON.stringify(methodBody(keys.method, canary('method'))) });
  await post('/crops/new/edit?/save&from=radish', await cropFields(base, cookie, keys.crop, canary('crop')));
  return {
    name,
    passphrase,
    cookie,
    ids,
    keys,
    token,
    canaries: [
      'household',
      'member',
      'place',
      'lot',
      'medium',
      'product',
      'device',
      'container',
      'note',
      'method',
      'crop'
    ].map(canary)
  };
}

/** A place as its form sends it. */
export const placeFields = (id: string, name: string): Record<string, string> => ({
  id,
  name,
  light: 'midday',
  dayC: '21',
  nightC: '18',
  humidityPct: '50',
  ppfd: '',
  hours: '',
  watts: '',
  distanceCm: '',
  widthCm: '80',
  depthCm: '35',
  rated: '8 kg',
  after: ''
});

/** A sowing as the page sends it. */
export const sowingBody = (ids: Camp['ids'], containerName: string) => ({
  ids: { first: ids.sowing, second: ids.notThere, container: ids.container },
  kind: 'one',
  parts: [{ cropKey: 'radish', lotId: ids.lot as string | null, share: 1 }],
  shareOf: 'weight',
  staggered: false,
  container: { name: containerName, shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  count: 1,
  medium: 'coir',
  mediumId: ids.medium,
  methodKey: 'press-and-wait',
  method: null as unknown,
  placeId: ids.place,
  newPlace: null as unknown,
  density: 'usual',
  seedsPerCm2: null as unknown,
  ownSeedG: null as unknown,
  germinationPct: null,
  readyBy: null as string | null,
  shownSeedG: null as number[] | null
});

/** An event as a touch sends it. */
export const eventBody = (ids: Camp['ids']) => ({
  id: ids.event,
  sowingId: ids.sowing,
  at: Date.now(),
  taskKey: null,
  sure: false,
  body: { type: 'noted', text: 'Tails on most of them.' } as Record<string, unknown>
});

/** A method as its form sends it. */
export const methodBody = (key: string, name: string) => ({
  key,
  name,
  medium: 'coir',
  domeDays: null,
  germinationWater: 'shut',
  firstWater: 'before-seed',
  seedCover: 'bare',
  pressing: 'weight',
  darkness: 'dome',
  lightWater: 'below',
  feed: 'none',
  peroxide: 'none',
  disinfect: 'none',
  light: 'sill',
  cutting: 'scissors',
  washing: 'unwashed',
  taking: 'whole',
  disinfectRule: { target: 2000, productPct: 5.25, minutes: 15, ratioLKg: 5, source: 'A label' }
});

/** The fields of the form for a crop of one's own, filled in as it stands there. */
async function cropFields(
  base: URL,
  cookie: string,
  key: string,
  name: string
): Promise<Record<string, string>> {
  const page = await ask(base, {
    method: 'GET',
    path: '/crops/new/edit?from=radish',
    headers: own(base, cookie)
  });
  const fields: Record<string, string> = {};
  for (const [tag] of page.text.matchAll(/<input[^>]*>/g)) {
    const [, field] = /\bname="([^"]+)"/.exec(tag) ?? [];
    if (field) fields[field] = /\bvalue="([^"]*)"/.exec(tag)?.[1] ?? '';
  }
  for (const [, field, options] of page.text.matchAll(
    /<select[^>]*\bname="([^"]+)"[^>]*>([\s\S]*?)<\/select>/g
  ))
    fields[field!] =
      /<option[^>]*value="([^"]*)"[^>]*selected/.exec(options!)?.[1] ??
      /<option[^>]*selected[^>]*value="([^"]*)"/.exec(options!)?.[1] ??
      /<option[^>]*value="([^"]*)"/.exec(options!)?.[1] ??
      '';
  const plant = { name, botanicalName: 'Raphanus sativus', family: 'Brassicaceae' };
  // Alder is a letter away from elder.
  const doubt = doubtIn(verdictOnPlant(plant));
  return { ...fields, ...plant, key, note: '', sure: doubt ? confirmationOf(doubt, plant) : '' };
}
