import { figure } from '$core/units/format.ts';
import { formattedAs } from '$messages/t.ts';

const formats = new Map<string, Intl.NumberFormat>();

/** A share in whole percent, as the reader's language writes it: `63%`. */
export function percent(share: number): string {
  const tag = formattedAs();
  let format = formats.get(tag);
  if (!format)
    formats.set(tag, (format = new Intl.NumberFormat(tag, { style: 'percent', maximumFractionDigits: 0 })));
  return format.format(share);
}

/** A strength off a label, which may be finer than a percent: `5.25%`. */
export const strengthPercent = (pct: number): string => `${figure(pct)}%`;
