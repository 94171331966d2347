import type { Disinfectant, Strengths } from '../../core/supplies/seed/disinfect.ts';
import type { Tx } from '../db/connection.ts';

/** Strengths off the labels of the household's products, as last used: it keeps one bottle of each for all its crops. */
export async function lastStrengths(tx: Tx): Promise<Strengths> {
  const rows = await tx<{ product: Disinfectant; pct: number }[]>`
    select distinct on (method ->> 'disinfect') method ->> 'disinfect' as product,
      (method #>> '{disinfectRule,productPct}')::double precision as pct
    from sowings where method ->> 'disinfect' in ('hypochlorite', 'peroxide')
      and jsonb_typeof(method #> '{disinfectRule,productPct}') = 'number'
    order by method ->> 'disinfect', created_at desc`;
  return Object.fromEntries(rows.map(({ product, pct }) => [product, pct]));
}
