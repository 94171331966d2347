import { t } from '$messages/t.ts';
import { randomUUID } from 'node:crypto';
import { redirect } from '@sveltejs/kit';
import { check } from '$contract/schemas/check.ts';
import { awaySchema, sitterSchema } from '$contract/schemas/people.ts';
import { isDay, isId } from '$contract/text.ts';
import { absenceOf } from '$core/away/period.ts';
import { rhythmOf } from '$core/sowing/household.ts';
import { awayOutlook } from '$server/app/awayOutlook.ts';
import { standingNow } from '$server/app/householdStanding.ts';
import { householdNow } from '$server/households/household.ts';
import { addAway, listAway, removeAway } from '$server/people/away.ts';
import { addSitter, listSitters, revokeSitter } from '$server/people/sitters.ts';
import { form, notTaken, taken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { isoDay } from '$words/time.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** A sitter's address works a day longer than their days: whoever comes back late is still looked after. */
const GRACE_MS = 24 * 3_600_000;

export const load: PageServerLoad = async ({ locals, url }) => {
  const { household } = signedIn(locals);
  const now = householdNow(household);
  const today = isoDay(now, household.zone);
  const asked = check(awaySchema, {
    fromDay: url.searchParams.get('from') ?? '',
    untilDay: url.searchParams.get('until') ?? ''
  });
  const wrong = url.searchParams.has('from') && !asked.ok ? asked.errors : {};
  const { standing, marked, sitters } = await inSession(locals, async (tx) => {
    const standing = await standingNow(tx);
    const [marked, sitters] = await Promise.all([listAway(tx, today), listSitters(tx, now)]);
    return { standing, marked, sitters };
  });
  // Worked out once the connection is free again: many trays take a while.
  return {
    marked: await Promise.all(marked.map((period) => awayOutlook(standing, period))),
    /** Days that are only looked at. */
    preview:
      asked.ok && asked.value.untilDay >= today
        ? await awayOutlook(standing, { fromDay: asked.value.fromDay, untilDay: asked.value.untilDay })
        : null,
    wrong: {
      ...wrong,
      ...(asked.ok && asked.value.untilDay < today ? { untilDay: t('household.theseDaysHavePassed') } : {})
    } as Record<string, string>,
    asked: { from: url.searchParams.get('from') ?? '', until: url.searchParams.get('until') ?? '' },
    sitters,
    media: standing.household.media,
    today,
    now,
    newId: randomUUID()
  };
};

const done = (what: string, sitter: { name: string; address: string } | null = null) =>
  taken({
    done: what,
    sitter
  });

export const actions: Actions = {
  mark: form(async ({ locals }: RequestEvent, fields) => {
    const { household } = signedIn(locals);
    const checked = check(awaySchema, fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { fromDay, untilDay } = checked.value;
    const today = isoDay(householdNow(household), household.zone);
    if (untilDay < today) return notTaken(422, fields, { untilDay: t('household.theseDaysHavePassed') });
    await inSession(locals, (tx) => addAway(tx, household.id, { fromDay, untilDay }, today));
    // Without the days in its address: they are marked now, and no longer only looked at.
    redirect(303, '/household/away');
  }),
  unmark: form(async ({ locals }: RequestEvent, { fromDay = '' }) => {
    if (isDay(fromDay)) await inSession(locals, (tx) => removeAway(tx, fromDay));
    return done('unmarked');
  }),
  sitter: form(async ({ locals, url }: RequestEvent, fields) => {
    const { household, memberId } = signedIn(locals);
    const checked = check(sitterSchema, fields);
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const { id, name, fromDay, untilDay } = checked.value;
    const { leavesAt, backAt } = absenceOf({ fromDay, untilDay }, rhythmOf(household));
    if (backAt < householdNow(household))
      return notTaken(422, fields, { untilDay: t('household.theseDaysHavePassed') });
    const token = await inSession(locals, (tx) =>
      addSitter(tx, household.id, { id, name, fromAt: leavesAt, untilAt: backAt + GRACE_MS }, memberId)
    );
    return done('sitter', token ? { name, address: new URL(`/sitter/${token}`, url).href } : null);
  }),
  revoke: form(async ({ locals }: RequestEvent, { sitter = '' }) => {
    if (isId(sitter)) await inSession(locals, (tx) => revokeSitter(tx, sitter));
    return done('revoked');
  })
};
