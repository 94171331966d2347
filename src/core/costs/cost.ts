import { areaCm2, frontWidthCm } from '../supplies/containers/container.ts';
import { mediumVolumeMl } from '../supplies/media/medium.ts';
import { boardOf, type Place } from '../places/place.ts';
import { cutG, fedOf } from '../sowing/totals.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { isByArea, type Prices } from './prices.ts';

/** One thing that a tray cost, with what it was worked out of. Money in the household's own. */
export type CostLine =
  | { kind: 'seed'; cost: number; cropName: string; seedG: number; perG: number }
  | {
      kind: 'medium';
      cost: number;
      amount: number;
      by: 'mL' | 'cm2';
      price: number;
      of: number;
      uses: number;
    }
  | {
      kind: 'lamp';
      cost: number;
      placeName: string;
      hours: number;
      watts: number;
      /** Of the board, that it takes. */
      share: number;
      kWh: number;
      perKWh: number;
    }
  | { kind: 'feed'; cost: number; mL: number; perL: number };
export type CostKind = CostLine['kind'];

/** What a tray cost so far. */
export interface Cost {
  lines: CostLine[];
  total: number;
  /** What it used and nobody has said the price of. */
  unknown: CostKind[];
  /** Of what was cut; null while nothing was. */
  per100G: number | null;
  /** What as much costs in a shop; null where nobody has said. */
  shop: number | null;
}

/** What a sowing has cost until a moment: seed, medium, lamp and feed, each as far as its price is known. */
export function costOf(sowing: Projected, prices: Prices, now: Millis): Cost {
  const until = Math.min(now, sowing.state.endedAt ?? now);
  const unknown = new Set<CostKind>();
  const lines = [
    ...seedLines(sowing, prices, unknown),
    ...mediumLine(sowing, prices, unknown),
    ...lampLines(sowing, prices, until, unknown),
    ...feedLine(sowing, prices, unknown)
  ];
  const total = lines.reduce((sum, { cost }) => sum + cost, 0);
  const gaveG = cutG(sowing.state);
  const shop = prices.shop[sowing.crop.key] ?? null;
  return {
    lines,
    total,
    unknown: [...unknown],
    per100G: gaveG > 0 ? (total / gaveG) * 100 : null,
    shop: shop === null || gaveG === 0 ? null : (shop * gaveG) / 100
  };
}

function seedLines({ parts }: Projected, { lots }: Prices, unknown: Set<CostKind>): CostLine[] {
  return parts.flatMap(({ crop, seedG, lotId }): CostLine[] => {
    const perG = lotId === null ? undefined : lots[lotId];
    if (perG === undefined) {
      unknown.add('seed');
      return [];
    }
    return [{ kind: 'seed', cost: seedG * perG, cropName: crop.name, seedG, perG }];
  });
}

function mediumLine(
  { setup, areaCm2: area, mediumDepthCm }: Projected,
  { media }: Prices,
  unknown: Set<CostKind>
): CostLine[] {
  const known = media[setup.mediumId ?? setup.medium] ?? media[setup.medium];
  if (!known) {
    unknown.add('medium');
    return [];
  }
  const byArea = isByArea(setup.medium);
  const amount = byArea ? area : mediumVolumeMl(area, mediumDepthCm, setup.medium);
  const { price, amount: of, uses } = known;
  return [
    { kind: 'medium', cost: (price * amount) / of / uses, amount, by: byArea ? 'cm2' : 'mL', price, of, uses }
  ];
}

/** Hours under each lamp since first light, by the share of its board that the containers take. */
function lampLines(
  sowing: Projected,
  { kWh: perKWh }: Prices,
  until: Millis,
  unknown: Set<CostKind>
): CostLine[] {
  const { stays, forecast, state } = sowing;
  if (state.sownAt === null || !Number.isFinite(forecast.litAt)) return [];
  return stays.flatMap(({ place, from }, index): CostLine[] => {
    const { light } = place;
    const began = Math.max(from, state.litAt ?? forecast.litAt);
    const ended = Math.min(until, stays[index + 1]?.from ?? Infinity);
    if (light.kind !== 'lamp' || ended <= began) return [];
    if (!light.watts || perKWh === null) {
      unknown.add('lamp');
      return [];
    }
    const hours = ((ended - began) / DAY) * light.hours;
    const share = boardShare(sowing, place);
    const kWh = (hours * light.watts * share) / 1000;
    return [
      {
        kind: 'lamp',
        cost: kWh * perKWh,
        placeName: place.name,
        hours,
        watts: light.watts,
        share,
        kWh,
        perKWh
      }
    ];
  });
}

/** What part of a place's board its containers take: by their area, or where cells leave gaps, by their outline. */
function boardShare({ setup: { container, count, areaShare } }: Projected, place: Place): number {
  const { widthCm, depthCm } = boardOf(place);
  const each =
    container.shape === 'cells'
      ? frontWidthCm(container) * container.widthCm * 2
      : container.shape === 'round'
        ? container.lengthCm ** 2
        : areaCm2(container);
  return Math.min(1, (each * count * areaShare) / (widthCm * depthCm));
}

function feedLine(sowing: Projected, { feedL }: Prices, unknown: Set<CostKind>): CostLine[] {
  const { mL, times } = fedOf(sowing.state);
  if (times === 0) return [];
  if (feedL === null || mL === 0) {
    unknown.add('feed');
    return [];
  }
  return [{ kind: 'feed', cost: (mL / 1000) * feedL, mL, perL: feedL }];
}
