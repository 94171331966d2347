import { expect } from 'chai';
import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { aimOf } from '../../src/core/sowing/aim.ts';
import {
  isWaking,
  longestGapH,
  nextWaking,
  roundAt,
  roundsBetween,
  wakingNear
} from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, sameClockTime, zoneOf } from '../../src/core/time/zone.ts';
import { at, rhythm } from '../support/rhythm.ts';

const ZONES = [
  'Europe/Madrid',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'UTC',
  'America/Sao_Paulo'
];
const moment = fc.integer({ min: at('2024-01-01T00:00Z'), max: at('2031-01-01T00:00Z') });

describe('household time', () => {
  it('agrees with Temporal on day and clock, everywhere and always', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ZONES), moment, (id, ms) => {
        const zone = zoneOf(id);
        const truth = Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(id);
        expect(zone.date(ms).toString()).to.equal(truth.toPlainDate().toString());
        expect(zone.minutes(ms)).to.equal(truth.hour * 60 + truth.minute);
        expect(zone.dayOfYear(ms)).to.equal(truth.dayOfYear);
      })
    );
  });

  it('finds the moment of a clock time as Temporal does, clock changes included', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ZONES), moment, fc.integer({ min: 0, max: 1439 }), (id, ms, minutes) => {
        const date = zoneOf(id).date(ms);
        const plainTime = new Temporal.PlainTime(Math.floor(minutes / 60), minutes % 60);
        expect(zoneOf(id).at(date, minutes)).to.equal(
          date.toZonedDateTime({ timeZone: id, plainTime }).epochMilliseconds
        );
      })
    );
  });

  it('keeps date and clock when it moves to another zone, but where clocks there skip that time', () => {
    const zones = fc.constantFrom(...ZONES);
    fc.assert(
      fc.property(zones, zones, moment, (from, to, ms) => {
        const [was, is] = [zoneOf(from), zoneOf(to)];
        const there = sameClockTime(ms, was, is);
        const wall = was
          .date(ms)
          .toPlainDateTime({ hour: Math.floor(was.minutes(ms) / 60), minute: was.minutes(ms) % 60 });
        const moved = wall.toZonedDateTime(to);
        if (!moved.toPlainDateTime().equals(wall)) return;
        expect(is.date(there).equals(was.date(ms))).to.equal(true);
        expect(is.minutes(there)).to.equal(was.minutes(ms));
      })
    );
  });

  it('keeps rounds at their clock time over both clock changes', () => {
    const home = rhythm();
    for (const day of ['2026-03-28', '2026-10-24']) {
      const rounds = roundsBetween(home, at(`${day}T00:00Z`), at(`${day}T00:00Z`) + 3 * DAY);
      expect(rounds).to.have.length(6);
      for (const round of rounds) expect([450, 1230]).to.include(home.zone.minutes(round));
    }
  });

  it('counts the night of a clock change in elapsed hours', () => {
    const { zone } = rhythm();
    const night = (day: string) => {
      const date = Temporal.PlainDate.from(day);
      return (zone.at(date.add({ days: 1 }), 420) - zone.at(date, 1260)) / HOUR;
    };
    expect([night('2026-03-27'), night('2026-03-28'), night('2026-10-24')]).to.deep.equal([10, 9, 11]);
  });

  it('knows the leap day, and refuses it in other years', () => {
    const home = rhythm();
    const aim = aimOf('2028-02-29', home);
    expect(aim).to.deep.equal({ kind: 'by', at: at('2028-02-29T19:30Z') });
    expect(aimOf('2027-02-29', home)).to.equal(null);
    expect(aimOf('soon', home)).to.equal(null);
    expect(home.zone.dayOfYear(at('2028-12-31T12:00Z'))).to.equal(366);
  });

  it('moves what would wake somebody to when they are up', () => {
    const home = rhythm();
    expect(nextWaking(home, at('2026-11-23T02:00Z'))).to.equal(at('2026-11-23T06:00Z'));
    expect(nextWaking(home, at('2026-11-23T22:00Z'))).to.equal(at('2026-11-24T06:00Z'));
    expect(nextWaking(home, at('2026-11-23T12:00Z'))).to.equal(at('2026-11-23T12:00Z'));
    fc.assert(
      fc.property(moment, (ms) => {
        expect(isWaking(home, nextWaking(home, ms))).to.equal(true);
      })
    );
  });

  it('finds the waking moment nearest to a wish, or says there is none', () => {
    const home = rhythm();
    const [from, until] = [at('2026-11-23T22:30Z'), at('2026-11-24T07:30Z')];
    expect(wakingNear(home, at('2026-11-24T01:00Z'), from, until)).to.equal(at('2026-11-24T06:00Z'));
    expect(wakingNear(home, at('2026-11-24T01:00Z'), from, at('2026-11-24T05:00Z'))).to.equal(null);
  });

  it('goes past midnight with those who do, over both clock changes', () => {
    const owl = { ...rhythm(), wakeMin: 600, sleepMin: 1560, roundsMin: [630, 1470] };
    fc.assert(
      fc.property(moment, (ms) => {
        const clock = owl.zone.minutes(ms);
        expect(isWaking(owl, ms)).to.equal(clock >= 600 || clock <= 120);
        expect(isWaking(owl, nextWaking(owl, ms))).to.equal(true);
        const round = roundAt(owl, ms);
        expect(round.nextAt).to.be.above(round.at);
        // The round past midnight is the evening's of the day before.
        const late = owl.zone.minutes(round.at) < 600;
        expect(round.key.endsWith(late ? '.1' : '.0')).to.equal(true);
        const day = owl.zone.date(late ? round.at - DAY / 2 : round.at).toString();
        expect(round.key.startsWith(day)).to.equal(true);
      })
    );
    // Clocks go back at 03:00 on 25 October 2026 and forward at 02:00 on 28 March 2027.
    for (const [night, hours] of [
      ['2026-10-24', 11],
      ['2026-10-25', 10],
      ['2027-03-27', 9]
    ] as const) {
      const from = owl.zone.at(Temporal.PlainDate.from(night), 1470);
      const [first, second] = roundsBetween(owl, from, from + DAY);
      expect(first).to.equal(from);
      expect((second! - first!) / HOUR, night).to.equal(hours);
    }
    expect(longestGapH(owl)).to.equal(14);
  });

  it('names one round the same from two hours before it until the next', () => {
    const home = rhythm();
    const keys = ['04:20Z', '04:40Z', '06:30Z', '12:00Z', '17:20Z', '17:40Z', '23:00Z'].map(
      (time) => roundAt(home, at(`2026-11-23T${time}`)).key
    );
    expect(keys).to.deep.equal([
      '2026-11-22.1',
      '2026-11-23.0',
      '2026-11-23.0',
      '2026-11-23.0',
      '2026-11-23.0',
      '2026-11-23.1',
      '2026-11-23.1'
    ]);
    const { at: due, nextAt } = roundAt(home, at('2026-11-23T12:00Z'));
    expect([due, nextAt]).to.deep.equal([at('2026-11-23T06:30Z'), at('2026-11-23T19:30Z')]);
  });
});
