import { householdNow } from '$server/households/household.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals, depends }) => {
  depends('brote:sowings');
  const { household, memberId, memberName } = locals.session!;
  return { household, member: { id: memberId, name: memberName }, now: householdNow(household) };
};
