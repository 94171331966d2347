import { householdNow } from '$server/households/household.ts';
import { signedIn } from '$server/requests/session.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals, depends }) => {
  depends('brote:sowings');
  const { household, memberId, memberName } = signedIn(locals);
  return { household, member: { id: memberId, name: memberName }, now: householdNow(household) };
};
