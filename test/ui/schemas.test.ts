import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { check } from '../../src/contract/schemas/check.ts';
import { checkBody, eventSchema } from '../../src/contract/schemas/event.ts';
import {
  clockTimeOf,
  householdSchema,
  minutesOf,
  newHouseholdSchema,
  rhythmMinutes,
  signInSchema
} from '../../src/contract/schemas/household.ts';
import { newSowingSchema } from '../../src/contract/schemas/sowing.ts';
import { likelyLatitude } from '../../src/server/households/latitude.ts';

const errorsOf = (checked: ReturnType<typeof check>): Record<string, string> =>
  checked.ok ? {} : checked.errors;

describe('what may be sent', () => {
  const household = {
    name: 'Upstairs',
    zone: 'Europe/Madrid',
    units: 'metric',
    memberName: 'Ilo',
    passphrase: 'three wet spoons'
  };
  const settings = {
    name: 'Upstairs',
    zone: 'UTC',
    units: 'us',
    latitudeDeg: '43.4',
    wake: '07:00',
    sleep: '22:30',
    morning: '07:30',
    evening: '20:30',
    methodKey: 'light-hand'
  };
  const sowing = () => ({
    ids: { first: randomUUID(), second: randomUUID(), container: randomUUID() },
    kind: 'one',
    parts: [{ cropKey: 'radish', lotId: null, share: 1 }],
    container: { name: 'Tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
    count: 1,
    medium: 'coir',
    methodKey: 'press-and-wait',
    placeId: randomUUID(),
    density: 'usual',
    germinationPct: null,
    readyBy: null
  });

  it('a new household, each field with its own complaint', () => {
    expect(check(newHouseholdSchema, household).ok).to.equal(true);
    const empty = errorsOf(check(newHouseholdSchema, {}));
    expect(Object.keys(empty)).to.have.members(['name', 'zone', 'units', 'memberName', 'passphrase']);
    expect(errorsOf(check(newHouseholdSchema, { ...household, zone: 'Mars/Olympus' })).zone).to.include(
      'from the list'
    );
    expect(errorsOf(check(newHouseholdSchema, { ...household, name: '  ' })).name).to.include(
      'Give the household a name'
    );
    expect(errorsOf(check(newHouseholdSchema, { ...household, passphrase: 'short' })).passphrase).to.include(
      'at least 8'
    );
    expect(errorsOf(check(newHouseholdSchema, null))).not.to.deep.equal({});
    expect(Object.keys(errorsOf(check(signInSchema, {})))).to.have.members([
      'name',
      'memberName',
      'passphrase'
    ]);
  });

  it('settings whose rounds fall while somebody is up', () => {
    expect(check(householdSchema, settings).ok).to.equal(true);
    expect(errorsOf(check(householdSchema, { ...settings, sleep: '06:00' })).sleep).to.include(
      'a night of at least 3 hours'
    );
    // Somebody who goes to bed at two has a second round at half past midnight.
    const owl = { ...settings, wake: '10:00', sleep: '02:00', morning: '10:30', evening: '00:30' };
    expect(check(householdSchema, owl).ok).to.equal(true);
    expect(rhythmMinutes(owl)).to.deep.equal({ wakeMin: 600, sleepMin: 1560, roundsMin: [630, 1470] });
    expect(clockTimeOf(1470)).to.equal('00:30');
    expect(errorsOf(check(householdSchema, { ...owl, evening: '03:00' })).evening).to.include(
      'while you are up'
    );
    expect(errorsOf(check(householdSchema, { ...settings, morning: '06:00' })).morning).to.include(
      'while you are up'
    );
    expect(errorsOf(check(householdSchema, { ...settings, evening: '07:10' })).evening).to.include(
      'must come after the first'
    );
    expect(errorsOf(check(householdSchema, { ...settings, evening: '25:10' })).evening).to.include(
      'such as 20:30'
    );
    // One round a day is as good as two.
    expect(check(householdSchema, { ...settings, evening: '' }).ok).to.equal(true);
    expect(errorsOf(check(householdSchema, { ...settings, latitudeDeg: 'north' })).latitudeDeg).to.include(
      'in degrees'
    );
    expect(errorsOf(check(householdSchema, { ...settings, latitudeDeg: 91 })).latitudeDeg).to.include(
      'between -90 and 90'
    );
    expect([minutesOf('07:30'), clockTimeOf(450), clockTimeOf(0)]).to.deep.equal([450, '07:30', '00:00']);
  });

  it('a sowing of known kinds, of numbers and of dates', () => {
    expect(check(newSowingSchema, sowing()).ok).to.equal(true);
    const wrong = (more: object) => errorsOf(check(newSowingSchema, { ...sowing(), ...more }));
    const parts = (...cropKeys: string[]) => ({
      parts: cropKeys.map((cropKey) => ({ cropKey, lotId: null, share: 1 }))
    });
    expect(wrong(parts(''))['parts.0.cropKey']).to.include('Choose a crop');
    expect(wrong({ parts: [] }).parts).to.include('Choose a crop');
    expect(wrong(parts(...Array.from({ length: 7 }, () => 'radish'))).parts).to.include('six crops');
    expect(wrong({ kind: 'thirds' }).kind).to.include('share the container');
    expect(wrong({ density: 'thick' }).density).to.include('Choose a density');
    for (const [field, asks] of [
      ['count', 'whole number'],
      ['seedsPerCm2', 'seeds per cm²'],
      ['ownSeedG', 'Give seed'],
      ['germinationPct', 'percentage'],
      ['soakH', 'hours'],
      ['stackOf', 'number of trays']
    ] as const)
      expect(wrong({ [field]: 'some' })[field], field).to.include(asks);
    expect(wrong({ medium: 'cotton' }).medium).to.include('Choose a medium');
    expect(wrong({ readyBy: 'Saturday' }).readyBy).to.include('does not exist');
    expect(wrong({ ids: { ...sowing().ids, first: 'mine' } })['ids.first']).to.include('Reload');
    const place = {
      id: randomUUID(),
      name: '',
      light: { kind: 'lamp', ppfd: 200, hours: 14 },
      dayC: 70,
      nightC: 18,
      humidityPct: 50,
      movingAir: false
    };
    expect(Object.keys(wrong({ newPlace: place }))).to.have.members(['newPlace.name', 'newPlace.dayC']);
    expect(wrong({ newPlace: place })['newPlace.dayC']).to.include('Fahrenheit');
  });

  it('an event of a kind there is, with what that kind needs', () => {
    const event = {
      id: randomUUID(),
      sowingId: randomUUID(),
      at: Date.parse('2026-11-23T07:00Z'),
      body: { type: 'lit' }
    };
    expect(check(eventSchema, event).ok).to.equal(true);
    expect(check(eventSchema, { ...event, body: { type: 'eaten' } }).ok).to.equal(false);
    expect(check(eventSchema, { ...event, id: 7 }).ok).to.equal(false);
    expect(checkBody({ type: 'watered', waterG: 5, extra: 1 } as never)).to.deep.equal({
      type: 'watered',
      waterG: 5
    });
    expect(() => checkBody({ type: 'watered', waterG: 99_999 } as never)).to.throw('over 20 L');
    expect(() => checkBody({ type: 'ended', reason: 'bored' } as never)).to.throw('Say why');
    expect(() => checkBody({ type: 'cut', grossG: 10, tareG: 0, share: 2, last: true } as never)).to.throw();
    expect(() => checkBody({ type: 'looked', cue: 'windowBest', reached: true } as never)).to.throw();
  });
});

describe('a latitude to begin with', () => {
  it('is on the right side of the equator', () => {
    expect(
      ['Australia/Sydney', 'America/Santiago', 'Africa/Johannesburg']
        .map(likelyLatitude)
        .every((degrees) => degrees < 0)
    ).to.equal(true);
    expect(
      ['Europe/Madrid', 'America/New_York', 'Asia/Tokyo'].map(likelyLatitude).every((degrees) => degrees > 20)
    ).to.equal(true);
    expect(likelyLatitude('Asia/Singapore')).to.be.below(15);
  });
});
