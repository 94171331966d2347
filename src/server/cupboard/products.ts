import type { Method } from '../../core/supplies/methods/method.ts';
import { checkRule } from '../../core/supplies/seed/disinfect.ts';
import { ruleWith, type Product } from '../../core/supplies/seed/product.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

interface ProductRow {
  id: string;
  name: string;
  kind: Product['kind'];
  strength_pct: number;
  dated_on: string | null;
}

/** The household's products to disinfect with. */
export async function listProducts(tx: Tx): Promise<Product[]> {
  const rows = await tx<ProductRow[]>`select id, name, kind, strength_pct, dated_on::text from products
    where retired_at is null order by name`;
  return soundRows(tx, 'products', rows).map(({ strength_pct, dated_on, ...row }) => ({
    ...row,
    strengthPct: strength_pct,
    datedOn: dated_on
  }));
}

type Rules = Pick<Method, 'disinfect' | 'disinfectRule'>;

/**
 * Adds a product or changes it. The household's methods that name it, and its planned sowings whose seed was not disinfected yet,
 * take its strength; the others keep the one they were disinfected with.
 * @returns the names of methods that want a stronger solution than it can give; then nothing is saved
 */
export async function saveProduct(tx: Tx, householdId: string, product: Product): Promise<string[]> {
  const methods = await tx<{ key: string; name: string; answers: Rules }[]>`
    select key, name, answers from methods
    where answers #>> '{disinfectRule,productId}' = ${product.id} and retired_at is null for update`;
  const sowings = await tx<{ id: string; name: string; answers: Rules }[]>`
    select id, method ->> 'name' as name, method as answers from sowings
    where method #>> '{disinfectRule,productId}' = ${product.id} and ended_at is null and sown_at is null
      and not exists (select from events e where e.sowing_id = sowings.id and e.type = 'prepared'
        and e.body ->> 'step' = 'disinfect' and not exists (select from events u where u.sowing_id = e.sowing_id
          and u.type = 'undone' and u.body ->> 'eventId' = e.id::text))
    for update`;
  const tooWeak = [...methods, ...sowings].filter(
    ({ answers: { disinfect, disinfectRule } }) =>
      disinfect === product.kind && checkRule(disinfect, ruleWith(disinfectRule, product)) !== null
  );
  if (tooWeak.length > 0) return [...new Set(tooWeak.map(({ name }) => name))];

  await tx`insert into products (household_id, id, name, kind, strength_pct, dated_on)
    values (${householdId}, ${product.id}, ${product.name}, ${product.kind}, ${product.strengthPct}, ${product.datedOn})
    on conflict (household_id, id) do update set name = excluded.name, kind = excluded.kind,
      strength_pct = excluded.strength_pct, dated_on = excluded.dated_on, retired_at = null`;
  const followed = ({ answers }: { answers: Rules }) =>
    tx.json({ ...answers, disinfectRule: ruleWith(answers.disinfectRule, product) } as never);
  for (const method of methods)
    await tx`update methods set answers = ${followed(method)} where key = ${method.key}`;
  for (const sowing of sowings)
    await tx`update sowings set method = ${followed(sowing)} where id = ${sowing.id}`;
  return [];
}

/** Puts a product away; methods and sowings that took it keep its strength. */
export async function retireProduct(tx: Tx, id: string): Promise<void> {
  await tx`update products set retired_at = now() where id = ${id}`;
}
