import type { Cost, CostKind, CostLine } from '$core/costs/cost.ts';
import { figure, mass, seedMass, volume, type Units } from '$core/units/format.ts';

const formats = new Map<string, Intl.NumberFormat>();

/** An amount of the household's money, with cents as its money has them; small prices with as many places as they need. */
export function money(amount: number, currency: string): string {
  const fine = amount !== 0 && Math.abs(amount) < 0.1;
  const key = `${currency}|${fine}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat('en', {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      ...(fine ? { maximumSignificantDigits: 2 } : {})
    });
    formats.set(key, format);
  }
  return format.format(amount);
}

export const COST_WORDS: Record<CostKind, string> = {
  seed: 'Seed',
  medium: 'Medium',
  lamp: 'Lamp',
  feed: 'Feed'
};

const measured = (amount: number, by: 'mL' | 'cm2', units: Units): string =>
  by === 'mL' ? volume(amount, units) : areaWords(amount, units);

/** An area of a mat, as the household measures. */
export const areaWords = (cm2: number, units: Units): string =>
  units === 'us' ? `${figure(cm2 / 6.4516)} in²` : `${figure(cm2)} cm²`;

/** How one line of a cost was worked out. */
export function costWorking(line: CostLine, currency: string, units: Units): string {
  const m = (amount: number) => money(amount, currency);
  switch (line.kind) {
    case 'seed':
      return `${seedMass(line.seedG, units)} of ${line.cropName.toLowerCase()} × ${m(line.perG)} a gram, by its packet`;
    case 'medium':
      return `${measured(line.amount, line.by, units)} of ${measured(line.of, line.by, units)} for ${m(line.price)}${line.uses > 1 ? `, used ${line.uses} times` : ''}`;
    case 'lamp':
      return `${figure(line.hours)} h × ${figure(line.watts)} W × ${Math.round(line.share * 100)} % of ${line.placeName} = ${figure(line.kWh)} kWh × ${m(line.perKWh)}`;
    case 'feed':
      return `${figure(line.mL)} mL × ${m(line.perL)} a litre`;
  }
}

const MISSING: Record<CostKind, string> = {
  seed: 'the packet’s price',
  medium: 'the medium’s price',
  lamp: 'the lamp’s watts or the price of a kWh',
  feed: 'the feed’s price or its dose'
};

/** What a cost leaves out for want of a price. */
export const missingWords = ({ unknown }: Cost): string =>
  unknown.length === 0 ? '' : `Not counted: ${unknown.map((kind) => MISSING[kind]).join(', ')}.`;

/** What as much costs in a shop, against it. */
export function shopWords({ shop, total }: Cost, cutG: number, currency: string, units: Units): string {
  if (shop === null) return '';
  const saved = shop - total;
  return `${mass(cutG, units)} would have cost ${money(shop, currency)} in the shop: ${money(Math.abs(saved), currency)} ${saved >= 0 ? 'more' : 'less'}.`;
}
