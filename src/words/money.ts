import { cropInText } from './cropNames.ts';
import { forReader } from './formats.ts';
import { t, table } from '$messages/t.ts';
import type { Cost, CostKind, CostLine } from '$core/costs/cost.ts';
import { area, figure, mass, seedMass, volume, type Units } from '$core/units/format.ts';

const formatOf = forReader(
  (tag, currency: string, fine: boolean) =>
    new Intl.NumberFormat(tag, {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      ...(fine ? { maximumSignificantDigits: 2 } : {})
    })
);

/** An amount of the household's money, with cents as its money has them; small prices with as many places as they need. */
export const money = (amount: number, currency: string): string =>
  formatOf(currency, amount !== 0 && Math.abs(amount) < 0.1).format(amount);

export const COST_WORDS: Record<CostKind, string> = table('money.cost');

const measured = (amount: number, by: 'mL' | 'cm2', units: Units): string =>
  by === 'mL' ? volume(amount, units) : area(amount, units);

/** How one line of a cost was worked out. */
export function costWorking(line: CostLine, currency: string, units: Units): string {
  const m = (amount: number) => money(amount, currency);
  switch (line.kind) {
    case 'seed':
      return t('money.seedmassCropnameMGramBy', {
        seedMass: seedMass(line.seedG, units),
        cropName: cropInText(line.cropName),
        m: m(line.perG)
      });
    case 'medium':
      return t('money.measuredMeasuredMUsedUses', {
        measured: measured(line.amount, line.by, units),
        measured2: measured(line.of, line.by, units),
        m: m(line.price),
        when: line.uses > 1 ? 'yes' : 'no',
        uses: line.uses > 1 ? line.uses : ''
      });
    case 'lamp':
      return t('money.hoursHWattsWShare', {
        hours: figure(line.hours),
        watts: figure(line.watts),
        share: Math.round(line.share * 100),
        placeName: line.placeName,
        kWh: figure(line.kWh),
        m: m(line.perKWh)
      });
    case 'feed':
      return t('money.mlMlMLitre', { mL: figure(line.mL), m: m(line.perL) });
  }
}

const MISSING: Record<CostKind, string> = table('money.missing');

/** What a cost leaves out for want of a price. */
export const missingWords = ({ unknown }: Cost): string =>
  unknown.length === 0
    ? ''
    : t('money.notCountedUnknown', { unknown: unknown.map((kind) => MISSING[kind]).join(', ') });

/** What as much costs in a shop, against it. */
export function shopWords({ shop, total }: Cost, cutG: number, currency: string, units: Units): string {
  if (shop === null) return '';
  const saved = shop - total;
  return t('money.massWouldHaveCostMoney', {
    mass: mass(cutG, units),
    money: money(shop, currency),
    money2: money(Math.abs(saved), currency),
    when: saved >= 0 ? 'yes' : 'no'
  });
}
