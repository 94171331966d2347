import { expect } from 'chai';
import { answerLook } from '../../src/core/diagnosis/answer.ts';
import { CAUSES_OF, type Cause, type Evidence } from '../../src/core/diagnosis/causes.ts';
import { lookFacts, type LookFacts } from '../../src/core/diagnosis/facts.ts';
import { CROPS, cropOf } from '../../src/core/crops/library.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project } from '../../src/core/sowing/project.ts';
import { SYMPTOMS, type Symptom } from '../../src/core/symptoms/symptom.ts';
import type { MediumKind } from '../../src/core/supplies/media/medium.ts';
import type { Method } from '../../src/core/supplies/methods/method.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { HOUR } from '../../src/core/time/zone.ts';
import { trackOf } from '../../src/core/water/level.ts';
import { event, home, radishTray, shelf, SOWN } from '../support/household.ts';
import { SITUATIONS } from './situations/table.ts';

const METHODS: Record<string, Method> = {
  press: READY_METHODS[0]!,
  stack: READY_METHODS[1]!,
  light: { ...READY_METHODS[2]!, medium: 'coir' }
};
const lamp = { kind: 'lamp', ppfd: 220, hours: 14 } as const;
/** Where it stands. */
const PLACES: Record<string, Partial<Place>> = {
  lamp: { light: lamp },
  close: { light: { ...lamp, ppfd: 650, distanceCm: 10 } },
  dim: { light: { kind: 'sill', aspect: 'away', back: true } },
  bright: { light: { kind: 'sill', aspect: 'midday', back: false } },
  cold: { light: lamp, dayC: 11, nightC: 9 },
  hot: { light: lamp, dayC: 30, nightC: 28 },
  faint: { light: { kind: 'lamp', ppfd: 45, hours: 12 } },
  damp: { light: lamp, humidityPct: 90 },
  sultry: { light: lamp, humidityPct: 88, dayC: 26, nightC: 25 },
  draught: { light: lamp, humidityPct: 25, movingAir: true }
};
const MEDIUM: Record<string, MediumKind> = { mat: 'hemp-mat', paper: 'paper', bare: 'none', mesh: 'mesh' };
/** How far it is, in days of the table at 21 degC. */
const AGES: Record<string, (crop: ReturnType<typeof cropOf>) => number> = {
  sown: () => 0.7,
  sprout: (crop) => crop.rootedD21 * 0.5,
  'late-sprout': (crop) => crop.rootedD21 * 8,
  rooted: (crop) => crop.rootedD21 + 0.2,
  dark: (crop) => crop.lightReadyD21,
  left: (crop) => crop.lightReadyD21 + 3,
  lit: (crop) => crop.lightReadyD21 + 0.5,
  growing: (crop) => Math.max(crop.lightReadyD21 + 2.2, (crop.lightReadyD21 + crop.windowOpenD21) / 2),
  open: (crop) => crop.windowOpenD21 + 0.3,
  best: (crop) => crop.windowBestD21,
  past: (crop) => crop.windowCloseD21 + 1.5
};
const UNCOVERED = ['sown', 'sprout', 'late-sprout'];
const IN_THE_DARK = [...UNCOVERED, 'rooted', 'dark', 'left'];

interface Situation {
  line: string;
  sight: Symptom;
  /** Null for nothing that Brote knows. */
  cause: Cause | null;
  never: readonly string[];
  facts: LookFacts;
}

/** One line of the table as a tray with its log. */
function situationOf(line: string): Situation {
  const [key, how, phase, setting, sight, cause, never = ''] = line
    .split('|')
    .map((word) => word.trim()) as string[];
  const words = setting!.split(' ');
  const crop = cropOf(key!);
  const place: Place = { ...shelf, ...PLACES[words[0]!]! };
  const days = AGES[phase!]!(crop);
  const hours = days * 24;
  const medium = words.map((word) => MEDIUM[word]).find(Boolean) ?? 'coir';
  const feed = words.includes('full-feed') ? 'reservoir' : words.includes('fed') ? 'half' : 'none';
  const soaked = crop.soakBestH > 0 && !words.includes('unsoaked');
  const setup = radishTray({
    cropKey: key!,
    medium,
    method: { ...METHODS[how!]!, feed },
    seedsPerCm2: crop.seedsPerCm2.usual * (words.includes('thick') ? 1.8 : 1),
    germinationPct: words.includes('old') ? 55 : null,
    soakH: words.includes('unsoaked') ? 0 : null,
    stackOf: null,
    soakStartAt: soaked ? SOWN - crop.soakBestH * HOUR : null,
    soakEndAt: soaked ? SOWN : null
  });
  const facts = { ...home, places: new Map([[place.id, place]]) };
  const log: SowingEvent[] = [
    ...(soaked ? [event(-crop.soakBestH, { type: 'soaked' }), event(0, { type: 'drained' })] : []),
    event(0, { type: 'sown', waterG: 300 })
  ];
  const { path } = project(facts, setup, log);
  const misted = path.mists === 'never' ? 0 : Math.min(days, crop.rootedD21);
  for (let day = 1; day <= misted; day += 1) log.push(event(day * 24, { type: 'misted', waterG: 9 }));
  if (!UNCOVERED.includes(phase!) && path.cover !== 'none') {
    if (path.blackout) log.push(event(Math.min(hours - 1, crop.rootedD21 * 24), { type: 'uncovered' }));
    if (path.lightFrom !== null && !IN_THE_DARK.includes(phase!))
      log.push(event(crop.lightReadyD21 * 24, { type: 'lit' }));
  }
  const full = trackOf(project(facts, setup, log)).fullG(SOWN + hours * HOUR);
  if (words.includes('soggy'))
    log.push(event(hours - 8, { type: 'watered', waterG: Math.round(full * 1.6) }));
  else if (words.includes('dry')) log.push(event(hours - 1, { type: 'felt', moisture: 'dry' }));
  else
    log.push(
      event(hours - 14, { type: 'watered', waterG: Math.round(full * 0.3) }),
      event(hours - 1, { type: 'felt', moisture: 'right' })
    );
  log.sort((a, b) => a.at - b.at);
  const projected = project(facts, setup, log);
  return {
    line,
    sight: sight as Symptom,
    cause: cause === 'none' ? null : (cause as Cause),
    never: never.split(' ').filter(Boolean),
    facts: lookFacts(projected, { latitudeDeg: 43.4, dayOfYear: 310 }, SOWN + hours * HOUR)
  };
}

const situations = SITUATIONS.trim().split('\n').map(situationOf);

/** What a line of the answer claims, and whether the tray's own log and setting bear it. */
function isSo(evidence: Evidence, { projected, ...f }: LookFacts): boolean {
  const { state, path, method, place } = projected;
  switch (evidence.kind) {
    case 'unpressed':
      return path.cover !== 'weight' && path.cover !== 'stacked';
    case 'unmisted':
      return !state.water.some((fact) => 'addedG' in fact && fact.addedG < 20);
    case 'overwatered':
      return trackOf(projected).excess.length > 0;
    case 'lamp':
      return place.light.kind === 'lamp';
    case 'moving-air':
      return place.movingAir;
    case 'medium':
      return evidence.fed === (method.feed !== 'none');
    case 'dark':
      return evidence.days >= 0 && (state.litAt === null || f.daysInLight < 30);
    case 'lit':
      return f.daysInLight > 0;
    case 'open':
      return evidence.days < 0 === f.openFor < 0;
    case 'crowding':
      return evidence.times > 1;
    default:
      return true;
  }
}

/** Causes that a log can rule out altogether. */
const RULED_OUT: Partial<Record<Cause, (f: LookFacts) => boolean>> = {
  unpressed: ({ projected }) => projected.path.pressGCm2 > 0,
  unfed: ({ projected }) => projected.method.feed !== 'none',
  'strong-feed': ({ projected }) => projected.method.feed === 'none',
  'lamp-close': ({ projected }) => projected.place.light.kind !== 'lamp',
  'just-lit': ({ daysInLight }) => daysInLight === 0 || daysInLight > 3,
  unsoaked: ({ projected }) => !projected.needsSoak || projected.state.soakedAt !== null,
  'meant-pale': ({ projected }) => projected.path.lightFrom !== null,
  draught: ({ projected }) => !projected.place.movingAir
};

describe('what an experienced grower would say', () => {
  it('is a table of at least 190 situations: two a symptom, one a crop', () => {
    expect(situations.length).to.be.at.least(190);
    for (const symptom of SYMPTOMS)
      expect(situations.filter(({ sight }) => sight === symptom).length, symptom).to.be.at.least(2);
    for (const { key } of CROPS)
      expect(situations.filter(({ line }) => line.startsWith(`${key} |`)).length, key).to.be.at.least(1);
    expect(new Set(situations.map(({ line }) => line)).size).to.equal(situations.length);
  });

  it('holds at least twenty in which the cause that a sight most often has is the wrong one', () => {
    const first = new Map(
      SYMPTOMS.map((symptom) => {
        const causes = situations.filter(({ sight }) => sight === symptom).map(({ cause }) => cause);
        const count = (cause: Cause | null) => causes.filter((one) => one === cause).length;
        return [symptom, causes.reduce((most, one) => (count(one) > count(most) ? one : most))] as const;
      })
    );
    expect(situations.filter(({ sight, cause }) => first.get(sight) !== cause).length).to.be.at.least(20);
  });

  it('is what Brote answers', () => {
    const wrong = situations.flatMap(({ line, sight, cause, facts }) => {
      const answer = answerLook(sight, facts);
      return answer.cause === cause ? [] : [`${line}: ${answer.cause} ${answer.chance}`];
    });
    expect(wrong).to.deep.equal([]);
  });

  it('is contradicted by no log: neither what it names nor what else it thinks of', () => {
    for (const { line, sight, facts, never } of situations) {
      const { cause, because, others } = answerLook(sight, facts);
      for (const one of [...(cause ? [cause] : []), ...others.map((other) => other.cause)]) {
        expect(RULED_OUT[one]?.(facts) ?? false, `${line}: ${one}`).to.equal(false);
        expect(never, line).to.not.include(one);
      }
      for (const evidence of because)
        expect(isSo(evidence, facts), `${line}: ${JSON.stringify(evidence)}`).to.equal(true);
    }
  });

  it('has its why, or two checks that tell more', () => {
    for (const { line, sight, facts } of situations) {
      const { cause, because, checks } = answerLook(sight, facts);
      if (cause) expect(because, line).to.not.have.length(0);
      else {
        expect(because, line).to.have.length(0);
        expect(new Set(checks).size, line).to.equal(2);
      }
    }
  });

  it('comes to the same in whatever order its causes are listed', () => {
    for (const { line, sight, facts } of situations) {
      const answer = answerLook(sight, facts);
      expect(answerLook(sight, facts, CAUSES_OF[sight].toReversed()), line).to.deep.equal(answer);
    }
  });

  it('has at least one situation for every cause that a sight can have somewhere', () => {
    const told = new Set(situations.map(({ cause }) => cause));
    expect(
      Object.values(CAUSES_OF)
        .flat()
        .filter((cause) => !told.has(cause))
    ).to.deep.equal([]);
  });
});
