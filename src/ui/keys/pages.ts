import { t } from '$messages/t.ts';

/** The pages that are found by name. */
export const pages = (): { path: string; name: string }[] => [
  { path: '/round', name: t('app.round') },
  { path: '/shelf', name: t('app.shelf') },
  { path: '/sow', name: t('app.sow') },
  { path: '/ahead', name: t('app.ahead') },
  { path: '/ahead/seed', name: t('ahead.seedBuy') },
  { path: '/ahead/appetite', name: t('ahead.whatYouEat2') },
  { path: '/bench', name: t('app.bench') },
  { path: '/bench/cupboard', name: t('bench.cupboard') },
  { path: '/bench/calculators', name: t('bench.calculators') },
  { path: '/pantry', name: t('app.pantry') },
  { path: '/crops', name: t('app.crops') },
  { path: '/methods', name: t('methods.methods') },
  { path: '/notebook', name: t('app.notebook') },
  { path: '/household', name: t('app.household') },
  { path: '/household/reminders', name: t('reminders.whereRemindersGo') }
];
