import { t } from '$messages/t.ts';
/** How fast water goes in a household, against the figures. */
export const thirstWords = (percent: number): string =>
  t('tray.waterGoesPercentFasterSlower', { percent: Math.abs(percent), when: percent > 0 ? 'yes' : 'no' });
