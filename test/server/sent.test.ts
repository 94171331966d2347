import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { inHousehold } from '../../src/server/db/connection.ts';
import { MOST_READINGS } from '../../src/contract/schemas/readings.ts';
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
} from '../siege/camp.ts';
import type { Came } from '../siege/ask.ts';
import { startApp, type App } from '../support/app.ts';

describe('what is sent', () => {
  let app: App;
  let camp: Camp;
  before(async () => {
    app = await startApp();
    camp = await app.household('Alder');
  });
  after(() => app.close());

  const page = { accept: 'text/html' };
  const form = (path: string, fields: Record<string, string>, headers: Record<string, string> = {}) =>
    app.send({
      method: 'POST',
      path,
      headers: own(app.base, camp.cookie, { ...FORM, ...page, ...headers }),
      body: formBody(fields)
    });
  const json = (path: string, body: unknown, headers: Record<string, string> = {}) =>
    app.send({
      method: 'POST',
      path,
      headers: own(app.base, camp.cookie, { ...JSON_TYPE, ...headers }),
      body: typeof body === 'string' ? body : JSON.stringify(body)
    });
  const event = (more: Record<string, unknown> = {}) => ({
    ...eventBody(camp.ids),
    id: randomUUID(),
    ...more
  });
  /** A sowing that was never sent before. */
  const fresh = () => ({
    ...sowingBody(camp.ids, 'Tray'),
    ids: { first: randomUUID(), second: randomUUID(), container: randomUUID() }
  });
  const message = ({ text }: Came) => (JSON.parse(text) as { message: string }).message;
  const isWell = async () => expect((await app.send({ path: '/api/health' })).text).to.equal('brote');

  it('without an id hangs nobody, however often', async () => {
    const all = await Promise.all(
      Array.from({ length: 24 }, () => form(`/shelf/${camp.ids.place}?/device`, { device: 'x' }))
    );
    expect(all.map(({ status }) => status)).to.deep.equal(all.map(() => 422));
    await isWell();
    expect((await app.send({ path: '/round', headers: own(app.base, camp.cookie) })).status).to.equal(200);
  });

  it('under an address that is none is not there', async () => {
    const { cookie } = camp;
    for (const [path, status] of [
      ['/shelf/not-an-id', 404],
      ['/shelf/%00', 400],
      ['/shelf/a%00b', 400],
      ['/tray/00000000-0000-4000-8000-00000000000g', 404],
      ['/crops/%F0%9F%8C%B1', 404],
      ['/methods/%ED%A0%80', 400],
      ['/%', 400],
      ['/%zz', 400],
      [`/api/places/x/readings`, 404],
      ['/bench/cupboard/lot/1', 404]
    ] as const)
      expect((await app.send({ path, headers: own(app.base, cookie) })).status, path).to.equal(status);
  });

  it('as text is kept composed, without NUL and half characters', async () => {
    const { ids } = camp;
    const id = randomUUID();
    const body = `{"events":[{"id":"${id}","sowingId":"${ids.sowing}","at":${Date.now()},"body":{"type":"noted","text":"a\\u0000b \\ud800 cafe\\u0301"}}]}`;
    expect((await json('/api/events', body)).status).to.equal(200);
    const log = await app.send({
      path: `/tray/${ids.sowing}/__data.json`,
      headers: own(app.base, camp.cookie)
    });
    expect(log.text).to.include('ab \ufffd café');
    const named = await form('/bench/cupboard/lot/new?/save', {
      id: randomUUID(),
      cropKey: 'radish',
      name: 'Tin\u0000 on the shelf',
      weighedG: '10'
    });
    expect(named.status).to.equal(303);
    const cupboard = await app.send({ path: '/bench/cupboard', headers: own(app.base, camp.cookie) });
    expect(cupboard.text).to.include('Tin on the shelf');
  });

  it('as an object, a file or a list where text is meant is refused', async () => {
    for (const text of [{}, [], { toString: 5 }, { toString: null, valueOf: null }, ['a'], 7, null, true])
      expect(
        (await json('/api/events', { events: [event({ body: { type: 'noted', text } })] })).status,
        JSON.stringify(text)
      ).to.equal(422);
    for (const id of [{}, [], { toString: 'x' }, 5, null, '\u0000'])
      expect((await json('/api/events', { events: [event({ id })] })).status, JSON.stringify(id)).to.equal(
        422
      );
    const file = await app.send({
      method: 'POST',
      path: '/bench/cupboard/lot/new?/save',
      headers: own(app.base, camp.cookie, { ...page, 'content-type': 'multipart/form-data; boundary=x' }),
      body: '--x\r\nContent-Disposition: form-data; name="name"; filename="a.txt"\r\n\r\nhello\r\n--x--\r\n'
    });
    expect(file.status).to.equal(422);
    expect(file.text).to.include('This form does not take files.');
  });

  it('too deep, empty, broken or of another kind is told plainly', async () => {
    const deep = `${'['.repeat(20_000)}${']'.repeat(20_000)}`;
    expect(message(await json('/api/events', deep))).to.include('nested too deeply');
    expect(
      message(await json('/api/events', `{"body":${'{"a":'.repeat(20_000)}1${'}'.repeat(20_000)}}`))
    ).to.include('nested too deeply');
    expect([(await json('/api/events', '')).status, message(await json('/api/events', ''))]).to.deep.equal([
      400,
      'Nothing was sent: the body is empty.'
    ]);
    expect(message(await json('/api/events', '{"id":'))).to.include('not valid JSON');
    const wrongType = await json('/api/events', { events: [event()] }, { 'content-type': 'text/html' });
    expect([wrongType.status, message(wrongType)]).to.deep.equal([
      415,
      'Send JSON, with Content-Type: application/json.'
    ]);
    const wrongForm = await form('/household?/save', {}, { 'content-type': 'text/plain' });
    expect(wrongForm.status).to.equal(415);
    expect(wrongForm.text).to.include('This address only takes its own form');
    const broken = await app.send({
      method: 'POST',
      path: '/household?/save',
      headers: own(app.base, camp.cookie, { ...page, 'content-type': 'multipart/form-data; boundary=y' }),
      body: '--x\r\nContent-Disposition: form-data; na'
    });
    expect(broken.status).to.equal(400);
    expect(broken.text).to.include('The connection broke before the form arrived');
  });

  it('over the limit is told so, on forms and on the API', async () => {
    const much = 'x'.repeat(2 * 1024 * 1024 + 10);
    const api = await json('/api/events', JSON.stringify({ text: much }));
    expect([api.status, message(api)]).to.deep.equal([413, 'This is larger than 2 MB. Send it in parts.']);
    const sent = await form('/household?/save', { name: much });
    expect(sent.status).to.equal(413);
    expect(sent.text).to.include('This is larger than 256 kB');
    // As much as the README says a device may send.
    const now = Date.now();
    const line = (n: number) =>
      `air,place=kitchen_shelf,device=probe_by_the_window,room=kitchen,kind=combined,unit=metric temperature=19.5,humidity=55.25 ${(now - n * 60_000) * 1_000_000}`;
    const push = (count: number) =>
      app.send({
        method: 'POST',
        path: '/api/readings',
        headers: { authorization: `Bearer ${camp.token}`, 'content-type': 'text/plain' },
        body: Array.from({ length: count }, (_, n) => line(n)).join('\n')
      });
    const whole = await push(MOST_READINGS);
    expect([whole.status, (JSON.parse(whole.text) as { taken: number }).taken]).to.deep.equal([
      200,
      MOST_READINGS
    ]);
    expect(message(await push(MOST_READINGS + 1))).to.equal(
      'At most 5000 readings in one go: send them in parts.'
    );
  });

  it('as figures and days that no column holds is refused at its field', async () => {
    const container = (owned: string) =>
      form(`/bench/cupboard/container/${camp.ids.container}?/save`, { name: 'Tray', drains: 'yes', owned });
    expect((await container('0.1')).status).to.equal(422);
    expect((await container('2')).status).to.equal(303);
    for (const day of ['0000-00-00', '2026-02-30', '9999-12-31', '-271821-04-20']) {
      const lot = await form('/bench/cupboard/lot/new?/save', {
        id: randomUUID(),
        cropKey: 'radish',
        name: 'Tin',
        weighedG: '10',
        boughtOn: day
      });
      expect(lot.status, day).to.equal(422);
      expect(lot.text).to.include('Choose a date.');
      // What was never marked cannot be unmarked, and is no fault.
      expect((await form('/household/away?/unmark', { fromDay: day })).status, day).to.be.below(400);
    }
    for (const figure of [1e-320, 1e308, -1, 'x', {}, [], null])
      expect(
        (
          await json('/api/sowings', {
            ...fresh(),
            density: 'own',
            seedsPerCm2: figure
          })
        ).status,
        JSON.stringify(figure)
      ).to.equal(422);
    for (const parts of [[null, { cropKey: 'radish' }], [[]], [{}], {}, 'radish', [null], null])
      expect((await json('/api/sowings', { ...fresh(), parts })).status, JSON.stringify(parts)).to.equal(422);
    for (const at of [1e15, 8.64e15 + 1, -1e15, 0.5, '1e400', {}])
      expect((await json('/api/events', { events: [event({ at })] })).status, JSON.stringify(at)).to.equal(
        422
      );
  });

  it('as a method without a rule, or with one that cannot be mixed, is refused at its field', async () => {
    const save = (more: object) =>
      form(`/methods/${camp.keys.method}?/save`, {
        method: JSON.stringify({
          ...methodBody(camp.keys.method, 'Mine'),
          disinfect: 'hypochlorite',
          ...more
        })
      });
    const rule = methodBody('x', 'x').disinfectRule;
    for (const disinfectRule of [
      null,
      {},
      [],
      'x',
      { ...rule, target: null },
      { ...rule, productPct: 0.1 },
      { ...rule, target: 20_001 }
    ])
      expect((await save({ disinfectRule })).status, JSON.stringify(disinfectRule)).to.equal(422);
    expect((await save({ disinfectRule: rule })).status).to.equal(303);
    for (const method of ['', 'x', 'null', '[]', '{"name":null}'])
      expect((await form(`/methods/${camp.keys.method}?/save`, { method })).status, method).to.be.within(
        400,
        422
      );
  });

  it('as a reading whose time is none is refused with why', async () => {
    const push = (at: unknown) =>
      app.send({
        method: 'POST',
        path: '/api/readings',
        headers: { authorization: `Bearer ${camp.token}`, ...JSON_TYPE },
        body: JSON.stringify({ readings: [{ at, tempC: 20 }] })
      });
    for (const at of [{}, [], true, 1e15, 8.64e15 + 1, 'soon', '2026-02-30T07:00Z'])
      expect((await push(at)).status, JSON.stringify(at)).to.equal(422);
    expect(message(await push({}))).to.include('ISO time');
  });

  it('as a zone without a name is refused at the welcome', async () => {
    for (const zone of ['+05:45', '-08:00', 'Europe/Nowhere', 'GMT+1', '\u0000', '']) {
      const begun = await form('/welcome', {
        name: `Zone ${zone}`,
        memberName: 'Ilo',
        zone,
        units: 'metric',
        passphrase: 'three wet spoons'
      });
      expect(begun.status, zone).to.equal(422);
    }
  });

  it('as rounds less than an hour apart is refused with why', async () => {
    const settings = {
      name: 'canary-alder-household',
      zone: 'Europe/Madrid',
      units: 'metric',
      latitudeDeg: '43.4',
      wake: '07:00',
      sleep: '22:30',
      morning: '07:30',
      methodKey: 'press-and-wait'
    };
    const near = await form('/household?/save', { ...settings, evening: '08:29' });
    expect(near.status).to.equal(422);
    expect(near.text).to.include('Rounds lie at least an hour apart');
    expect((await form('/household?/save', { ...settings, evening: '08:30' })).status).to.equal(200);
  });

  it('as a quantity that can be two, or less than nothing, is asked about and kept in its field', async () => {
    const lot = (weighedG: string) =>
      form('/bench/cupboard/lot/new?/save', { id: randomUUID(), cropKey: 'radish', name: 'Tin', weighedG });
    const asked = await lot('1,200 g');
    expect(asked.status).to.equal(422);
    expect(asked.text).to.include('can be 1200 or 1.2');
    expect(asked.text).to.include('value="1,200 g"');
    expect((await lot('-5 g')).status).to.equal(422);
    expect((await lot('1200 g')).status).to.equal(303);
  });

  it('as a sowing that is refused leaves nothing behind, not even its new place', async () => {
    const newPlace = {
      id: randomUUID(),
      name: 'Left behind',
      light: { kind: 'lamp', ppfd: 200, hours: 14 },
      dayC: 20,
      nightC: 18,
      humidityPct: 50,
      movingAir: false
    };
    const sowing = { ...fresh(), newPlace, placeId: newPlace.id };
    const refused = await json('/api/sowings', {
      ...sowing,
      parts: [{ cropKey: 'radish', lotId: randomUUID(), share: 1 }]
    });
    expect([
      refused.status,
      Object.keys((JSON.parse(refused.text) as { fields: object }).fields)
    ]).to.deep.equal([422, ['parts.0.lotId']]);
    const shelf = async () => (await app.send({ path: '/shelf', headers: own(app.base, camp.cookie) })).text;
    expect(await shelf()).not.to.include('Left behind');
    expect((await json('/api/sowings', sowing)).status).to.equal(201);
    expect(await shelf()).to.include('Left behind');
  });

  it('twice under one id is one event, and a conflict where it is another', async () => {
    const once = event({ body: { type: 'watered', waterG: 100 } });
    expect([
      (await json('/api/events', { events: [once] })).status,
      (await json('/api/events', { events: [once] })).status
    ]).to.deep.equal([200, 200]);
    const other = await json('/api/events', {
      events: [{ ...once, body: { type: 'watered', waterG: 900 } }]
    });
    expect(other.status).to.equal(409);
    expect(JSON.parse(other.text)).to.include({
      message: 'Something else was recorded under this id already: it was not taken.',
      code: 'conflict'
    });
  });

  it('of a time before the sowing began, or of what was never there, is refused', async () => {
    const early = await json('/api/events', { events: [event({ at: Date.now() - 3 * 3_600_000 })] });
    expect([early.status, message(early)]).to.deep.equal([
      422,
      'This was before the sowing began: check the time, or write it as a note.'
    ]);
    expect(
      (await json('/api/events', { events: [event({ body: { type: 'undone', eventId: randomUUID() } })] }))
        .status
    ).to.equal(404);
    expect(
      (await json('/api/events', { events: [event({ body: { type: 'moved', placeId: randomUUID() } })] }))
        .status
    ).to.equal(404);
    expect((await json('/api/events', { events: [event({ sowingId: randomUUID() })] })).status).to.equal(404);
  });

  it('as a new size under the name of another is asked for a name of its own; a size that is known keeps its name', async () => {
    const sized = (name: string, lengthCm: number) => ({
      ...fresh(),
      container: { ...sowingBody(camp.ids, name).container, lengthCm }
    });
    const taken = await json('/api/sowings', sized('Tray', 31));
    expect([taken.status, (JSON.parse(taken.text) as { fields: object }).fields]).to.deep.equal([
      422,
      {
        'container.name': '“Tray” is the name of another size. Give this one a different name.'
      }
    ]);
    expect((await json('/api/sowings', sized('Long tray', 31))).status).to.equal(201);
    expect((await json('/api/sowings', sized('Whatever', 31))).status).to.equal(201);
    const cupboard = (await app.send({ path: '/bench/cupboard', headers: own(app.base, camp.cookie) })).text;
    expect(cupboard).to.include('Long tray').and.not.include('Whatever');
  });

  it('as a move that would load a board past its rating is refused, from wherever it is made', async () => {
    const weak = randomUUID();
    expect(
      (await form('/shelf/new?/save', { ...placeFields(weak, 'Weak board'), rated: '250 g' })).status
    ).to.equal(303);
    const sownTray = event({ body: { type: 'sown', waterG: 300 } });
    expect((await json('/api/events', { events: [sownTray] })).status).to.equal(200);
    const move = () => json('/api/events', { events: [event({ body: { type: 'moved', placeId: weak } })] });
    const refused = await move();
    expect([refused.status, (JSON.parse(refused.text) as { code: string }).code]).to.deep.equal([
      422,
      'too-heavy'
    ]);
    expect(message(refused)).to.match(/Weak board would carry .* more than the 250 g it is rated for/);
    expect((await json(`/api/places/${weak}/rating`, {})).status).to.equal(200);
    expect((await move()).status).to.equal(200);
  });

  it('by a device that was added again at another place belongs to that place', async () => {
    const [one, other, device] = [randomUUID(), randomUUID(), randomUUID()];
    for (const [id, name] of [
      [one, 'First shelf'],
      [other, 'Second shelf']
    ] as const)
      expect((await form('/shelf/new?/save', placeFields(id, name))).status).to.equal(303);
    const add = async (place: string) =>
      /brote_[\w-]{32}/.exec(
        (await form(`/shelf/${place}?/device`, { id: device, device: 'Probe' })).text
      )![0];
    const first = await add(one);
    const second = await add(other);
    const push = (token: string) =>
      app.send({
        method: 'POST',
        path: '/api/readings',
        headers: { authorization: `Bearer ${token}`, ...JSON_TYPE },
        body: '{"tempC": 21}'
      });
    expect([(await push(first)).status, (await push(second)).status]).to.deep.equal([401, 200]);
    const shelf = async (id: string) =>
      (await app.send({ path: `/shelf/${id}`, headers: own(app.base, camp.cookie) })).text;
    expect(await shelf(one)).not.to.include('Probe');
    expect(await shelf(other)).to.include('Probe');
    // A place that is not the household's takes none.
    expect((await form(`/shelf/${randomUUID()}?/device`, { id: randomUUID(), device: 'x' })).status).to.equal(
      404
    );
  });

  it('to a database that is away comes back with what was typed, to be sent again', async () => {
    const url = process.env.BROTE_APP_URL!;
    const nowhere = new URL(url);
    nowhere.port = '1';
    process.env.BROTE_APP_URL = nowhere.href;
    const asked = await Promise.all([
      app.send({ path: '/api/health' }),
      json('/api/events', { events: [event()] }),
      app.send({ path: '/round', headers: own(app.base, camp.cookie) }),
      form('/welcome', { name: 'Typed', memberName: 'Ilo', passphrase: 'three wet spoons' })
    ]);
    process.env.BROTE_APP_URL = url;
    expect(asked.map(({ status }) => status)).to.deep.equal([503, 503, 503, 503]);
    expect(asked[1]!.headers['retry-after']).to.equal('2');
    expect(JSON.parse(asked[1]!.text)).to.include({ code: 'away' });
    expect(asked[2]!.text).to.include('One moment');
    await isWell();
    expect(await inHousehold(randomUUID(), (tx) => tx`select 1 from households`)).to.have.length(0);
  });
});
