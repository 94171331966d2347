import { json } from '@sveltejs/kit';
import { ValidationError } from 'yup';
import { checkWeighIn } from '$core/growth/yield.ts';
import type { EventBody } from '$core/sowing/event.ts';
import { wrongTrayWeight } from '$core/shelf/load.ts';
import { project } from '$core/sowing/project.ts';
import { readLog } from '$core/sowing/record.ts';
import { sowingOf } from '$core/sowing/sowing.ts';
import { DAY, MINUTE } from '$core/time/zone.ts';
import { householdNow } from '$server/households/household.ts';
import { householdFacts } from '$server/households/facts.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { tooHeavyMove } from '$server/app/move.ts';
import { addEvents, knownEvent } from '$server/sowings/events.ts';
import { heavyWords } from '$words/places.ts';
import { findSowing } from '$server/sowings/sowings.ts';
import { check } from '$contract/schemas/check.ts';
import { checkBody, eventSchema } from '$contract/schemas/event.ts';
import type { RequestHandler } from './$types';

const bad = (message: string, code = 'wrong', status = 422) => json({ message, code }, { status });

/** A device's clock may run behind so far: what was touched just after planning is not from before it. */
const SLACK = 10 * MINUTE;

/** Records one event. Sending it again, or ticking what somebody else has ticked, changes nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const sent = await readJson(request);
  const checked = check(eventSchema, sent);
  if (!checked.ok) return bad(Object.values(checked.errors)[0] ?? 'This cannot be read.');
  let body: EventBody;
  try {
    body = checkBody((sent as { body: EventBody }).body);
  } catch (error) {
    if (error instanceof ValidationError) return bad(error.message);
    throw error;
  }
  const { id, sowingId, taskKey, sure } = checked.value;
  const now = householdNow(session.household);
  if (checked.value.at < now - 30 * DAY) return bad('This was over a month ago: write it as a note instead.');
  const at = Math.min(checked.value.at, now + MINUTE);
  return inSession(locals, async (tx) => {
    const [record, facts, known] = await Promise.all([
      findSowing(tx, sowingId),
      householdFacts(tx),
      knownEvent(tx, { id, sowingId, body })
    ]);
    if (!record) return bad('This tray is not in your household.', 'missing', 404);
    if (known === 'other')
      return bad('Something else was recorded under this id already: it was not taken.', 'conflict', 409);
    if (known === 'same') return json({ saved: id });
    if (at < record.begunAt - SLACK)
      return bad('This was before the sowing began: check the time, or write it as a note.');
    if (body.type === 'moved') {
      const to = facts.places.get(body.placeId);
      if (!to) return bad('This place is not in your household.', 'missing', 404);
      const heavy = await tooHeavyMove(tx, facts, record, to, now);
      if (heavy) return bad(heavyWords(to, heavy, session.household.units), 'too-heavy');
    }
    if (body.type === 'undone' && readLog(record).every((event) => event.id !== body.eventId))
      return bad('What was to be taken back is not in this tray’s log.', 'missing', 404);
    if (body.type === 'cut') {
      const sowing = sowingOf(record.setup, facts.ownCrops);
      const weighed = checkWeighIn(sowing.crop, sowing.areaCm2, body);
      if (weighed.kind === 'wrong') return bad(weighed.say);
      if (weighed.kind === 'implausible' && !sure) return bad(String(weighed.times), 'implausible');
    }
    if (body.type === 'weighed') {
      const wrong = wrongTrayWeight(project(facts, record.setup, readLog(record)), body.grossG);
      if (wrong) return bad(wrong);
    }
    const event = { id, at, by: session.memberId, taskKey: taskKey ?? null, body };
    await addEvents(tx, session.household.id, sowingId, [event], facts);
    return json({ saved: id });
  });
});
