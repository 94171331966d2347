import { cropInText } from './cropNames.ts';
import { t } from '$messages/t.ts';
import type { Suit } from '$core/growth/suit.ts';
import { tooWarm } from '$core/places/air/warmth.ts';
import type { Place } from '$core/places/place.ts';
import type { Crop } from '$core/crops/crop.ts';
import { temperature, type Units } from '$core/units/format.ts';

/** That a place is too warm for a crop, in a sentence; empty where it is not. */
export function warmthWords(crop: Crop, place: Place, units: Units): string {
  const warm = tooWarm(crop, place);
  if (!warm) return '';
  return t('tray.tooWarmNameOnName', {
    name: cropInText(crop.name),
    when: place.name ? 'yes' : 'no',
    name2: place.name ? place.name : '',
    temperature: temperature(warm.meanC, units),
    temperature2: temperature(warm.keepBelowC, units)
  });
}

/** Which of the household's places suits a crop better than where it stands, and how soon it opens there. */
const betterWords = ({ better }: Pick<Suit, 'better'>): string =>
  better
    ? t('tray.nameSuitsBestAboutDays', { name: better.place.name, days: Math.round(better.days) })
    : t('tray.noneYourPlacesSuitsNow');

/** What keeps a crop from growing where it stands or is to stand, and where it would do better; empty where nothing does. */
export function suitWords(crop: Crop, suit: Suit, units: Units): string {
  const name = cropInText(crop.name);
  const between = t('tray.growsBetweenTemperatureTemperatureFastes', {
    temperature: temperature(crop.baseC, units),
    temperature2: temperature(crop.maximumC, units),
    temperature3: temperature(crop.optimumC, units)
  });
  switch (suit.hindered) {
    case 'cold':
      return t('tray.tooColdNameHereSo', { name, between, better: betterWords(suit) });
    case 'hot':
      return t('tray.tooHotNameHereSo', { name, between, better: betterWords(suit) });
    case 'dim':
      return t('tray.tooDimNameHereWould', { name, better: betterWords(suit) });
    case null:
      return suit.tooWarm ? `${warmthWords(crop, suit.tooWarm.place, units)} ${betterWords(suit)}` : '';
  }
}
