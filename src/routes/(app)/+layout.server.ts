import { householdNow } from '$server/households/household.ts';
import { signedIn, unreadableOf } from '$server/requests/session.ts';
import type { LayoutServerLoad } from './$types';

/** Loaded with each view, whose own load runs beside this one. */
export const load: LayoutServerLoad = async ({ locals, depends, url }) => {
  depends('brote:sowings');
  void url.pathname;
  const { household, memberId, memberName } = signedIn(locals);
  return {
    household,
    member: { id: memberId, name: memberName },
    now: householdNow(household),
    unreadable: await unreadableOf(locals)
  };
};
