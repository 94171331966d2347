import { placeAt } from '../growth/forecast.ts';
import { airAt } from '../places/air/airAt.ts';
import type { Place } from '../places/place.ts';
import type { LossReason } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { ASSUMED } from '../sowing/sowing.ts';
import { cutG, wateredG } from '../sowing/totals.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import {
  figureAsked,
  figureOf,
  QUESTIONS,
  type Answers,
  type Method,
  type Question
} from '../supplies/methods/method.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';

/** A question of a method with the answer that was given to it, and its figure where it asks for one. */
export interface GivenAnswer {
  question: Question;
  answer: Answers[Question];
  figure: number | null;
}

/** Answers of a method that are not the first of their question. */
const givenAnswers = (method: Method): GivenAnswer[] =>
  (Object.keys(QUESTIONS) as Question[]).flatMap((question) => {
    const answer = method[question];
    if (answer === QUESTIONS[question][0]) return [];
    const asked = figureAsked(method, question);
    return [{ question, answer, figure: asked && figureOf(method, asked) }];
  });

/** What of a sowing is set against that of another: what was chosen, and what came of it. */
export interface StoryFacts {
  id: string;
  cropKey: string;
  cropName: string;
  durationCv: number;
  startAt: Millis;
  lost: LossReason | null;
  chosen: {
    crop: string;
    /** Null where nobody said what it grew in; likewise the seed. */
    container: string | null;
    medium: MediumKind;
    mediumId: string | null;
    method: string;
    /** Answers of its method that are not the first, which a sowing may have changed for itself. */
    answers: readonly GivenAnswer[];
    place: string;
    light: Place['light']['kind'];
    /** Seeds to a cm2, at usual germination. */
    density: number | null;
    seedG: number | null;
    soakH: number;
    lotId: string | null;
  };
  came: {
    /** Mean warmth that it stood in, degC. */
    warmthC: number | null;
    /** Days from sowing to where its window opened, as seen, or as it is believed where nobody looked. */
    openD: number | null;
    openSeen: boolean;
    firstCutD: number | null;
    cutG: number;
    gPerM2: number | null;
    gPerGSeed: number | null;
    waterG: number;
  };
}

const SAMPLE = 6 * HOUR;

/** The mean warmth a sowing stood in until a moment, degC; null before it was sown. */
export function meanWarmthC({ stays, state }: Projected, until: Millis): number | null {
  if (state.sownAt === null) return null;
  const end = Math.min(until, state.endedAt ?? until);
  let [sum, count] = [0, 0];
  for (let at = state.sownAt; at < end; at += SAMPLE) {
    sum += airAt(placeAt(stays, at), at).tempC;
    count += 1;
  }
  return count > 0 ? sum / count : null;
}

/** The facts of one sowing. */
export function factsOfStory(sowing: Projected, now: Millis): StoryFacts {
  const { setup, crop, state, firstGrowth, method, stays, areaCm2 } = sowing;
  const forecast = firstGrowth ?? sowing.forecast;
  const open = forecast.marks.windowOpen;
  const gaveG = cutG(state);
  const cut = state.lost === null && gaveG > 0;
  const days = (at: Millis): number | null =>
    state.sownAt === null || !Number.isFinite(at) ? null : (at - state.sownAt) / DAY;
  const [sized, weighed] = ASSUMED.map((what) => !setup.assumed?.includes(what));
  const soaked = state.soakedAt !== null && setup.soakStartAt !== null && setup.soakEndAt !== null;
  return {
    id: setup.id,
    cropKey: crop.key,
    cropName: crop.name,
    durationCv: crop.durationCv,
    startAt: sowing.startAt,
    lost: state.lost,
    chosen: {
      crop: crop.name,
      container: sized ? setup.container.name : null,
      medium: setup.medium,
      mediumId: setup.mediumId,
      method: method.name,
      answers: givenAnswers(method),
      place: placeAt(stays, state.litAt ?? -Infinity).name,
      light: sowing.place.light.kind,
      density: sized && weighed ? setup.seedsPerCm2 : null,
      seedG: weighed ? setup.seedG : null,
      soakH: soaked ? (setup.soakEndAt! - setup.soakStartAt!) / HOUR : 0,
      lotId: setup.lotId
    },
    came: {
      warmthC: meanWarmthC(sowing, now),
      openD: state.lost === null ? days(open.p50) : null,
      openSeen: open.seen,
      firstCutD: state.cuts[0] ? days(state.cuts[0].at) : null,
      cutG: gaveG,
      gPerM2: cut && sized ? (gaveG / areaCm2) * 10_000 : null,
      gPerGSeed: cut && weighed ? gaveG / setup.seedG : null,
      waterG: wateredG(state)
    }
  };
}
