import type { Note } from '$core/steps/ask.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { Path } from '$core/supplies/methods/path.ts';
import { volume } from '$core/units/format.ts';
import type { Cue } from '$core/sowing/event.ts';
import { capital } from './capital.ts';
import { MOULD_WORDS } from './looks.ts';
import { cueWords } from './events.ts';
import { dayAndTime, dayWords, type Locale } from './time.ts';

/** Something to know about a tray, in a line or two. */
export function noteWords(note: Note, crop: Crop, path: Path, now: number, locale: Locale): string {
  switch (note.kind) {
    case 'may-be-lost':
      return 'By what was recorded it has had no water for longer than it bears, and may be lost. One look decides: do its stems hang, or do they stand?';
    case 'touch-it':
      return 'It should be nearly dry. Touch it before you believe that, and water it at once if it is.';
    case 'dry-hours':
      return `No water now: it is cut soon, and dry leaves keep longer. About ${Math.round(note.share * 100)} % is left for then.`;
    case 'unsure':
      return 'How damp it is cannot be told from here: touch or lift it before you water.';
    case 'thirsty':
      return 'It loses nearly all it holds between two rounds: turn the fan away, or move it somewhere cooler.';
    case 'pour-off':
      return 'Pour off the water that still stands: roots that stand in water for a day drown.';
    case 'too-much':
      return `That was ${volume(note.g, locale.units)} more than it holds. Pour off what stands; it needs none until it says so.`;
    case 'mould-risk':
      return `Mould may start: ${note.risk.drivers.map((driver) => MOULD_WORDS[driver].toLowerCase()).join('; ')}. Air helps, and water from below only.`;
    case 'scorch':
      return 'The lamp is bright and close: over 500 µmol/m²s within 15 cm scorches leaves. Hang it higher.';
    case 'in-the-dark':
      return 'It needs light now, and this place is dark: move it, or it stretches and does not open.';
    case 'still-air':
      return `${crop.name} bears no fan or draught in its first week of light: turn it away until then, and give little water.`;
    case 'shaded':
      return `Keep it shaded from the sun until ${dayWords(note.until, now, locale)}.`;
    case 'not-begun':
      return `This was to begin ${dayAndTime(note.at, now, locale)}. Begin now, another day, or let it go.`;
    case 'contradiction': {
      const cue = cueWords(note.between.cue, crop, path, locale.units).toLowerCase();
      const at = (ms: number) => dayAndTime(ms, now, locale);
      return `Two looks disagree: ${cue} ${at(note.between.reachedAt)}, not yet ${at(note.between.notYetAt)}. Both are weighed; take back whichever was wrong.`;
    }
    case 'unlikely': {
      const cue = cueWords(note.look.mark as Cue, crop, path, locale.units).toLowerCase();
      const when = dayAndTime(note.look.at, now, locale);
      return note.early
        ? `“${capital(cue)}” ${when}: that is very early for ${crop.name.toLowerCase()}. It is kept, and weighed as what may be a slip.`
        : `“${capital(cue)}: not yet” ${when}: that is very late for ${crop.name.toLowerCase()}. It is kept, and weighed as what may be a slip.`;
    }
  }
}
