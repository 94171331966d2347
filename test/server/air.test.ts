import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { airOf, BIN_MS, binIndex } from '../../src/core/places/air/series.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import {
  addReadings,
  airBetween,
  lastReadings,
  readingsBetween,
  thinReadings,
  THINNED_AFTER_D
} from '../../src/server/air/air.ts';
import {
  addDevice,
  listDevices,
  noteRefused,
  openDevice,
  retireDevice
} from '../../src/server/air/devices.ts';
import { inHousehold, outside } from '../../src/server/db/connection.ts';
import { savePlace, listPlaces, orderPlaces, sureOfRating } from '../../src/server/households/places.ts';
import type { Place } from '../../src/core/places/place.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { refusal } from '../support/refusal.ts';
import { household } from '../support/settings.ts';

const NOON = Date.parse('2026-11-23T12:00Z');
const reading = (hours: number, tempC: number, humidityPct: number | null = 50) => ({
  at: NOON + hours * HOUR,
  tempC,
  humidityPct
});
const sill: Place = {
  id: randomUUID(),
  name: 'Sill',
  light: { kind: 'sill', aspect: 'side', back: true },
  dayC: 20,
  nightC: 16,
  humidityPct: 50,
  movingAir: false,
  widthCm: 60,
  depthCm: 20,
  ratedG: 5000,
  ratingSure: false
};

describe('what is measured', () => {
  let database: TestDatabase;
  let one: string;
  let other: string;
  before(async () => {
    database = await freshDatabase();
    one = (await household('One')).id;
    other = (await household('Other')).id;
    await inHousehold(one, (tx) => savePlace(tx, one, sill, Date.now()));
  });
  after(() => database.drop());

  const air = async () => airOf((await inHousehold(one, listPlaces)).find(({ id }) => id === sill.id)!);

  it('is kept once, however often it is sent, and its means follow', async () => {
    const sent = [reading(0, 20), reading(1, 22), reading(4, 18, null)];
    const add = () => inHousehold(one, (tx) => addReadings(tx, one, sill.id, 'hand', sent));
    expect([await add(), await add()]).to.deep.equal([3, 0]);
    expect((await air())!.bins).to.deep.equal([
      { index: binIndex(NOON), tempC: 21, humidityPct: 50 },
      { index: binIndex(NOON) + 1, tempC: 18, humidityPct: null }
    ]);
    await inHousehold(one, (tx) =>
      addReadings(tx, one, sill.id, 'file', [reading(2, 24, 60), reading(2, 24, 60)])
    );
    expect((await air())!.bins[0]).to.deep.equal({ index: binIndex(NOON), tempC: 22, humidityPct: 53 });
    const kept = await inHousehold(one, (tx) => readingsBetween(tx, sill.id, NOON, NOON + BIN_MS - 1));
    expect(kept.map(({ tempC }) => tempC)).to.deep.equal([20, 22, 24]);
  });

  it('is told by its last reading, place by place and source by source', async () => {
    const last = await inHousehold(one, lastReadings);
    expect(last.map(({ source, tempC }) => [source, tempC])).to.have.deep.members([
      ['hand', 18],
      ['file', 24]
    ]);
  });

  it('is thinned to hourly means once no device can send it again, day by day, and no further', async () => {
    const now = Date.now();
    const day = Math.floor((now - (THINNED_AFTER_D + 3) * DAY) / DAY) * DAY;
    const place = { ...sill, id: randomUUID(), name: 'Measured each minute' };
    await inHousehold(one, async (tx) => {
      await savePlace(tx, one, place, now);
      await tx`insert into readings (household_id, place_id, at, source, temp_c, humidity_pct)
        select ${one}, ${place.id}, ${new Date(day)}::timestamptz + n * interval '1 minute', 'hand', 20 + n % 2, null
        from generate_series(0, 2879) n`;
      await addReadings(tx, one, place.id, 'hand', [{ at: now - DAY, tempC: 21, humidityPct: 40 }]);
    });
    while (await thinReadings(now));
    const left = await inHousehold(one, (tx) => readingsBetween(tx, place.id, 0, now));
    expect(left).to.have.length(48 + 1);
    expect(left[0]).to.deep.equal({ at: day + HOUR / 2, tempC: 20.5, humidityPct: null });
    expect(left.at(-1)!.humidityPct).to.equal(40);
    // Done once: nothing changes until the next day, and other households' were looked after as well.
    expect(await thinReadings(now)).to.equal(false);
  });

  it('is never changed or taken away, and stays in its household', async () => {
    expect(await refusal(inHousehold(one, (tx) => tx`update readings set temp_c = 1`))).to.include(
      'permission denied'
    );
    expect(await refusal(inHousehold(one, (tx) => tx`delete from readings`))).to.include('permission denied');
    expect(await inHousehold(other, lastReadings)).to.deep.equal([]);
    expect(await inHousehold(other, (tx) => airBetween(tx, sill.id, 0, NOON))).to.deep.equal([]);
    expect(
      await refusal(inHousehold(other, (tx) => addReadings(tx, one, sill.id, 'hand', [reading(9, 20)])))
    ).to.include('row-level security');
  });

  it('comes from devices known by a token that is kept nowhere, until it is taken away', async () => {
    const id = randomUUID();
    const token = await inHousehold(one, (tx) =>
      addDevice(tx, one, { id, name: 'Sensor', placeId: sill.id })
    );
    const opened = await openDevice(token);
    expect([opened!.household.id, opened!.deviceId, opened!.placeId]).to.deep.equal([one, id, sill.id]);
    expect(await openDevice('brote_nothing')).to.equal(null);
    const stored = await inHousehold(one, (tx) => tx`select token_hash from devices`);
    expect(JSON.stringify(stored)).not.to.include(token);
    await inHousehold(one, (tx) => noteRefused(tx, id, NOON, 'too hot'));
    expect(await inHousehold(one, listDevices)).to.deep.include.members([
      {
        id,
        name: 'Sensor',
        placeId: sill.id,
        createdAt: (await inHousehold(one, listDevices))[0]!.createdAt,
        refused: { at: NOON, say: 'too hot' }
      }
    ]);
    expect(await inHousehold(other, listDevices)).to.deep.equal([]);
    await inHousehold(one, (tx) => retireDevice(tx, id));
    expect(await openDevice(token)).to.equal(null);
    const again = await inHousehold(one, (tx) =>
      addDevice(tx, one, { id, name: 'Sensor', placeId: sill.id })
    );
    expect(again).not.to.equal(token);
    expect((await openDevice(again))!.deviceId).to.equal(id);
    expect(await outside((sql) => sql`select 1 from devices`)).to.have.length(0);
  });
});

describe('places', () => {
  let database: TestDatabase;
  let id: string;
  before(async () => {
    database = await freshDatabase();
    id = (await household('One')).id;
  });
  after(() => database.drop());

  it('come back as they were kept, whatever their light, in the order of the walk', async () => {
    const lights: Place['light'][] = [
      { kind: 'lamp', ppfd: 180, hours: 14, watts: 30, distanceCm: 25 },
      { kind: 'sill', aspect: 'away', back: false },
      { kind: 'dark' }
    ];
    const places = lights.map((light, n) => ({ ...sill, id: randomUUID(), name: `Place ${n}`, light }));
    const now = Date.now();
    const back = await inHousehold(id, async (tx) => {
      for (const place of places) await savePlace(tx, id, place, now);
      await savePlace(tx, id, { ...places[0]!, dayC: 24 }, now);
      await sureOfRating(tx, places[2]!.id);
      await orderPlaces(tx, places.map((place) => place.id).toReversed());
      return (await listPlaces(tx)).filter(({ name }) => name.startsWith('Place'));
    });
    const { dayC, nightC, humidityPct } = sill;
    expect(back).to.deep.equal([
      { ...places[2], ratingSure: true },
      places[1],
      // What was usual before holds until it was changed.
      { ...places[0], dayC: 24, usualBefore: [{ until: now, dayC, nightC, humidityPct }] }
    ]);
  });
});
