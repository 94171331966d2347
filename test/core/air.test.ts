import { expect } from 'chai';
import { problemWords } from '../../src/words/problems.ts';
import fc from 'fast-check';
import { warmthRates } from '../../src/core/places/air/rates.ts';
import { airAt, usualAir } from '../../src/core/places/air/airAt.ts';
import { readReadingsCsv } from '../../src/core/places/air/csv.ts';
import { readTime } from '../../src/core/places/air/readTime.ts';
import { decodeText } from '../../src/ui/data/decode.ts';
import { readLineProtocol, type ReadLine } from '../../src/core/places/air/lineProtocol.ts';
import { ownShareAt } from '../../src/core/places/air/silence.ts';
import { checkReading, type Reading } from '../../src/core/places/air/reading.ts';
import {
  airOf,
  AirSeries,
  BIN_MS,
  binIndex,
  binned,
  lastMeasuredAt,
  packAir,
  unpackAir
} from '../../src/core/places/air/series.ts';
import { changedUsual } from '../../src/core/places/place.ts';
import { temperatureResponse } from '../../src/core/crops/temperature.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import { DAY, HOUR, MINUTE, zoneOf } from '../../src/core/time/zone.ts';
import { home, radishTray, shelf, sown, SOWN } from '../support/household.ts';

const zone = zoneOf('Europe/Madrid');
const NOW = Date.parse('2026-11-23T12:00Z');
const reading = (tempC: number, more: Partial<Reading> = {}): Reading => ({
  at: NOW,
  tempC,
  humidityPct: null,
  ...more
});
const say = (sent: Reading) => {
  const checked = checkReading(sent, NOW);
  return checked.ok ? 'taken' : problemWords(checked.problem);
};

/** A household whose shelf was measured at one temperature over some days. */
const measured = (tempC: number, from: number, until: number): HouseholdFacts => {
  const bins = [];
  for (let at = from; at < until; at += BIN_MS) bins.push({ index: binIndex(at), tempC, humidityPct: 60 });
  return { ...home, places: new Map([[shelf.id, { ...shelf, air: packAir(bins) }]]) };
};

describe('a reading', () => {
  it('is refused where it cannot be a room, and read as degrees Fahrenheit where that makes sense', () => {
    expect(say(reading(19.5, { humidityPct: 55 }))).to.equal('taken');
    const warm = checkReading(reading(70), NOW);
    expect(say(reading(70))).to.equal('70 °C is no room: is it °F? That would be 21.1 °C.');
    expect(!warm.ok && warm.fahrenheit).to.be.closeTo(21.11, 0.01);
    expect(say(reading(212)))
      .to.include('212 °C is no room')
      .and.include('as °F it would be 100 °C');
    expect(say(reading(-127))).to.include('check the sensor');
    expect(say(reading(20, { humidityPct: 0 }))).to.include('between 1 and 100%');
    expect(say(reading(20, { at: NOW + HOUR }))).to.include('in the future');
    expect(say(reading(20, { at: NOW - 200 * DAY }))).to.include('three months');
    expect(say(reading(NaN))).to.include('needs a time and a temperature');
  });

  it('is one of a stretch of three hours, whose mean lies between its least and its most', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 600 }), fc.double({ min: 0, max: 40, noNaN: true }))),
        (sent) => {
          const bins = binned(
            sent.map(([minutes, tempC]) => ({ at: NOW + minutes * MINUTE, tempC, humidityPct: 50 }))
          );
          for (const bin of bins) {
            const own = sent
              .filter(([minutes]) => binIndex(NOW + minutes * MINUTE) === bin.index)
              .map(([, tempC]) => tempC);
            expect(bin.tempC).to.be.within(Math.min(...own) - 1e-9, Math.max(...own) + 1e-9);
          }
          expect(bins.map(({ index }) => index)).to.deep.equal(
            bins.map(({ index }) => index).toSorted((a, b) => a - b)
          );
        }
      )
    );
  });

  it('bridges a short silence and leaves a long one open', () => {
    const series = new AirSeries([
      { index: 100, tempC: 20, humidityPct: 50 },
      { index: 102, tempC: 16, humidityPct: null },
      { index: 110, tempC: 18, humidityPct: 55 }
    ]);
    expect(series.bin(101)).to.deep.include({ tempC: 18, humidityPct: null });
    expect(series.bin(105)).to.equal(null);
    expect(series.gaps()).to.deep.equal([{ from: 103 * BIN_MS, until: 110 * BIN_MS }]);
    const place = { ...shelf, air: packAir(series.bins) };
    expect(airAt(place, 105 * BIN_MS).tempC).to.equal(21);
    expect(airAt(place, 110 * BIN_MS)).to.include({ tempC: 18, humidityPct: 55 });
    expect(airOf(shelf)).to.equal(null);
  });

  it('is packed for the way and unpacked again, gaps and all', () => {
    expect(packAir([])).to.equal(null);
    expect(
      packAir([
        { index: 7, tempC: 19.52, humidityPct: null },
        { index: 9, tempC: -0.3, humidityPct: 55.4 }
      ])
    ).to.equal('7:195,,-3/,,55');
    const bin = fc.record({
      tempC: fc.integer({ min: -99, max: 500 }),
      humidityPct: fc.option(fc.integer({ min: 1, max: 100 }))
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 100_000, max: 100_300 }), { minLength: 1 }),
        fc.array(bin, { minLength: 301, maxLength: 301 }),
        (indices, air) => {
          const bins = indices
            .toSorted((a, b) => a - b)
            .map((index) => ({
              index,
              tempC: air[index - 100_000]!.tempC / 10,
              humidityPct: air[index - 100_000]!.humidityPct
            }));
          expect(unpackAir(packAir(bins)!)).to.deep.equal(bins);
        }
      )
    );
  });

  it('runs the clock: measured cold makes the window late, then the last days stand for those to come', () => {
    const cool = measured(16, SOWN - 4 * DAY, SOWN + 2 * DAY);
    const radish = cropOf('radish');
    const at21 = project(home, radishTray(), [sown()]).forecast;
    const at16 = project(cool, radishTray(), [sown()]).forecast;
    expect(at16.clock.tau(SOWN + DAY)).to.be.closeTo(temperatureResponse(radish, 16), 1e-9);
    expect(at21.clock.tau(SOWN + DAY)).to.be.closeTo(temperatureResponse(radish, 21), 1e-9);
    const place = cool.places.get(shelf.id)!;
    expect(usualAir(place)).to.deep.equal({ tempC: 16, humidityPct: 60, measured: true });
    expect(warmthRates(radish, place)(Number.MAX_SAFE_INTEGER)).to.be.closeTo(
      temperatureResponse(radish, 16),
      1e-9
    );
    expect(at16.marks.windowOpen.p50).to.be.above(at21.marks.windowOpen.p50 + 2 * DAY);
  });

  it('leaves what was before it as it was said: a changed guess, and a new sensor', () => {
    const radish = cropOf('radish');
    const was = project(home, radishTray(), [sown()]).forecast;
    const until = SOWN + 2 * DAY;
    const colder = { ...shelf, dayC: 14, nightC: 14 };
    const guessed = { ...colder, usualBefore: changedUsual(shelf, colder, until) };
    const later = project({ ...home, places: new Map([[shelf.id, guessed]]) }, radishTray(), [
      sown()
    ]).forecast;
    for (const hours of [6, 24, 47]) {
      const at = SOWN + hours * HOUR;
      expect(later.clock.tau(at)).to.be.closeTo(was.clock.tau(at), 1e-9);
      expect(airAt(guessed, at).tempC).to.equal(21);
    }
    expect(later.clock.tau(until + DAY) - later.clock.tau(until)).to.be.closeTo(
      temperatureResponse(radish, 14),
      1e-9
    );
    // Nothing that was changed leaves nothing behind.
    expect(changedUsual(shelf, { ...shelf, movingAir: true }, until)).to.equal(null);
    const sensor = measured(16, SOWN + 2 * DAY, SOWN + 6 * DAY);
    const sensed = project(sensor, radishTray(), [sown()]).forecast;
    const spoke = until - BIN_MS;
    expect(sensed.clock.tau(spoke)).to.be.closeTo(was.clock.tau(spoke), 1e-9);
    expect(sensed.clock.tau(until + DAY)).to.be.below(was.clock.tau(until + DAY));
  });

  it('hands back to the household’s own figures once it is silent: half after a day, alone after three', () => {
    const heard = measured(16, SOWN, SOWN + 4 * DAY).places.get(shelf.id)!;
    const lastAt = lastMeasuredAt(heard.air!);
    expect(lastAt).to.equal((binIndex(SOWN + 4 * DAY - BIN_MS) + 1) * BIN_MS);
    const radish = cropOf('radish');
    const after = (hours: number) => {
      const ownShare = ownShareAt(lastAt, lastAt + hours * HOUR);
      const place = { ...heard, ownShare };
      return [usualAir(place).tempC, warmthRates(radish, place)(lastAt + 30 * DAY)];
    };
    const [at16, at21] = [16, 21].map((tempC) => temperatureResponse(radish, tempC)) as [number, number];
    const near = (found: number[], tempC: number, rate: number) => {
      expect(found[0]).to.be.closeTo(tempC, 1e-9);
      expect(found[1]).to.be.closeTo(rate, 1e-9);
    };
    near(after(25), 16, at16);
    near(after(27), 18.5, (at16 + at21) / 2);
    near(after(73), 21, at21);
    // What it measured stays measured.
    expect(airAt({ ...heard, ownShare: 1 }, SOWN + DAY).tempC).to.equal(16);
  });

  it('leaves a forecast to the household’s word where a sensor has hardly spoken', () => {
    const just = measured(10, SOWN + DAY, SOWN + DAY + 6 * HOUR).places.get(shelf.id)!;
    expect(usualAir(just)).to.deep.equal({ tempC: 21, humidityPct: 50, measured: false });
  });
});

describe('readings from elsewhere', () => {
  it('are read from line protocol, with what is wrong said line by line', () => {
    const text = [
      '# a room sensor',
      'air,place=top\\ tier temperature=20.5,humidity=54i 1764000000000000000',
      'air temp_f=68 1764000060000000000',
      'air humidity=50 1764000120000000000',
      'air',
      '',
      'air temperature=21 soon'
    ].join('\n');
    const lines = readLineProtocol(text, 'ns', NOW);
    expect(lines.map(({ line, ok }) => [line, ok])).to.deep.equal([
      [2, true],
      [3, true],
      [4, false],
      [5, false],
      [7, false]
    ]);
    expect(lines[0]).to.deep.include({ reading: { at: 1_764_000_000_000, tempC: 20.5, humidityPct: 54 } });
    expect(lines[1]!.ok && lines[1]!.reading.tempC).to.be.closeTo(20, 1e-9);
    const [now] = readLineProtocol('air temperature=19', 's', NOW);
    expect(now!.ok && now!.reading.at).to.equal(NOW);
  });

  it('are read from files of either custom', () => {
    const english = readReadingsCsv(
      'time,temp (°F),humidity\n2026-11-22T07:00:00Z,68,55\n\nyesterday,60,50\n',
      zone
    );
    expect(english.ok && english.lines.map(({ ok }) => ok)).to.deep.equal([true, false]);
    const first = english.ok && english.lines[0]!;
    expect(first && first.ok && first.reading.tempC).to.be.closeTo(20, 1e-9);
    const comma = readReadingsCsv('\uFEFFFecha;Temperatura;Humedad %\n2026-11-22 08:00;19,5;\n', zone);
    expect(comma.ok && comma.lines[0]).to.deep.equal({
      line: 2,
      ok: true,
      reading: { at: Date.parse('2026-11-22T07:00Z'), tempC: 19.5, humidityPct: null }
    });
    expect(readReadingsCsv('a;b\n1;2', zone)).to.deep.include({ ok: false });
    expect(readReadingsCsv('nothing', zone)).to.deep.include({ ok: false });
    const wrong = readReadingsCsv(
      'time,temperature,rh\n2026-11-22 08:00,warm,40\n2026-11-22 09:00,20,damp',
      zone
    );
    expect(wrong.ok && wrong.lines.map((line) => !line.ok && problemWords(line.problem))).to.deep.equal([
      '“warm” is no temperature.',
      '“damp” is no humidity.'
    ]);
  });

  it('take a time without a zone for the household’s, on the days the clocks change too', () => {
    expect(readTime('2026-10-25 12:00', zone)).to.equal(Date.parse('2026-10-25T11:00Z'));
    expect(readTime('2027-03-28 12:00', zone)).to.equal(Date.parse('2027-03-28T10:00Z'));
    expect(readTime('2028-02-29 12:00', zone)).to.equal(Date.parse('2028-02-29T11:00Z'));
    expect(readTime('1764000000', zone)).to.equal(1_764_000_000_000);
    expect(readTime('1764000000000', zone)).to.equal(1_764_000_000_000);
    expect(readTime('2026-02-30 12:00', zone)).to.equal(null);
  });
});

describe('a file of readings', () => {
  const madrid = zoneOf('Europe/Madrid');
  const times = (csv: string) => {
    const read = readReadingsCsv(csv, madrid);
    if (!read.ok) throw new Error(problemWords(read.problem));
    return read.lines.map((line) =>
      line.ok ? new Date(line.reading.at).toISOString().slice(0, 16) : problemWords(line.problem)
    );
  };
  const said = (csv: string) => {
    const read = readReadingsCsv(csv, madrid);
    return read.ok ? 'read' : problemWords(read.problem);
  };

  it('has its day and its time in one column or in two', () => {
    expect(times('date,time,temperature\n2026-11-23,07:30,19\n2026-11-23,19:45:10,20')).to.deep.equal([
      '2026-11-23T06:30',
      '2026-11-23T18:45'
    ]);
    expect(times('Fecha;Hora;Temp. (°C)\n23.11.2026;7:30;19,5')).to.deep.equal(['2026-11-23T06:30']);
    expect(times('temperature,time,date\n19,07:30,2026-11-23')).to.deep.equal(['2026-11-23T06:30']);
    expect(times('timestamp,temperature\n2026-11-23T06:30Z,19')).to.deep.equal(['2026-11-23T06:30']);
  });

  it('takes no day without its time for midnight', () => {
    expect(times('date,temperature\n2026-11-23,19')[0]).to.include('is no time');
  });

  it('has days as they are written in its country, where the file shows which way round', () => {
    expect(times('time;temp\n23.11.2026 07:30;19\n03.04.2026 07:30;19')).to.deep.equal([
      '2026-11-23T06:30',
      '2026-04-03T05:30'
    ]);
    expect(times('time,temp\n03/04/2026 07:30,19\n23/11/2026 07:30,19')).to.deep.equal([
      '2026-04-03T05:30',
      '2026-11-23T06:30'
    ]);
    expect(times('time,temp\n03/04/2026 7:30 PM,66\n11/23/2026 12:15 am,66')).to.deep.equal([
      '2026-03-04T18:30',
      '2026-11-22T23:15'
    ]);
    expect(times('time,temp\n2026/11/23 07:30,19')).to.deep.equal(['2026-11-23T06:30']);
    expect(said('time,temp\n03/04/2026 07:30,19')).to.match(
      /can be read as day and month or as month and day/
    );
    expect(said('time,temp\n13/04/2026 07:30,19\n04/13/2026 07:30,19')).to.match(/can be read as/);
  });

  it('has decimal commas between semicolons, and says why it cannot have them between commas', () => {
    const [line] = (
      readReadingsCsv('time;temp;rh\n2026-11-23 07:30;19,500;55,25', madrid) as { lines: ReadLine[] }
    ).lines;
    expect(line).to.deep.include({ ok: true });
    expect(line!.ok && [line!.reading.tempC, line!.reading.humidityPct]).to.deep.equal([19.5, 55.25]);
    expect(times('time,temp,rh\n2026-11-23 07:30,19,5,55')[0]).to.include(
      'With decimal commas, put semicolons'
    );
    expect(times('time,temp\n2026-11-23 07:30,"1,200"')[0]).to.include('is no temperature');
  });

  it('has no days and times that there are not', () => {
    for (const time of [
      '2026-02-30 07:30',
      '2026-11-23 24:30',
      '31.02.2026 07:30',
      '2026-11-23 7:30 xm',
      '13:00 pm',
      '0:30 am'
    ])
      expect(times(`time;temp\n${time};19`)[0], time).to.include('is no time');
    // The clocks of Madrid go from 2:00 to 3:00 on 29 March, and a leap day is a day.
    expect(times('time;temp\n2026-03-29 02:30;19\n29.02.2028 12:00;19')).to.deep.equal([
      '2026-03-29T01:30',
      '2028-02-29T11:00'
    ]);
  });

  it('is read in whatever script a spreadsheet saves it', () => {
    const csv = 'Datum;Uhrzeit;Temperatur °C\r\n23.11.2026;07:30;19,5\r\n';
    const utf16 = (mark: boolean) =>
      Buffer.concat([Buffer.from(mark ? [0xff, 0xfe] : []), Buffer.from(csv, 'utf16le')]);
    const swapped = (bytes: Buffer) => Buffer.from(bytes).swap16();
    for (const bytes of [
      Buffer.from(csv),
      Buffer.from(`\uFEFF${csv}`),
      utf16(true),
      utf16(false),
      swapped(utf16(true)),
      swapped(utf16(false)),
      Buffer.from(csv, 'latin1')
    ])
      expect(times(decodeText(bytes)), bytes.subarray(0, 4).toString('hex')).to.deep.equal([
        '2026-11-23T06:30'
      ]);
    expect(said(`time\u0000,temp\n`)).to.include('not plain text');
  });
});
