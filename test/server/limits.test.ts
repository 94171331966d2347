import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { saveLot } from '../../src/server/cupboard/lots.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { savePlace } from '../../src/server/households/places.ts';
import { limitWords } from '../../src/words/limits.ts';
import { anyId } from '../support/anyId.ts';
import { startApp, type App } from '../support/app.ts';
import { JSON_TYPE, own, type Camp } from '../siege/camp.ts';
import { steadyPlace } from '../support/rhythm.ts';

describe('what one household may have and send', () => {
  let app: App;
  let camp: Camp;
  let householdId: string;
  before(async () => {
    app = await startApp();
    camp = await app.household('Alder');
    householdId = await anyId(app.database.ownerUrl);
  });
  after(() => app.close());

  const post = (path: string, body: unknown) =>
    app.send({
      method: 'POST',
      path,
      headers: own(app.base, camp.cookie, JSON_TYPE),
      body: JSON.stringify(body)
    });

  it('lets in no more than the limit, however many write at once', async () => {
    const lot = (n: number) => ({
      id: randomUUID(),
      cropKey: 'radish',
      name: `Lot ${n}`,
      weighedG: 100,
      price: null,
      packetG: null,
      boughtOn: null,
      bestBefore: null,
      packetPct: null,
      test: null,
      parts: null
    });
    const [{ many }] = await inHousehold(
      householdId,
      (tx) => tx<[{ many: number }]>`select count(*)::int as many from lots`
    );
    for (let n = many; n < 196; n += 1)
      await inHousehold(householdId, (tx) => saveLot(tx, householdId, lot(n), Date.now()));
    const codes = await Promise.all(
      Array.from({ length: 8 }, (_, n) =>
        inHousehold(householdId, (tx) => saveLot(tx, householdId, lot(200 + n), Date.now())).then(
          () => 'in',
          (error: { code?: string; detail?: string }) => `${error.code} ${error.detail}`
        )
      )
    );
    expect(codes.filter((code) => code === 'in')).to.have.length(4);
    expect(new Set(codes.filter((code) => code !== 'in'))).to.deep.equal(new Set(['BR001 lots 200']));
  });

  it('says which limit it is and what to do, on the page that it was typed into', async () => {
    const page = await app.send({
      method: 'POST',
      path: '/bench/cupboard/lot/new?/save',
      headers: {
        ...own(app.base, camp.cookie, { 'content-type': 'application/x-www-form-urlencoded' }),
        accept: 'text/html'
      },
      body: new URLSearchParams({
        id: randomUUID(),
        cropKey: 'radish',
        name: 'One too many',
        weighedG: '100'
      }).toString()
    });
    expect(page.status).to.equal(409);
    expect(page.text).to.include(limitWords('lots', 200)).and.to.include('One too many');
  });

  it('saves places that are saved at once, one after the other', async () => {
    const saved = await Promise.all(
      Array.from({ length: 12 }, (_, n) =>
        inHousehold(householdId, (tx) =>
          savePlace(tx, householdId, { ...steadyPlace(20), id: randomUUID(), name: `Place ${n}` }, Date.now())
        ).then(
          () => 'saved',
          (error: Error) => error.message
        )
      )
    );
    expect(new Set(saved)).to.deep.equal(new Set(['saved']));
  });

  it('refuses lists, texts and forms for their length, before reading what is in them', async () => {
    const many = (one: unknown, count: number) => Array.from({ length: count }, () => one);
    const changes = await post('/api/ahead', { begin: many({}, 20_000) });
    expect(changes.status).to.equal(422);
    expect(changes.text).to.include('at most 80');
    const weekdays = await app.send({
      method: 'PUT',
      path: '/api/ahead/orders',
      headers: own(app.base, camp.cookie, JSON_TYPE),
      body: JSON.stringify({ rule: { kind: 'weekdays', weekdays: many('x', 20_000) } })
    });
    expect(weekdays.text).to.include('A week has seven days.');
    const values = await post('/api/events', { events: many([], 400_000) });
    expect(values.status).to.equal(413);
    expect(values.text).to.include('too many values');
  });
});
