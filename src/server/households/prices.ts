import type { MediumPrice, Prices } from '../../core/costs/prices.ts';
import type { SeedTaken } from '../../core/costs/seedYear.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

/** What the transaction's household pays. */
export async function readPrices(tx: Tx): Promise<Prices> {
  const [[own], rows, lots] = await Promise.all([
    tx<{ currency: string; price_kwh: number | null; price_feed_l: number | null }[]>`
      select currency, price_kwh, price_feed_l from households where household_id = current_household()`,
    tx<{ of: 'medium' | 'shop'; key: string; price: number; amount: number; uses: number }[]>`
      select of, key, price, amount, uses from prices order by of, key`,
    // Put away or not: what was sown of it cost what it cost.
    tx<{ id: string; per_g: number }[]>`
      select id, price / packet_g as per_g from lots where price is not null and packet_g is not null order by id`
  ]);
  const media: Record<string, MediumPrice> = {};
  const shop: Record<string, number> = {};
  for (const { of, key, price, amount, uses } of soundRows(tx, 'prices', rows))
    if (of === 'medium') media[key] = { price, amount, uses };
    else shop[key] = (price / amount) * 100;
  return {
    currency: own!.currency,
    kWh: own!.price_kwh,
    feedL: own!.price_feed_l,
    media,
    shop,
    lots: Object.fromEntries(lots.map(({ id, per_g }) => [id, per_g]))
  };
}

/** Changes the household's money, and what current and feed cost it; null for what it does not know. */
export async function changeMoney(
  tx: Tx,
  { currency, kWh, feedL }: Pick<Prices, 'currency' | 'kWh' | 'feedL'>
): Promise<void> {
  await tx`update households set currency = ${currency}, price_kwh = ${kWh}, price_feed_l = ${feedL}
    where household_id = current_household()`;
}

/** Keeps the price of a medium, or of a crop in a shop. */
export async function savePrice(
  tx: Tx,
  householdId: string,
  { of, key, price, amount, uses }: { of: 'medium' | 'shop'; key: string } & MediumPrice
): Promise<void> {
  await tx`insert into prices (household_id, of, key, price, amount, uses)
    values (${householdId}, ${of}, ${key}, ${price}, ${amount}, ${uses})
    on conflict (household_id, of, key) do update
    set price = excluded.price, amount = excluded.amount, uses = excluded.uses`;
}

/** Forgets a price. */
export async function forgetPrice(tx: Tx, of: 'medium' | 'shop', key: string): Promise<void> {
  await tx`delete from prices where of = ${of} and key = ${key}`;
}

/** Seed that sowings took since a moment, crop by crop and lot by lot. */
export async function seedTakenSince(tx: Tx, since: number): Promise<SeedTaken[]> {
  const rows = await tx<{ crop_key: string; lot_id: string | null; seed_g: number; at: Date }[]>`
    select crop_key, lot_id, seed_g, sown_at as at from sowings
    where sown_at >= ${new Date(since)} and mix is null
    union all
    select part.crop_key, part.lot_id, part.seed_g, s.sown_at
    from sowings s cross join lateral mix_parts(s.mix) part
    where s.sown_at >= ${new Date(since)} and s.mix is not null`;
  return rows.map(({ crop_key, lot_id, seed_g, at }) => ({
    cropKey: crop_key,
    lotId: lot_id,
    seedG: seed_g,
    sownAt: at.getTime()
  }));
}

/** What a g of each crop's seed cost, by the lots of it that have a price. */
export async function seedPrices(tx: Tx): Promise<Map<string, number>> {
  const rows = await tx<{ crop_key: string; per_g: number }[]>`
    select crop_key, sum(price) / sum(packet_g) as per_g from lots
    where price is not null and packet_g is not null and parts is null group by crop_key`;
  return new Map(rows.map(({ crop_key, per_g }) => [crop_key, per_g]));
}
