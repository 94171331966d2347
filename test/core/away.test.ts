import { expect } from 'chai';
import fc from 'fast-check';
import { awayPlan, sits } from '../../src/core/away/plan.ts';
import { absenceAt, absenceOf, joined, type Period } from '../../src/core/away/period.ts';
import { cutAtShare } from '../../src/core/growth/yield.ts';
import { judge } from '../../src/core/reminders/due.ts';
import { unheardSince } from '../../src/core/reminders/silence.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { goThroughInSteps } from '../../src/core/steps/ahead.ts';
import { finished } from '../../src/core/time/inSteps.ts';
import { eventsOfTruth, isUnheardOf, likelyAt, truthsOf } from '../../src/core/steps/catchUp.ts';
import { DAY, HOUR } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import type { ShownAwayTray } from '../../src/contract/away.ts';
import { verdictReason } from '../../src/words/away.ts';
import { event, home, radishTray, shelf, sown, SOWN } from '../support/household.ts';
import { at, rhythm } from '../support/rhythm.ts';

const id = (n: number) => `00000000-0000-4000-8000-0000000000${String(n).padStart(2, '0')}`;
const story = (n: number, setup: Partial<SowingSetup>, events: SowingEvent[]) => ({
  setup: radishTray({ id: id(n), ...setup }),
  events
});
const lit = () => [sown(), event(48, { type: 'uncovered' }), event(60, { type: 'lit' })];
/** A cool sill that is light enough to wait on. */
const cool = { ...shelf, id: id(99), name: 'Cool sill', dayC: 13, nightC: 11, humidityPct: 75 };
const withCool: HouseholdFacts = { ...home, places: new Map([...home.places, [cool.id, cool]]) };

describe('days away', () => {
  it('begin once the last round before them is walked, and end with the first one back, over clock changes too', () => {
    for (const [fromDay, untilDay, leaves, back] of [
      ['2026-10-24', '2026-10-25', '2026-10-23T18:31Z', '2026-10-26T06:30Z'],
      ['2027-03-28', '2027-03-28', '2027-03-27T19:31Z', '2027-03-29T05:30Z'],
      ['2028-02-29', '2028-02-29', '2028-02-28T19:31Z', '2028-03-01T06:30Z']
    ] as const)
      expect(absenceOf({ fromDay, untilDay }, rhythm())).to.deep.equal({
        leavesAt: at(leaves),
        backAt: at(back)
      });
  });

  it('that meet or overlap are one, in whatever order they are marked', () => {
    const day = (n: number) => new Date(Date.UTC(2026, 10, n)).toISOString().slice(0, 10);
    const period = fc
      .tuple(fc.integer({ min: 1, max: 28 }), fc.integer({ min: 0, max: 6 }))
      .map(([from, length]): Period => ({ fromDay: day(from), untilDay: day(from + length) }));
    fc.assert(
      fc.property(fc.array(period, { maxLength: 6 }), (periods) => {
        const days = (some: readonly Period[]) =>
          Array.from({ length: 40 }, (_, n) => day(n + 1)).filter((one) =>
            some.some(({ fromDay, untilDay }) => one >= fromDay && one <= untilDay)
          );
        const one = joined(periods);
        expect(days(one)).to.deep.equal(days(periods));
        // Between two there is a day at home.
        for (let n = 1; n < one.length; n += 1)
          expect(Date.parse(one[n]!.fromDay) - Date.parse(one[n - 1]!.untilDay)).to.be.greaterThan(DAY);
        expect(joined([...periods].reverse())).to.deep.equal(one);
      })
    );
  });

  const days = (fromDay: string, untilDay: string) => absenceOf({ fromDay, untilDay }, home.rhythm);
  const verdicts = (
    facts: HouseholdFacts,
    stories: Parameters<typeof awayPlan>[1],
    absence: ReturnType<typeof days>,
    now: number
  ) => awayPlan(facts, stories, absence, now).trays.map(({ verdict }) => verdict);

  it('say of each tray what is best done: nothing, to the cool, cut, put off, or somebody to come by', () => {
    const now = SOWN + 12 * HOUR;
    // Covered and damp over a day: nothing.
    expect(verdicts(home, [story(1, {}, [sown()])], days('2026-11-03', '2026-11-03'), now)).to.deep.equal([
      'lasts'
    ]);
    // In light over a long week, with the window closing meanwhile and nowhere cool.
    const grown = SOWN + 5.5 * DAY;
    const open = [story(2, {}, lit())];
    const [closing] = awayPlan(home, open, days('2026-11-09', '2026-11-18'), grown).trays;
    expect(closing!.verdict).to.equal('cut');
    expect(closing!.closesAt).to.be.a('number');
    expect(closing!.cutG).to.be.greaterThan(10);
    // Long past its window: nobody is asked to keep it going.
    const over = awayPlan(home, open, days('2026-11-23', '2026-12-02'), SOWN + 21 * DAY).trays[0]!;
    expect(over.verdict).to.equal('cut');
    expect(over.cutG).to.equal(0);
    const shown = { ...over, coolName: null } as unknown as ShownAwayTray;
    expect(verdictReason(shown, SOWN + 21 * DAY, { zone: 'Europe/Madrid', units: 'metric' })).to.match(
      /^Its window closed .*cut what is good or clear the tray\.$/
    );
    // Not begun yet.
    const planned = [story(3, { sowAt: now + 12 * HOUR }, [])];
    expect(verdicts(home, planned, days('2026-11-05', '2026-11-12'), now)).to.deep.equal(['put-off']);
    // In light, thirsty, its window still far: somebody has to water it.
    const young = [story(4, { cropKey: 'cilantro' }, [sown(), event(140, { type: 'lit' })])];
    const [tray] = awayPlan(home, young, days('2026-11-10', '2026-11-13'), SOWN + 7 * DAY).trays;
    expect(tray!.verdict).to.equal('sitter');
    expect(tray!.visits).to.be.within(2, 8);
    expect(tray!.driesAt).to.be.a('number');
  });

  it('move to the cool only what really gets through there', () => {
    for (const hours of [110, 130, 150]) {
      const now = SOWN + hours * HOUR;
      const stories = [story(5, { medium: 'mesh' }, lit())];
      for (const length of ['2026-11-09', '2026-11-10', '2026-11-12']) {
        const absence = days('2026-11-08', length);
        if (now > absence.leavesAt) continue;
        const [tray] = awayPlan(withCool, stories, absence, now).trays;
        if (tray!.verdict !== 'cool') continue;
        const moved = project(withCool, stories[0]!.setup, [
          ...roundEvents(withCool, stories, now, absence.leavesAt),
          event(0, { type: 'moved', placeId: tray!.coolPlace!.id }, { at: absence.leavesAt })
        ]);
        expect(moved.forecast.marks.windowClose.p50).to.be.at.least(absence.backAt);
        expect(waterAt(moved, absence.backAt - HOUR).share).to.be.greaterThan(0.15);
      }
    }
  });

  it('give a sitter what the round would ask, day by day, and nothing to judge or cut', () => {
    const stories = [
      story(6, {}, lit()),
      story(7, { cropKey: 'cilantro' }, [sown(), event(140, { type: 'lit' })])
    ];
    const absence = days('2026-11-08', '2026-11-14');
    const { rounds } = awayPlan(home, stories, absence, SOWN + 5 * DAY);
    expect(rounds.length).to.be.greaterThan(4);
    for (const { at: when, walk } of rounds) {
      expect(when).to.be.within(absence.leavesAt, absence.backAt);
      for (const { steps } of walk.stops) for (const step of steps) expect(sits(step, when)).to.equal(true);
    }
    // Whoever does it keeps it damp.
    const cilantro = stories[1]!;
    const done = finished(
      goThroughInSteps(home, [cilantro], SOWN + 5 * DAY, absence.backAt, sits)
    ).rounds.flatMap(({ at: when, walk }) =>
      walk.stops.flatMap(({ steps }) =>
        steps
          .filter((step) => sits(step, when))
          .flatMap(({ of, key }) =>
            of.flatMap(({ records }) =>
              records ? [event(0, records, { at: when + 60_000, taskKey: key })] : []
            )
          )
      )
    );
    const kept = project(home, cilantro.setup, [...cilantro.events, ...done]);
    for (let when = absence.leavesAt; when < absence.backAt; when += 6 * HOUR)
      expect(waterAt(kept, when).share, new Date(when).toISOString()).to.be.greaterThan(0.1);
  });

  it('are told of the evening before, and bring no reminders meanwhile', () => {
    const stories = [story(8, {}, lit())];
    const away: Period[] = [{ fromDay: '2026-11-09', untilDay: '2026-11-12' }];
    const told: { key: string; opensAt: number | null }[] = [];
    const came: { at: number; type: string }[] = [];
    let since = SOWN + 4 * DAY;
    for (let now = since + HOUR; now < SOWN + 14 * DAY; now += HOUR / 2) {
      const projected = stories.map(({ setup, events }) => project(home, setup, events));
      const { due } = judge(
        home,
        projected,
        { told, lastTouchAt: now - HOUR, lastRead: [], since, away, stories },
        now
      );
      since = now;
      for (const { key, body } of due) {
        told.push({ key, opensAt: null });
        came.push({ at: now, type: body.type });
      }
    }
    const leaving = came.filter(({ type }) => type === 'leaving');
    expect(leaving).to.have.length(1);
    expect(leaving[0]!.at).to.be.within(at('2026-11-07T19:30Z'), at('2026-11-07T20:30Z'));
    expect(came.filter(({ at: when }) => absenceAt(away, home.rhythm, when) !== null)).to.deep.equal([]);
    expect(came.some(({ at: when }) => when > absenceOf(away[0]!, home.rhythm).backAt)).to.equal(true);
  });
});

const roundEvents = (
  facts: HouseholdFacts,
  stories: ReturnType<typeof story>[],
  from: number,
  until: number
): SowingEvent[] => [
  ...stories[0]!.events,
  ...finished(goThroughInSteps(facts, stories, from, until)).rounds.flatMap(({ at: when, walk }) =>
    walk.stops.flatMap(({ steps }) =>
      steps.flatMap(({ of, key }) =>
        of.flatMap(({ records }) => (records ? [event(0, records, { at: when + 60_000, taskKey: key })] : []))
      )
    )
  )
];

describe('what an early cut gives', () => {
  it('is nothing before the stems are even, the square of the clock until it opens, a tenth more at its best, nothing past it', () => {
    const { forecast } = project(home, radishTray(), lit());
    const { lightReady, windowOpen, windowBest, windowClose } = forecast.marks;
    expect(cutAtShare(forecast, lightReady.p50 - HOUR)).to.equal(0);
    expect(cutAtShare(forecast, windowOpen.p50)).to.be.closeTo(1, 1e-9);
    expect(cutAtShare(forecast, windowBest.p50)).to.be.closeTo(1.1, 1e-9);
    expect(cutAtShare(forecast, windowClose.p50)).to.be.closeTo(1.1, 1e-9);
    expect(cutAtShare(forecast, windowClose.p50 + HOUR)).to.equal(0);
    const half = (windowOpen.p50 + lightReady.p50) / 2;
    // At one temperature under one lamp the clock runs evenly once it is lit.
    const tau = (when: number) => forecast.clock.tau(when);
    expect(cutAtShare(forecast, half)).to.be.closeTo((tau(half) / tau(windowOpen.p50)) ** 2, 1e-9);
    expect(cutAtShare(forecast, half)).to.be.within(0.4, 0.95);
  });
});

describe('catching up', () => {
  const silence = { from: SOWN + DAY, until: SOWN + 5 * DAY };

  it('asks after two days and three rounds, and for a day once somebody speaks again', () => {
    const standing = [project(home, radishTray(), [sown()])];
    const ask = (now: number, touchedAt: number, ended: typeof silence | null = null) =>
      unheardSince(standing, home.rhythm, { touchedAt, silence: ended }, now);
    expect(ask(SOWN + 1.5 * DAY, SOWN)).to.equal(null);
    expect(ask(SOWN + 3 * DAY, SOWN)).to.equal(SOWN);
    expect(ask(silence.until + HOUR, silence.until, silence)).to.equal(silence.from);
    expect(ask(silence.until + 1.5 * DAY, silence.until, silence)).to.equal(null);
    expect(ask(SOWN + 9 * DAY, SOWN + 9 * DAY - HOUR, null)).to.equal(null);
  });

  it('takes what is said to be true, with what must have come before it, and nothing else', () => {
    const now = SOWN + 6 * DAY;
    const since = SOWN + HOUR;
    for (const events of [[], [sown()], [sown(), event(48, { type: 'uncovered' })]]) {
      const before = project(home, radishTray(), events);
      for (const truth of truthsOf(before, now)) {
        const said = eventsOfTruth(before, truth, likelyAt(before, truth, since, now), since);
        const after = project(home, radishTray(), [
          ...events,
          ...said.map(({ at: when, body }) => event(0, body, { at: when }))
        ]);
        const stage = { 'as-it-was': before.state.stage, sown: 'press', uncovered: 'blackout', lit: 'light' }[
          truth
        ];
        expect(after.state.stage).to.equal(stage);
        expect(said.map(({ at: when }) => when)).to.deep.equal(
          said.map(({ at: when }) => when).sort((a, b) => a - b)
        );
        for (const { at: when } of said) expect(when).to.be.within(since, now);
        // Nobody said that it was watered.
        expect(said.some(({ body }) => ['watered', 'misted'].includes(body.type))).to.equal(false);
      }
    }
  });

  it('asks of each tray until something is said of that tray', () => {
    const one = project(home, radishTray(), [sown()]);
    const since = SOWN + DAY;
    expect(isUnheardOf(one, SOWN, since, SOWN + 5 * DAY)).to.equal(true);
    expect(isUnheardOf(one, since + HOUR, since, SOWN + 5 * DAY)).to.equal(false);
    const later = project(home, radishTray({ sowAt: SOWN + 9 * DAY }), []);
    expect(isUnheardOf(later, 0, since, SOWN + 5 * DAY)).to.equal(false);
  });
});
