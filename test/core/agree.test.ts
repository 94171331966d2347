import { expect } from 'chai';
import fc from 'fast-check';
import { bandsOf } from '../../src/core/picture/bands.ts';
import { CROPS } from '../../src/core/crops/library.ts';
import { leafStageOf } from '../../src/core/crops/leafStage.ts';
import type { Crop } from '../../src/core/crops/crop.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { differences } from '../../src/core/steps/differences.ts';
import { sheetOf } from '../../src/core/steps/sheet.ts';
import { isBenchStep, type StepKind } from '../../src/core/steps/step.ts';
import { stepsOf } from '../../src/core/steps/compile.ts';
import { keyOf, ticked } from '../../src/core/steps/ticked.ts';
import { timersOf } from '../../src/core/steps/timer.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import { planSowing, type SowingKind } from '../../src/core/sowing/planSowing.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { MEDIA } from '../../src/core/supplies/media/medium.ts';
import { QUESTIONS, type Method, type Question } from '../../src/core/supplies/methods/method.ts';
import { unheeded } from '../../src/core/supplies/methods/path.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { loadOf } from '../../src/core/shelf/load.ts';
import { isTooHeavy, refusedMove } from '../../src/core/shelf/moving.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR, MINUTE, type Millis } from '../../src/core/time/zone.ts';
import { waterAt } from '../../src/core/water/level.ts';
import { choiceOf, MONDAY, planned } from '../support/choosing.ts';
import { cellar, home, radishTray, shelf, sill, sown, SOWN } from '../support/household.ts';

let made = 0;
const did = (at: Millis, body: SowingEvent['body'], taskKey: string | null = null): SowingEvent => ({
  id: `00000000-0000-4000-9000-${String((made += 1)).padStart(12, '0')}`,
  at,
  by: null,
  taskKey,
  body
});

/** Walks a planned sowing from its bench to its cut by doing what the round asks, comparing every view on the way. */
function walkThrough(setup: SowingSetup, facts: HouseholdFacts, on: string): Set<StepKind> {
  const events: SowingEvent[] = [];
  const seen = new Set<StepKind>();
  const listed = stepsOf(project(facts, setup, []));
  const start = setup.soakStartAt ?? setup.sowAt;
  for (let at = start; at < start + 40 * 24 * HOUR; at += 12 * HOUR) {
    const before = project(facts, setup, events);
    if (before.state.stage === 'ended') break;
    const round = roundAt(facts.rhythm, at);
    const now = Math.max(at, round.at);
    let standing = before;
    const { steps } = askOf(before, round, now);
    expect(new Set(steps.map(({ key }) => key)).size, `${on}: one key a step`).to.equal(steps.length);
    for (const step of steps) {
      const { kind } = step.body;
      seen.add(kind);
      // What a card asks for is in the list, and the bench has the same of it to the mL.
      const line = listed.find(({ body }) => body.kind === kind);
      if (isBenchStep(kind) && kind !== 'mist') {
        expect(line?.body, `${on}: ${kind}`).to.deep.equal(step.body);
        const sheet = sheetOf([before], facts.rhythm, now);
        const onSheet = sheet.sections.flatMap(({ lines }) => lines).map((one) => one.step.body);
        for (const body of [step.body, ...step.with]) expect(onSheet, `${on}: ${kind}`).to.deep.include(body);
      }
      if (kind === 'uncover' || kind === 'light') {
        expect(line?.body, `${on}: ${kind}`).to.deep.equal(step.body);
        expect(before.path.cover, `${on}: nothing comes off that never lay on it`).not.to.equal('none');
      }
      if (kind === 'cut') {
        events.push(did(now, { type: 'cut', grossG: 100, tareG: 0, share: 1, last: true }, step.key));
        break;
      }
      const body = ticked(step.body)!;
      expect(body, `${on}: ${kind} records something`).not.to.equal(null);
      events.push(did(now, body, step.key));
      standing = project(facts, setup, events);
      const given = standing.state.water.filter((fact) => fact.at === now && 'addedG' in fact);
      const asked =
        step.body.kind === 'sow' ? step.body.onWaterMl : 'waterMl' in step.body ? step.body.waterMl : null;
      const gaveG = given.map((fact) => ('addedG' in fact ? fact.addedG : NaN)).at(-1);
      if (asked !== null) expect(gaveG, `${on}: ${kind}`).to.be.closeTo(asked!, 0.51);
      // Done once, it is not asked for again in the same round.
      expect(standing.state.ticked.has(step.key), `${on}: ${kind}`).to.equal(true);
      const timer = timersOf(standing, now).find((one) => one.kind === kind);
      if (kind === 'soak') expect(timer!.endsAt, on).to.equal(standing.soak.soakEnd);
    }
    if (steps.length === 0) continue;
    // The list, the chart of stages and the forecast know one first light.
    const { litAt } = standing.forecast;
    const light = stepsOf(standing).find(({ body }) => body.kind === 'light');
    if (light && standing.state.litAt === null && Number.isFinite(standing.forecast.marks.windowOpen.p50)) {
      const band = bandsOf(standing).bands.find(({ kind }) => kind === 'light');
      if (litAt < standing.forecast.marks.windowOpen.p50) {
        expect(light.from, `${on}: list and forecast`).to.be.closeTo(litAt, 1);
        expect(band?.from, `${on}: chart and forecast`).to.be.closeTo(litAt, 1);
      }
    }
    expect(waterAt(standing, now).share, on).to.be.within(0, 1);
  }
  return seen;
}

describe('bench, round, list and chart', () => {
  const beside: Record<string, string> = { radish: 'kale' };
  const kinds: readonly SowingKind[] = ['one', 'halves', 'blended'];
  for (const kind of kinds)
    it(`agree on kinds, amounts and times for every crop, method and medium: ${kind}`, () => {
      let cut = 0;
      let walked = 0;
      const every = kind === 'one' ? 3 : 9;
      for (const [nthCrop, crop] of CROPS.entries())
        for (const [nthMethod, method] of READY_METHODS.entries()) {
          // Each crop on each medium and by each method, each method on each medium; of two crops in one container a third of that.
          const walks = (_: unknown, nth: number) => (nth + nthMethod + nthCrop) % every === 0;
          for (const medium of MEDIA.filter(walks)) {
            const other = CROPS.find(({ key }) => key === (beside[crop.key] ?? 'radish'))!;
            const crops = kind === 'one' ? [crop] : [crop, other];
            const sowings = planned(choiceOf(crops, { kind, method, medium, count: 2, place: shelf }));
            for (const { setup } of sowings) {
              const on = `${kind} ${crop.key}, ${method.key}, ${medium}`;
              const seen = walkThrough({ ...setup, id: '00000000-0000-4000-8000-0000000000aa' }, home, on);
              expect(seen.has('sow'), on).to.equal(true);
              walked += 1;
              if (seen.has('cut')) cut += 1;
            }
          }
        }
      expect(walked).to.be.at.least(CROPS.length * (kind === 'one' ? MEDIA.length : 2));
      expect(cut, 'nearly all of them come to their cut').to.be.above(walked * 0.95);
    });

  it('have one date: a plan and the tray that it becomes open, and close, at the same moment', () => {
    for (const [index, crop] of CROPS.entries())
      for (const method of READY_METHODS)
        for (const kind of ['one', 'halves', 'blended'] as const) {
          const crops = kind === 'one' ? [crop] : [crop, CROPS[(index + 7) % CROPS.length]!];
          for (const { plan, setup } of planned(choiceOf(crops, { kind, method, place: shelf }))) {
            const tray = project(home, { ...setup, id: radishTray().id }, []);
            for (const mark of ['windowOpen', 'windowClose'] as const)
              expect(tray.forecast.marks[mark].p50, `${crop.key} ${method.key} ${kind}`).to.be.closeTo(
                plan.forecast.marks[mark].p50,
                1000
              );
          }
        }
  });

  it('follow from what the household has learned: a plan as the tray that it becomes', () => {
    const taught: HouseholdFacts = {
      ...home,
      thirst: { ended: { mean: 0.4, variance: 0.01 }, underWay: [] },
      yields: CROPS.map(({ key }) => ({ cropKey: key, message: { mean: -0.2, variance: 0.02 }, trays: 4 }))
    };
    for (const [index, crop] of CROPS.entries())
      for (const kind of ['one', 'halves', 'blended'] as const) {
        const crops = kind === 'one' ? [crop] : [crop, CROPS[(index + 7) % CROPS.length]!];
        const sowings = planSowing(choiceOf(crops, { kind, place: shelf }), { ...taught, now: MONDAY });
        for (const { projected, setup } of sowings) {
          const tray = project(taught, { ...setup, id: radishTray().id }, []);
          const { thirst, yields, gapH, suit } = tray;
          expect(projected, `${crop.key} ${kind}`).to.deep.include({ thirst, yields, gapH, suit });
          expect(differences(stepsOf(projected), stepsOf(tray)), `${crop.key} ${kind}`).to.deep.equal([]);
        }
      }
  });

  it('tell the two halves of a container one way: one cover, one weight, one light', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROPS),
        fc.constantFrom(...CROPS),
        fc.constantFrom(...READY_METHODS),
        (one, other, method) => {
          fc.pre(one !== other);
          const halves = planned(choiceOf([one, other], { kind: 'halves', method }));
          const [a, b] = halves.map(({ projected }) => projected.path);
          const shared = ({ cover, pressGCm2, blackout, mists, lightFrom }: NonNullable<typeof a>) => ({
            cover,
            pressGCm2,
            blackout,
            mists,
            lightFrom
          });
          expect(shared(a!)).to.deep.equal(shared(b!));
          expect(a!.pressGCm2).to.be.at.most(Math.min(one.pressMaxGCm2, other.pressMaxGCm2));
        }
      )
    );
  });
});

describe('a choice', () => {
  const TRIED: readonly Crop[] = CROPS;
  const answersOf = (question: Question) => QUESTIONS[question] as readonly string[];

  it('changes what is done, or is said not to, for every crop and answer', () => {
    const silent: string[] = [];
    const others = ['mesh', 'hemp-mat', 'none'] as const;
    for (const [nth, crop] of TRIED.entries())
      for (const base of READY_METHODS)
        for (const medium of ['coir', others[nth % others.length]!] as const)
          for (const question of Object.keys(QUESTIONS) as Question[]) {
            const place = question === 'sillLight' && nth % 2 === 0 ? sill : shelf;
            const under = (answer: string) => {
              const method = { ...base, [question]: answer, shadeDays: 8 } as Method;
              const [one] = planned(choiceOf([crop], { method, medium, place }));
              const not = unheeded(crop, method, { medium, reservoir: false, light: place.light.kind });
              return { steps: stepsOf(one!.projected), said: not.some((un) => un.question === question) };
            };
            const isOwnStage = (answer: string) => answer === leafStageOf(crop);
            const all = answersOf(question).map((answer) => ({ answer, ...under(answer) }));
            for (const one of all)
              for (const other of all) {
                if (one.answer >= other.answer || one.said || other.said) continue;
                // The usual stage is one of the three.
                if (other.answer === 'usual' && isOwnStage(one.answer)) continue;
                if (differences(one.steps, other.steps).length === 0)
                  silent.push(
                    `${crop.key}, ${base.key}, ${medium}: ${question} ${one.answer} = ${other.answer}`
                  );
              }
          }
    expect(silent.slice(0, 20)).to.deep.equal([]);
  });
});

describe('a step', () => {
  const pressed = (rounds: number) => {
    // Rooted by all that is believed; nobody comes by for so many rounds.
    const tray = radishTray();
    const p90 = project(home, tray, [sown()]).forecast.marks.rooted.p90;
    const first = roundAt(home.rhythm, p90 + 2 * HOUR);
    const at = first.at >= p90 ? first.at : first.nextAt;
    const now = roundAt(home.rhythm, at + rounds * 12 * HOUR).at + MINUTE;
    return askOf(project(home, tray, [sown()]), roundAt(home.rhythm, now), now).steps.find(
      ({ body }) => body.kind === 'uncover'
    )!;
  };

  it('of a stage is late once it was shown and a whole round was missed, never when it is first shown', () => {
    expect(pressed(0).late).to.equal(false);
    expect(pressed(1).late).to.equal(true);
  });

  it('of care is late after two rounds', () => {
    const lit = [
      sown(),
      did(SOWN + 48 * HOUR, { type: 'uncovered' }),
      did(SOWN + 77 * HOUR, { type: 'lit' })
    ];
    const waters: boolean[] = [];
    for (let hours = 80; hours < 200 && waters.length < 4; hours += 12) {
      const now = roundAt(home.rhythm, SOWN + hours * HOUR).at;
      const step = askOf(project(home, radishTray(), lit), roundAt(home.rhythm, now), now).steps.find(
        ({ body }) => body.kind === 'water'
      );
      if (step) waters.push(step.late);
    }
    expect(waters.slice(0, 2)).to.deep.equal([false, false]);
    expect(waters.at(-1)).to.equal(true);
  });

  it('that never was begun is asked about once a whole round went by, and can be put off', () => {
    const now = SOWN + 26 * HOUR;
    const asked = (events: SowingEvent[]) =>
      askOf(project(home, radishTray(), events), roundAt(home.rhythm, now), now);
    expect(asked([]).notes[0]).to.deep.equal({ kind: 'not-begun', at: SOWN });
    const off = asked([did(now, { type: 'put-off', until: now + 30 * HOUR })]);
    expect(off.notes).to.deep.equal([]);
    expect(off.steps).to.deep.equal([]);
    expect(off.beginsAt).to.be.at.least(now + 30 * HOUR);
  });

  it('has a key of its own on the bench, and shares soak, drain and sow with the round', () => {
    expect([keyOf('soak'), keyOf('sow'), keyOf('fill')]).to.deep.equal(['soak', 'sow', 'bench:fill']);
    expect(MONDAY).to.be.above(0);
  });
});

describe('the rule of a move', () => {
  const now = SOWN + 5 * HOUR;
  const tray = (id: string, placeId: string) => project(home, radishTray({ id, placeId }), [sown()]);
  const one = tray('00000000-0000-4000-8000-0000000000a1', shelf.id);
  const other = tray('00000000-0000-4000-8000-0000000000a2', cellar.id);

  it('keeps a place under its rating, unless somebody says that the rating holds', () => {
    const both = loadOf(cellar, [one, other], now).g;
    const rated = (ratedG: number | null, ratingSure = false) => ({ ...cellar, ratedG, ratingSure });
    expect(refusedMove([one], rated(both + 1), [other], now)).to.equal(null);
    expect(refusedMove([one], rated(both - 1), [other], now)!.g).to.be.closeTo(both, 1e-6);
    expect(refusedMove([one], rated(both - 1, true), [other], now)).to.equal(null);
    expect(refusedMove([one], rated(null), [other], now)).to.equal(null);
  });

  it('does not count a tray twice, nor where it stands already', () => {
    const { g } = loadOf(cellar, [other], now);
    const tight = { ...cellar, ratedG: g + 1 };
    expect(refusedMove([other], tight, [other], now)).to.equal(null);
    expect(isTooHeavy(tight, loadOf(tight, [other], now))).to.equal(false);
  });
});
