import { householdNow } from '$server/households/household.ts';
import { signedIn } from '$server/requests/session.ts';
import type { LayoutServerLoad } from './$types';

/** Loaded with each view: that view's own load runs beside this one, and adds what it could not read to the same list. */
export const load: LayoutServerLoad = ({ locals, depends, url }) => {
  depends('brote:sowings');
  void url.pathname;
  const { household, memberId, memberName } = signedIn(locals);
  return {
    household,
    member: { id: memberId, name: memberName },
    now: householdNow(household),
    unreadable: locals.unreadable
  };
};
