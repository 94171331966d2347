import type { Suit } from '$core/growth/suit.ts';
import { tooWarm } from '$core/places/air/warmth.ts';
import type { Place } from '$core/places/place.ts';
import type { Crop } from '$core/crops/crop.ts';
import { temperature, type Units } from '$core/units/format.ts';

/** That a place is too warm for a crop, in a sentence; empty where it is not. */
export function warmthWords(crop: Crop, place: Place, units: Units): string {
  const warm = tooWarm(crop, place);
  if (!warm) return '';
  return `Too warm for ${crop.name.toLowerCase()} ${place.name ? `on ${place.name}` : 'there'}: about ${temperature(warm.meanC, units)} on average, and above ${temperature(warm.keepBelowC, units)} it sprouts badly and falls over.`;
}

/** Which of the household's places suits a crop better than where it stands, and how soon it opens there. */
const betterWords = ({ better }: Pick<Suit, 'better'>): string =>
  better
    ? `${better.place.name} suits it best: about ${Math.round(better.days)} days from sowing to the first cut.`
    : 'None of your other places suits it now.';

/** What keeps a crop from growing where it stands or is to stand, and where it would do better; empty where nothing does. */
export function suitWords(crop: Crop, suit: Suit, units: Units): string {
  const name = crop.name.toLowerCase();
  const between = `It grows between ${temperature(crop.baseC, units)} and ${temperature(crop.maximumC, units)}, fastest at ${temperature(crop.optimumC, units)}.`;
  switch (suit.hindered) {
    case 'cold':
      return `Too cold for ${name} here, so there is no harvest date. ${between} ${betterWords(suit)}`;
    case 'hot':
      return `Too hot for ${name} here, so there is no harvest date. ${between} ${betterWords(suit)}`;
    case 'dim':
      return `Too dim for ${name} here: it would take more than twice its usual days, so there is no harvest date. ${betterWords(suit)}`;
    case null:
      return suit.tooWarm ? `${warmthWords(crop, suit.tooWarm.place, units)} ${betterWords(suit)}` : '';
  }
}
