import { t } from '$messages/t.ts';
/** What a record of each table is called. */
const OF: Readonly<Record<string, string>> = {
  get households() {
    return t('errors.household');
  },
  get places() {
    return t('errors.place');
  },
  get containers() {
    return t('errors.container');
  },
  get own_crops() {
    return t('errors.crop');
  },
  get methods() {
    return t('errors.method');
  },
  get media() {
    return t('errors.medium');
  },
  get products() {
    return t('errors.disinfectant');
  },
  get lots() {
    return t('errors.lotSeed');
  },
  get eaters() {
    return t('errors.eater');
  },
  get tastes() {
    return t('errors.taste');
  },
  get standing_orders() {
    return t('errors.standingOrder');
  },
  get prices() {
    return t('errors.price');
  },
  get reminders() {
    return t('errors.reminder');
  },
  get sowings() {
    return t('errors.sowing');
  }
};

/** Which record could not be read, and why. */
export function unreadableWords({
  table,
  name,
  id,
  fault
}: {
  table: string;
  name: string | null;
  id: string;
  fault: string;
}): string {
  const what = OF[table] ?? t('errors.record');
  return t('errors.whatValueFault', { what, value: name ? `“${name}”` : id, fault });
}
