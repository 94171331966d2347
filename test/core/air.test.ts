import { expect } from 'chai';
import fc from 'fast-check';
import { airAt, usualAir, usualWarmthRate } from '../../src/core/air/airAt.ts';
import { readReadingsCsv } from '../../src/core/air/csv.ts';
import { readTime } from '../../src/core/air/readTime.ts';
import { readLineProtocol } from '../../src/core/air/lineProtocol.ts';
import { checkReading, type Reading } from '../../src/core/air/reading.ts';
import { airOf, AirSeries, BIN_MS, binIndex, binned, packAir, unpackAir } from '../../src/core/air/series.ts';
import { temperatureResponse } from '../../src/core/clock/temperature.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import { follow, type HouseholdFacts } from '../../src/core/sowing/follow.ts';
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
  return checked.ok ? 'taken' : checked.say;
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
    expect(warm).to.deep.include({ ok: false, say: '70 °C is no room: is it °F? That would be 21.1 °C.' });
    expect(!warm.ok && warm.fahrenheit).to.be.closeTo(21.11, 0.01);
    expect(say(reading(212)))
      .to.include('212 °C is no room')
      .and.include('as °F it would be 100 °C');
    expect(say(reading(-127))).to.include('check the sensor');
    expect(say(reading(20, { humidityPct: 0 }))).to.include('between 1 and 100 %');
    expect(say(reading(20, { at: NOW + HOUR }))).to.include('lies ahead');
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
    const at21 = follow(home, radishTray(), [sown()]).forecast;
    const at16 = follow(cool, radishTray(), [sown()]).forecast;
    expect(at16.clock.tau(SOWN + DAY)).to.be.closeTo(temperatureResponse(radish, 16), 1e-9);
    expect(at21.clock.tau(SOWN + DAY)).to.be.closeTo(temperatureResponse(radish, 21), 1e-9);
    const place = cool.places.get(shelf.id)!;
    expect(usualAir(place)).to.deep.equal({ tempC: 16, humidityPct: 60, measured: true });
    expect(usualWarmthRate(radish, place)).to.be.closeTo(temperatureResponse(radish, 16), 1e-9);
    expect(at16.marks.windowOpen.p50).to.be.above(at21.marks.windowOpen.p50 + 2 * DAY);
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
    expect(wrong.ok && wrong.lines.map((line) => !line.ok && line.say)).to.deep.equal([
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
