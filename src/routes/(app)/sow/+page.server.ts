import { openings } from '$server/app/openings.ts';
import { readAppetite } from '$server/ahead/appetite.ts';
import { householdNow } from '$server/households/household.ts';
import { listPlaces } from '$server/households/places.ts';
import { lastStrengths, listChoices } from '$server/sowings/choices.ts';
import { listContainers, listKeptContainers } from '$server/sowings/containers.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [places, containers, kept, choices, appetite, standing, strengths] = await Promise.all([
      listPlaces(tx),
      listContainers(tx),
      listKeptContainers(tx),
      listChoices(tx),
      readAppetite(tx),
      openings(tx),
      lastStrengths(tx)
    ]);
    return {
      ...choices,
      places,
      containers,
      kept,
      appetite,
      strengths,
      ...standing,
      cropKey: url.searchParams.get('crop') ?? '',
      now: householdNow(household)
    };
  });
};
