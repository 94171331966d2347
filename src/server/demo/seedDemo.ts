import { areaCm2 } from '../../core/supplies/containers/container.ts';
import { isSoaked } from '../../core/crops/crop.ts';
import { cropOf } from '../../core/crops/library.ts';
import { DEFAULT_METHOD, methodOf } from '../../core/supplies/methods/ready.ts';
import { plan } from '../../core/sowing/plan.ts';
import { beginsAt, soakFrom, soonest, type SoakPlan } from '../../core/sowing/soak.ts';
import type { SowingEvent } from '../../core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import type { SowingSetup } from '../../core/sowing/sowing.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { roundAt, roundsBetween } from '../../core/time/rhythm.ts';
import { DAY, HOUR } from '../../core/time/zone.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { addHousehold, memberNamed, type HouseholdAccount } from '../households/household.ts';
import { addPlace, listPlaces } from '../households/places.ts';
import { hashPassphrase } from '../sessions/passphrase.ts';
import { rebuild } from '../app/rebuild.ts';
import { afterTheCut } from './afterTheCut.ts';
import { addEvents } from '../app/addEvents.ts';
import { listLessons } from '../sowings/learned.ts';
import { markDemo } from './markDemo.ts';
import { placeSensors } from './sensors.ts';
import { noteTouched } from '../reminders/judging.ts';
import { addSowing } from '../sowings/sowings.ts';
import { chanceFrom, type Chance } from './chance.ts';
import { growerFollows, natureOf } from './growerFollows.ts';
import { countContainers, fillCupboard, LOTS, METHODS } from './cupboard.ts';
import { FLAT, PAST, PLACES, TONIGHT, UNDER_WAY, type DemoStory } from './scenario.ts';

const SEED = 20_260_301;
/** Ten weeks of a household are filled in at once. */
const FILLING_MS = 120_000;
/** How slow this household is against the table, on the log scale: its kitchen is a little cool. */
const HOUSEHOLD_PACE = 0.05;

/**
 * Fills an empty database with the demo: a household with trays at every stage and ten weeks behind it.
 * @param ownerUrl of the role that owns the tables: the application's may make no household the demo
 */
export async function seedDemo(now: number, ownerUrl: string): Promise<string> {
  const chance = chanceFrom(SEED);
  const household: HouseholdAccount = {
    id: chance.id(),
    name: FLAT.name,
    zone: FLAT.zone,
    units: 'metric',
    latitudeDeg: FLAT.latitudeDeg,
    wakeMin: 420,
    sleepMin: 1380,
    roundsMin: [450, 1230],
    methodKey: DEFAULT_METHOD.key,
    demo: true,
    clockAheadMs: 0
  };
  const facts = factsOf({ ...household, places: Object.values(PLACES), ownCrops: [] });
  const passphraseHash = await hashPassphrase('green thumbs');
  await inHousehold(
    household.id,
    async (tx) => {
      await addHousehold(tx, { ...household, passphraseHash });
      const members: string[] = [];
      for (const name of FLAT.members) members.push(await memberNamed(tx, household.id, chance.id(), name));
      for (const place of Object.values(PLACES)) await addPlace(tx, household.id, place);
      await placeSensors(tx, household.id, facts.rhythm, now);
      // From here on what stands is followed by what was measured.
      const measured = factsOf({ ...household, places: await listPlaces(tx, now), ownCrops: [] });
      await fillCupboard(tx, household.id, now);
      for (const story of PAST)
        await growStory(tx, { household, facts: measured, members, chance, now, story, ended: true });
      // What stands now is forecast with what the ten weeks before have taught.
      const learned = { ...measured, ...(await listLessons(tx)) };
      for (const story of UNDER_WAY)
        await growStory(tx, { household, facts: learned, members, chance, now, story, ended: false });
      for (const story of TONIGHT)
        await prepareTonight(tx, { household, facts, members, chance, now, story, ended: false });
      await countContainers(tx);
      await noteTouched(tx, now);
    },
    FILLING_MS
  );
  await markDemo(ownerUrl, household.id);
  return household.id;
}

interface Growing {
  household: HouseholdAccount;
  facts: HouseholdFacts;
  members: string[];
  chance: Chance;
  now: number;
  story: DemoStory;
  ended: boolean;
}

async function growStory(tx: Tx, growing: Growing): Promise<void> {
  const { household, facts, members, chance, now, story, ended } = growing;
  // Those under way are grown up to the round before this one, so that this one is still to be walked.
  const until = ended ? now - 2 * HOUR : roundAt(facts.rhythm, now).at - HOUR;
  const nature = natureOf(story.crop, ended ? HOUSEHOLD_PACE : 0, chance);
  if (!ended) nature.pace = story.pace ?? 1;
  let soak: SoakPlan;
  let setup: SowingSetup;
  let events: SowingEvent[];
  // Looks move the forecast off the day that was aimed for: start a little earlier or later until it holds.
  for (let tries = 0, aim = story.opensInD; ; tries += 1) {
    soak = whenStarted(growing, aim);
    setup = setupOf(growing, soak);
    const lostAt = story.lostAfterD === undefined ? undefined : setup.sowAt + story.lostAfterD * DAY;
    events = growerFollows(facts, setup, nature, members, chance, {
      until,
      lostAt,
      cutWhenOpen: ended,
      weighs: story.weighs ?? false
    });
    const { state, forecast } = project(facts, setup, events);
    if (tries === 6) break;
    if (ended) {
      // A slow one that stands still is begun a day sooner.
      if (state.stage === 'ended') break;
      aim -= 1;
      continue;
    }
    const off = (forecast.marks.windowOpen.p50 - now) / DAY - story.opensInD;
    if (story.opensInD < 0 || story.sownAgoD !== undefined || Math.abs(off) < 0.3) break;
    aim -= off * 0.8;
  }
  events.push(
    ...afterTheCut(facts, setup, events, members, chance, { until, juiced: story.juiced ?? false })
  );
  await addSowing(tx, household.id, setup, {
    memberId: members[0]!,
    at: beginsAt(soak),
    containerId: chance.id()
  });
  await addEvents(tx, household.id, setup.id, events, facts);
}

/** When it must have been started for its window to open when the story says. */
function whenStarted({ facts, story, now }: Growing, opensInD: number): SoakPlan {
  const crop = cropOf(story.crop);
  if (story.sownAgoD !== undefined)
    return soonest(crop, facts.rhythm, Math.round(now - story.sownAgoD * DAY - crop.soakBestH * HOUR));
  const tried = plan({
    crop,
    container: story.container,
    count: story.count,
    medium: story.medium,
    method: METHODS.get(story.method) ?? methodOf(story.method),
    place: story.place,
    seedsPerCm2: crop.seedsPerCm2.usual,
    germinationPct: null,
    aim: { kind: 'now' },
    rhythm: facts.rhythm,
    latitudeDeg: facts.latitudeDeg,
    now: now - 12 * DAY
  });
  const opensAfter = tried.forecast.marks.windowOpen.p50 - tried.soak.sowAt;
  const lead = (crop.soakBestH + (crop.soakBestH > 0 ? crop.drainH : 0)) * HOUR;
  return soonest(crop, facts.rhythm, Math.round(now + opensInD * DAY - opensAfter - lead));
}

function setupOf({ chance, story }: Growing, soak: SoakPlan): SowingSetup {
  const crop = cropOf(story.crop);
  const seedsPerCm2 = crop.seedsPerCm2.usual * (story.crowd ?? 1);
  const seedG = (areaCm2(story.container) * story.count * seedsPerCm2 * crop.thousandSeedWeightG) / 1000;
  return {
    id: chance.id(),
    cropKey: story.crop,
    container: story.container,
    count: story.count,
    medium: story.medium,
    mediumId: null,
    areaShare: 1,
    mix: null,
    method: METHODS.get(story.method) ?? methodOf(story.method),
    placeId: story.place.id,
    lightPlaceId: null,
    seedsPerCm2,
    germinationPct: null,
    seedG: Math.round(seedG * 10) / 10,
    lotId: story.lot ? LOTS[story.lot].id : null,
    soakStartAt: soak.soakStart,
    soakEndAt: soak.soakEnd,
    sowAt: soak.sowAt,
    soakH: null,
    stackOf: null,
    trayNo: null,
    half: null
  };
}

async function prepareTonight(tx: Tx, growing: Growing): Promise<void> {
  const { facts, now, household, members, chance, story } = growing;
  const evening = roundsBetween(facts.rhythm, now - HOUR, now + DAY).find(
    (at) => facts.rhythm.zone.minutes(at) > 720
  )!;
  const crop = cropOf(story.crop);
  const setup = setupOf(
    growing,
    isSoaked(crop)
      ? soakFrom(crop, facts.rhythm, evening)
      : { soakStart: null, soakEnd: null, soakH: 0, sowAt: evening, endsAsleep: false }
  );
  await addSowing(tx, household.id, setup, {
    memberId: members[1]!,
    at: now - 5 * HOUR,
    containerId: chance.id()
  });
  await rebuild(tx, { ids: [setup.id] });
}
