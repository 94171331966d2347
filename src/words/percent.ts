import { figure } from '$core/units/format.ts';
import { forReader } from './formats.ts';

const format = forReader((tag) => new Intl.NumberFormat(tag, { style: 'percent', maximumFractionDigits: 0 }));

/** A share in whole percent, as the reader's language writes it: `63%`. */
export const percent = (share: number): string => format().format(share);

/** A strength off a label, which may be finer than a percent: `5.25%`. */
export const strengthPercent = (pct: number): string => `${figure(pct)}%`;
