import { cropInText, cropName } from './cropNames.ts';
import { t } from '$messages/t.ts';
import type { Note } from '$core/steps/ask.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { Path } from '$core/supplies/methods/path.ts';
import { volume } from '$core/units/format.ts';
import type { Cue } from '$core/sowing/event.ts';
import { MOULD_IN_TEXT } from './looks.ts';
import { cueWords } from './events.ts';
import { dayAndTime, dayWords, type Locale } from './time.ts';

/** Something to know about a tray, in a line or two. */
export function noteWords(note: Note, crop: Crop, path: Path, now: number, locale: Locale): string {
  switch (note.kind) {
    case 'may-be-lost':
      return t('round.byWhatWasRecordedHas');
    case 'touch-it':
      return t('round.shouldBeNearlyDryTouch');
    case 'dry-hours':
      return t('round.noWaterNowCutSoon', { share: Math.round(note.share * 100) });
    case 'unsure':
      return t('round.howDampCannotBeTold');
    case 'thirsty':
      return t('round.losesNearlyAllHoldsBetween');
    case 'pour-off':
      return t('round.pourOffWaterStillStands');
    case 'too-much':
      return t('round.wasVolumeMoreThanHolds', { volume: volume(note.g, locale.units) });
    case 'mould-risk':
      return t('round.mouldMayStartDriversAir', {
        drivers: note.risk.drivers.map((driver) => MOULD_IN_TEXT[driver]).join('; ')
      });
    case 'scorch':
      return t('round.lampBrightCloseOverMol');
    case 'in-the-dark':
      return t('round.needsLightNowPlaceDark');
    case 'still-air':
      return t('round.nameBearsNoFanOr', { name: cropName(crop.name) });
    case 'shaded':
      return t('round.keepShadedFromSunUntil', { day: dayWords(note.until, now, locale) });
    case 'not-begun':
      return t('round.wasBeginDayandtimeBeginNow', { dayAndTime: dayAndTime(note.at, now, locale) });
    case 'contradiction': {
      const cue = cueWords(note.between.cue, crop, path, locale.units);
      const at = (ms: number) => dayAndTime(ms, now, locale);
      return t('round.twoLooksDisagreeCueAt', {
        cue,
        at: at(note.between.reachedAt),
        at2: at(note.between.notYetAt)
      });
    }
    case 'unlikely': {
      const cue = cueWords(note.look.mark as Cue, crop, path, locale.units);
      const when = dayAndTime(note.look.at, now, locale);
      return note.early
        ? t('round.cueWhenVeryEarlyName', { cue, when, name: cropInText(crop.name) })
        : t('round.cueNotYetWhenVery', { cue, when, name: cropInText(crop.name) });
    }
  }
}
