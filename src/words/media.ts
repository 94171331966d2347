import type { MediumKind } from '$core/supplies/media/medium.ts';

export const MEDIUM_WORDS: Record<MediumKind, string> = {
  coir: 'Coir',
  'peat-perlite': 'Peat with perlite',
  'seed-mix': 'Seed mix',
  'hemp-mat': 'Hemp mat',
  paper: 'Paper',
  mesh: 'Mesh over a reservoir',
  none: 'Nothing: a bare tray'
};
