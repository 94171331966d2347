import type { Lot, LotPart, LotStock } from '../../core/supplies/seed/lot.ts';
import { MOST_SEED_G } from '../../core/choice/choiceData.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

interface LotRow {
  id: string;
  crop_key: string;
  parts: LotPart[] | null;
  name: string;
  weighed_g: number;
  price: number | null;
  packet_g: number | null;
  bought_on: string | null;
  best_before: string | null;
  packet_pct: number | null;
  test_sprouted: number | null;
  test_of: number | null;
  taken_g: number;
}

/**
 * The household's lots, with what was taken from each since it was weighed: by sowings whose seed was
 * weighed out or sown, and by those planned and not given up before.
 */
export async function listLots(tx: Tx): Promise<LotStock[]> {
  const rows = await tx<LotRow[]>`
    with taken as (
      select s.lot_id, least(s.seed_g, ${MOST_SEED_G}::float8) as seed_g, s.created_at from sowings s where s.lot_id is not null
      union all
      select part.lot_id, part.seed_g, s.created_at from sowings s cross join lateral mix_parts(s.mix) part
      where s.mix is not null and part.lot_id is not null
    )
    select l.id, l.crop_key, l.parts, l.name, l.weighed_g, l.price, l.packet_g, l.bought_on::text, l.best_before::text, l.packet_pct,
      l.test_sprouted, l.test_of,
      coalesce((select sum(t.seed_g) from taken t where t.lot_id = l.id and t.created_at >= l.weighed_at), 0) as taken_g
    from lots l where l.retired_at is null order by l.crop_key, l.best_before nulls last, l.name`;
  return soundRows(tx, 'lots', rows).map((row) => ({
    id: row.id,
    cropKey: row.crop_key,
    parts: row.parts,
    name: row.name,
    weighedG: row.weighed_g,
    price: row.price,
    packetG: row.packet_g,
    boughtOn: row.bought_on,
    bestBefore: row.best_before,
    packetPct: row.packet_pct,
    test: row.test_of === null ? null : { sprouted: row.test_sprouted!, tested: row.test_of },
    takenG: row.taken_g
  }));
}

/**
 * Adds a lot or changes it. What was taken is counted anew only where its weight was changed.
 * @param at when it was weighed, if its weight is new
 */
export async function saveLot(tx: Tx, householdId: string, lot: Lot, at: number): Promise<void> {
  await tx`insert into lots (household_id, id, crop_key, parts, name, weighed_g, weighed_at, price, packet_g, bought_on, best_before,
      packet_pct, test_sprouted, test_of)
    values (${householdId}, ${lot.id}, ${lot.cropKey},
      ${lot.parts === null ? null : tx.json(lot.parts as never)}, ${lot.name}, ${lot.weighedG}, ${new Date(at)}, ${lot.price}, ${lot.packetG},
      ${lot.boughtOn}, ${lot.bestBefore}, ${lot.packetPct}, ${lot.test?.sprouted ?? null}, ${lot.test?.tested ?? null})
    on conflict (household_id, id) do update set crop_key = excluded.crop_key, parts = excluded.parts, name = excluded.name,
      weighed_at = case when lots.weighed_g = excluded.weighed_g then lots.weighed_at else excluded.weighed_at end,
      weighed_g = excluded.weighed_g, price = excluded.price, packet_g = excluded.packet_g, bought_on = excluded.bought_on,
      best_before = excluded.best_before, packet_pct = excluded.packet_pct, test_sprouted = excluded.test_sprouted,
      test_of = excluded.test_of, retired_at = null`;
}

/** Puts a lot away; its sowings keep it. */
export async function retireLot(tx: Tx, id: string): Promise<void> {
  await tx`update lots set retired_at = now() where id = ${id}`;
}
