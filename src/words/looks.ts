import type { Crop } from '$core/crops/crop.ts';
import { isGrass } from '$core/crops/traits.ts';
import type { Loss } from '$core/diagnosis/answer.ts';
import type { Cause, Evidence } from '$core/diagnosis/causes.ts';
import type { Check } from '$core/diagnosis/checks.ts';
import type { MouldDriver } from '$core/diagnosis/mould.ts';
import type { Symptom } from '$core/symptoms/symptom.ts';
import { figure, length, temperature, type Units } from '$core/units/format.ts';
import { MEDIUM_WORDS } from './media.ts';

/** A sight as a chip says it. */
export const SYMPTOM_WORDS: Record<Symptom, string> = {
  tails: 'Tails showing',
  hairs: 'White hairs round the roots',
  mould: 'Threads across seed or stems',
  'fallen-dry': 'Stems hang, medium dry',
  'fallen-rot': 'Stems fall, foot thin and brown',
  bent: 'Stems bent over, not limp',
  stretched: 'Long, thin and pale, but upright',
  weak: 'Short and limp',
  pale: 'Pale after days in light',
  bleached: 'Yellow or white patches on top',
  scorched: 'Tips brown and crisp',
  hungry: 'Lower leaves yellow first',
  hulls: 'Hulls stuck on the leaves',
  patchy: 'Bare patches',
  'true-leaf': 'First true leaf',
  'tastes-ready': 'Tastes ready',
  bitter: 'Tastes bitter',
  fibrous: 'Stringy to chew'
};

/** A sight as it is called on a crop: the second leaf of a grass is a blade. */
export const symptomWords = (sight: Symptom, crop: Crop): string =>
  sight === 'true-leaf' && isGrass(crop) ? 'Second blade' : SYMPTOM_WORDS[sight];

/** What drives the mould risk, as it begins a sentence. */
export const MOULD_WORDS: Record<MouldDriver, string> = {
  covered: 'It was long warm under its cover',
  'damp-air': 'The air here has been damp',
  crop: 'This crop moulds easily',
  crowded: 'It stands thick',
  seen: 'You saw mould'
};

interface CauseWords {
  /** What it most likely is. */
  is: string;
  now: string;
  next: string;
}

/** What each cause means, in the order: what it is, what to do now, what to change next time. */
export const CAUSE_WORDS: Record<Cause, CauseWords> = {
  'root-hairs': {
    is: 'Root hairs: healthy',
    now: 'Nothing. Mist one: hairs lie down and vanish, threads of mould do not.',
    next: 'Nothing to change.'
  },
  mould: {
    is: 'Mould',
    now: 'Off with the cover, air at it, and water from below only. Where it has spread, or smells, throw the tray out.',
    next: 'Sow a little thinner, water less under the cover, and wash the tray hot.'
  },
  'hairs-after-all': {
    is: 'Perhaps root hairs after all',
    now: 'Mist one spot and look again in a minute: hairs vanish, mould stays.',
    next: 'Nothing to change yet.'
  },
  dry: {
    is: 'It has run dry',
    now: 'Water it from below and keep it out of sun and draught: within hours stems rise again.',
    next: 'Lift the tray at each round; Brote now takes this tray to be thirstier.'
  },
  draught: {
    is: 'Air dries it faster than it drinks',
    now: 'Move it out of the draught or turn the fan away, and water from below.',
    next: 'Let a fan move the air, not the leaves.'
  },
  'long-dark': {
    is: 'Too long in the dark',
    now: 'Bring it to light today; support it against the rim. It greens within two days and stays a little long.',
    next: 'Look for even stems a round earlier.'
  },
  'damping-off': {
    is: 'Damping off: a rot at the foot of the stem',
    now: 'Take out what has fallen with some medium round it. No water today, air at it. What has fallen does not come back.',
    next: 'Fresh medium, less water under the cover, thinner seed.'
  },
  dim: {
    is: 'Too little light',
    now: 'Move it closer to the glass or under a lamp.',
    next: 'Choose a brighter place for this crop in winter.'
  },
  'faint-lamp': {
    is: 'The lamp gives too little light',
    now: 'Hang the lamp lower, or let it burn longer, up to 16 hours a day.',
    next: 'Keep it closer, or set it for longer. Under one lamp the middle is brightest.'
  },
  'bent-by-weight': {
    is: 'Bent under the weight, as it should be',
    now: 'Nothing: stems straighten within a day or two of light.',
    next: 'Nothing to change.'
  },
  'second-blade': {
    is: 'The second blade: it is time to cut',
    now: 'Cut it now. If it has to wait, hold it somewhere cool.',
    next: 'Look for the second blade from the opening of its window on.'
  },
  'old-grass': {
    is: 'Past its best: the grass is old',
    now: 'Cut it now and juice it, or clear the tray. Feed does not bring it back.',
    next: 'Cut it as its second blade comes.'
  },
  'too-warm': {
    is: 'Too warm for it',
    now: 'Move it somewhere cooler.',
    next: 'Away from the oven, the radiator and the lamp’s own heat.'
  },
  crowded: {
    is: 'It stands too thick',
    now: 'Nothing: cut it a little earlier.',
    next: 'Sow at the usual density.'
  },
  cold: {
    is: 'Too cold: it waits',
    now: 'Move it somewhere warmer, or wait longer than the book says.',
    next: 'Choose a warmer place for the first days.'
  },
  'old-seed': {
    is: 'Weak seed',
    now: 'Nothing: what has come up is sound.',
    next: 'Test twenty seeds in a damp towel, and sow by what sprouts.'
  },
  'just-lit': {
    is: 'It has only just come to light',
    now: 'Wait: it greens within two days.',
    next: 'Nothing to change.'
  },
  unfed: {
    is: 'It has used up what was in the seed',
    now: 'Water it once with feed at half strength, or cut it.',
    next: 'Choose a method with feed for crops that stand long on a medium without food.'
  },
  'lamp-close': {
    is: 'The lamp is too close or too strong',
    now: 'Hang it higher. Scorched tips stay brown; new leaves come sound.',
    next: 'Keep it 20 cm and more above the leaves.'
  },
  'dry-air': {
    is: 'Very dry air',
    now: 'Move it off the heating; a dish of water beside it helps.',
    next: 'A damper place, or a lid a day longer.'
  },
  'strong-feed': {
    is: 'Feed too strong',
    now: 'Water with plain water until some runs off.',
    next: 'Feed at half strength.'
  },
  waterlogged: {
    is: 'Roots stand in water',
    now: 'Pour off what stands, tilt the tray to drain, and skip the next watering.',
    next: 'Pour no more than the round says, and pour off after ten minutes.'
  },
  unpressed: {
    is: 'Nothing pressed on it, so hulls were not pulled off',
    now: 'Mist them, put a lid on for a night, and brush a dry hand over them in the morning.',
    next: 'Press it, or strew a thin layer of medium on the seed.'
  },
  'dry-hulls': {
    is: 'Hulls dried on before they opened',
    now: 'Mist them, put a lid on for a night, and brush a dry hand over them in the morning.',
    next: 'Keep the seed damp under its cover.'
  },
  clinging: {
    is: 'This crop’s hulls cling',
    now: 'Mist them in the evening and brush a dry hand over them in the morning, when they are soft. Rinse off the rest after the cut.',
    next: 'Press it a day longer and keep it damp: most come off then, and never all.'
  },
  unsoaked: {
    is: 'It went in dry, and its seed wants a soak',
    now: 'Keep it damp and covered: what is late comes for some days yet.',
    next: 'Soak it as its figures say.'
  },
  dormant: {
    is: 'Too warm for its seed: it sleeps',
    now: 'Move it somewhere cooler at once: some of it still comes.',
    next: 'Sow it where it is cool, or in a cooler season.'
  },
  unlit: {
    is: 'It has not come to light yet',
    now: 'Nothing: it greens within two days of light.',
    next: 'Nothing to change.'
  },
  'meant-pale': {
    is: 'As it is meant to be: it grows in the dark',
    now: 'Nothing: keep it dark. Light makes it green and coarse.',
    next: 'Nothing to change.'
  },
  'sudden-sun': {
    is: 'Sun through the glass, too suddenly',
    now: 'Draw a thin curtain or move it a little back for two days. Burnt tips stay; new leaves come sound.',
    next: 'Begin its light on a dull day, or a step back from the glass.'
  },
  turning: {
    is: 'The first true leaf: from now on it turns bitter',
    now: 'Cut it now, today or tomorrow.',
    next: 'Look from the opening of its window on, and cut before this leaf is out.'
  },
  'leaf-belongs': {
    is: 'Leaves belong to it',
    now: 'Nothing: it is cut by its height or its tips, not by this leaf.',
    next: 'Nothing to change.'
  },
  clumped: {
    is: 'Seed lay in clumps',
    now: 'Nothing: the gaps stay, the rest is sound.',
    next: 'Drain soaked seed longer, and sow from a shaker in two goes.'
  },
  'dry-edge': {
    is: 'A dry edge or corner',
    now: 'Water from below until the top is damp to the rim.',
    next: 'Level the medium and damp it to the edges before sowing.'
  },
  'on-time': {
    is: 'It sprouts, as it should',
    now: 'Nothing. Shut it again.',
    next: 'Nothing to change.'
  },
  slow: {
    is: 'It is slow to root',
    now: 'Leave it covered and damp a day longer, somewhere warmer.',
    next: 'A warmer place, or seed that is fresher.'
  },
  ripe: {
    is: 'It is ready',
    now: 'Cut it whenever you like.',
    next: 'Nothing to change.'
  },
  overripe: {
    is: 'It is past its best',
    now: 'Cut it today and eat it soon, or cook it.',
    next: 'Start cutting from the day the window opens, a strip at a time.'
  },
  unripe: {
    is: 'It is young still',
    now: 'Wait for its window.',
    next: 'Taste it from the opening on.'
  }
};

/** What is said where nothing that is known of a tray explains what was seen. */
export const UNEXPLAINED = {
  is: 'Nothing Brote knows about this tray explains this',
  now: 'Look again at the next round. When in doubt, throw it out.'
};

/** What each check is, as something to do. */
export const CHECK_WORDS: Record<Check, string> = {
  lift: 'Lift the tray: does it feel as light or as heavy as Brote says?',
  roots: 'Lift a corner and look at the roots: white and firm, or brown and soft?',
  foot: 'Look at the foot of a stem: firm and white, or thin and brown?',
  mist: 'Mist one spot and look again in a minute: hairs vanish, mould stays.',
  thermometer: 'Measure how warm it is where it stands, by day and at night.',
  lamp: 'Measure from the lamp to the leaves, and read its label.',
  light: 'Hold a hand over the leaves at noon: is its shadow sharp, soft or gone?',
  leaves: 'Look at the newest leaves, and under them: are they marked as well?',
  seed: 'Put twenty seeds of the same lot into a damp towel and count what sprouts.',
  taste: 'Taste a leaf from the middle and one from the edge.'
};

export const LOSS_OF_TRAY: Record<Loss, string> = {
  no: 'Nothing is lost.',
  watch: 'Not lost: look again at the next round.',
  part: 'Part of it is lost.',
  whole: 'This tray is lost.'
};

const CUT_BY: Record<Extract<Evidence, { kind: 'cut-by' }>['cue'], string> = {
  cotyledon: 'it is cut in its seed leaves',
  'true-leaf': 'it is cut as this leaf shows',
  'third-leaf': 'it is cut at its third true leaf',
  height: 'it is cut by its height',
  tips: 'it is cut by its tips'
};

/** Days to the half. */
function daysWords(days: number): string {
  const halves = Math.round(days * 2) / 2;
  return `${figure(halves)} ${halves === 1 ? 'day' : 'days'}`;
}

/** How many whole days lie between, at least one. */
function wholeDaysWords(days: number): string {
  const whole = Math.max(1, Math.round(Math.abs(days)));
  return `${whole} ${whole === 1 ? 'day' : 'days'}`;
}

/** A fact that speaks for a cause, as half a sentence. */
export function evidenceWords(evidence: Evidence, units: Units): string {
  switch (evidence.kind) {
    case 'water':
      return `about ${Math.round(evidence.share * 100)} % of its water is left`;
    case 'dark':
      return `${daysWords(evidence.days)} in the dark since it rooted`;
    case 'lit':
      return evidence.days < 0.5 ? 'it came to light today' : `${daysWords(evidence.days)} in light`;
    case 'dli':
      return `light of ${figure(Math.round(evidence.dli * 10) / 10)} mol/m² a day, where 10 is plenty`;
    case 'warmth':
      return `${temperature(evidence.tempC, units)} where it stands`;
    case 'dry-air':
      return `air that takes up ${evidence.kpa.toFixed(1)} kPa of vapour`;
    case 'crowding':
      return `${Math.round(evidence.times * 100)} % of the usual density`;
    case 'germination':
      return `${Math.round(evidence.pct)} % of this seed sprouts`;
    case 'open':
      return evidence.days >= 0
        ? `its window opened about ${wholeDaysWords(evidence.days)} ago`
        : `its window opens in about ${wholeDaysWords(evidence.days)}`;
    case 'closes':
      return evidence.days >= 0
        ? `its window closes in about ${wholeDaysWords(evidence.days)}`
        : `its window closed about ${wholeDaysWords(evidence.days)} ago`;
    case 'stage':
      return evidence.rooted ? 'it has rooted' : 'it is rooting now';
    case 'mould-hours':
      return evidence.level === 'high'
        ? 'it was warm and damp for very long'
        : 'it was warm and damp for long';
    case 'lamp':
      return `a lamp of ${Math.round(evidence.ppfd)} µmol/m²s${evidence.distanceCm === null ? '' : ` at ${length(evidence.distanceCm, units)}`}`;
    case 'medium':
      return `${MEDIUM_WORDS[evidence.medium].toLowerCase()}${evidence.fed ? ', with feed' : ', without feed'}`;
    case 'overwatered':
      return 'more was poured than it holds';
    case 'unpressed':
      return 'nothing pressed on it';
    case 'unmisted':
      return 'it stayed shut while it rooted';
    case 'clings':
      return 'its hulls are large and rough';
    case 'stays-dark':
      return 'it stays dark until it is cut';
    case 'unlit':
      return 'it stands in the dark still';
    case 'sun':
      return 'it came from the dark onto a sunny sill';
    case 'unsoaked':
      return 'it was sown without its soak';
    case 'cut-by':
      return CUT_BY[evidence.cue];
    case 'grass':
      return 'it is a grass';
    case 'pressed':
      return 'a weight lay on it';
    case 'still-air':
      return `still air of ${temperature(evidence.tempC, units)} and ${Math.round(evidence.humidityPct)} % humidity`;
    case 'wet-seed':
      return evidence.gel ? 'its seed gels when wet' : 'soaked seed clings together';
    case 'looks-so':
      return evidence.sight === 'mould'
        ? 'threads run across seed and stems, where root hairs stand round one root'
        : 'a thin brown foot is how this rot looks';
    case 'moving-air':
      return 'a fan or draught moves the air';
  }
}
