import type { Unheeded } from '$core/supplies/methods/path.ts';

/** Why an answer of a method is not what happens to a crop, in one line. */
export function unheededWords({ question, why }: Unheeded): string {
  switch (why) {
    case 'needs-light':
      return question === 'seedCover'
        ? 'It sprouts in light: its seed stays bare.'
        : question === 'pressing'
          ? 'It sprouts in light: it stands under a clear lid, with nothing on it.'
          : 'It sprouts in light: it has no darkness.';
    case 'needs-dark':
      return 'It sprouts in the dark: it keeps its lid until it has rooted.';
    case 'stays-dark':
      return question === 'feed'
        ? 'It stays dark to the end and is not fed.'
        : question === 'germinationWater'
          ? 'It is watered once at sowing and once when its weight comes off.'
          : question === 'dome'
            ? 'It stays dark to the end and lifts its own dome.'
            : 'It stays dark to the end: it is eaten pale.';
    case 'grass':
      return question === 'dome'
        ? 'It is a grass: it has no dome.'
        : question === 'pressing'
          ? 'It is a grass: nothing presses on it.'
          : 'It is a grass: it sprouts in the open and needs no darkness.';
    case 'even-at-once':
      return 'It is ready for light as soon as it has rooted: no dome.';
    case 'open':
      return question === 'germinationWater'
        ? 'In the open nothing holds the damp in: it is misted morning and evening.'
        : 'Without darkness the seed lies open, with nothing on it.';
    case 'gel':
      return question === 'firstWater'
        ? 'It gels: nothing is poured on its seed, its medium is damped before.'
        : 'It gels and dries out shut: it is misted finely once a day.';
    case 'gel-never-wet':
      return 'It gels when wet: its seed is never rinsed or disinfected.';
    case 'clear':
      return question === 'pressing'
        ? 'It stands under a clear dome, with nothing on the seed.'
        : 'It stands under a clear lid and is misted once a day.';
    case 'bears-none':
      return 'It bears no weight: it gets a lid.';
    case 'layer':
      return 'The layer on the seed takes the place of a weight: it gets a lid.';
    case 'must-cover':
      return 'It wants to lie deep: it is covered whatever the method says.';
    case 'not-disinfected':
      return 'It is not disinfected: it does its seed no good.';
    case 'no-reservoir':
      return 'This container has no reservoir: it is fed at half strength with its water.';
    case 'reservoir':
      return 'It stands over a reservoir: water goes in there.';
    case 'pool':
      return 'It lives from a little water in the tray underneath: in light it is watered from below.';
    case 'bare-tray':
      return question === 'firstWater'
        ? 'There is no medium to damp: a film of water goes in before the seed.'
        : question === 'germinationWater'
          ? 'Without a medium nothing holds the damp under its lid: it is misted once a day.'
          : 'Without a medium seed dries in the open within hours: it gets a clear lid until it has rooted.';
    case 'no-dome':
      return 'It has no dome under this method.';
    case 'never-so-high':
      return 'Its stems would not stand that high in time: the dome comes off when they are even.';
    case 'no-sill':
      return 'It does not stand on a windowsill: nothing needs shading.';
    case 'dark-until-then':
      return 'It stays in the dark until then anyway.';
    case 'no-mat':
      return 'It does not stand on a mat or paper: it is watered as it dries.';
    case 'not-loose':
      return 'A mat or paper is as thick as it is.';
    case 'shallow':
      return 'This container is too shallow for that: it is filled to just under the rim.';
    case 'no-leaf-stage':
      return 'It is not cut by its leaves but by its height.';
    case 'hulls':
      return 'It is misted once a day, so that its hulls come off.';
  }
}
