import { householdSeedNeeds } from '$server/app/seedNeeds.ts';
import { householdNow } from '$server/households/household.ts';
import { signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { household } = signedIn(locals);
  return { needs: await householdSeedNeeds(locals), now: householdNow(household) };
};
