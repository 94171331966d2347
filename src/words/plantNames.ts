import { cropInText } from './cropNames.ts';
import { t, table } from '$messages/t.ts';
import type { WhyRefused, WhyWarned } from '$core/crops/names/lexicon.ts';
import { cropOf } from '$core/crops/library.ts';
import type { Doubt } from '$core/crops/names/verdict.ts';

/** Why a plant is not grown to be eaten young. */
export const REFUSED_WORDS: Record<WhyRefused, string> = table('crops.refused');

const WARNED_WORDS: Record<WhyWarned, string> = table('crops.warned');

const misspelledWarning = (why: WhyRefused | WhyWarned): string =>
  why in WARNED_WORDS ? WARNED_WORDS[why as WhyWarned] : t('crops.plantPoisonousAsSeedling');

/** What is doubtful about a plant's name. */
export function doubtWords(doubt: Doubt): string {
  switch (doubt.kind) {
    case 'misspelled':
      return t('crops.didYouMeanPlantWhy', { plant: doubt.plant, why: misspelledWarning(doubt.why) });
    case 'warned':
      return WARNED_WORDS[doubt.why];
    case 'ornamental':
      return t('crops.ornamentalPlantsBredTheirLooks');
    case 'unknown':
      if (doubt.because === 'script') return t('crops.broteCannotReadPlantNames');
      return doubt.near
        ? t('crops.didYouMeanNameBrote', { name: cropInText(cropOf(doubt.near).name) })
        : t('crops.broteDoesNotKnowPlant');
  }
}

/** What a person confirms who goes on in spite of the doubt. */
export const CONFIRMATIONS: Record<Doubt['kind'], string> = table('crops.confirmations');

/** What to do about a doubt that was not confirmed. */
export const CONFIRM_OR_RENAME = () => t('crops.tickConfirmOrChangeName');
