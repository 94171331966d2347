import type { Method } from '../../core/supplies/methods/method.ts';
import { completed, READY_METHODS } from '../../core/supplies/methods/ready.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

interface MethodRow {
  key: string;
  name: string;
  answers: Partial<Method>;
}

/** The household's own methods. */
export async function listMethods(tx: Tx): Promise<Method[]> {
  const rows = await tx<
    MethodRow[]
  >`select key, name, answers from methods where retired_at is null order by name`;
  return soundRows(tx, 'methods', rows).map(({ key, name, answers }) => completed({ ...answers, key, name }));
}

/** The methods to choose from: the ready ones and the household's own. */
export const allMethods = async (tx: Tx): Promise<Method[]> => [...READY_METHODS, ...(await listMethods(tx))];

/** Adds a method or changes it; sowings keep the method as it was when they were planned. */
export async function saveMethod(
  tx: Tx,
  householdId: string,
  { key, name, ...answers }: Method
): Promise<void> {
  await tx`insert into methods (household_id, key, name, answers)
    values (${householdId}, ${key}, ${name}, ${tx.json(answers as never)})
    on conflict (household_id, key) do update set name = excluded.name, answers = excluded.answers, retired_at = null`;
}

/** Puts a method away. */
export async function retireMethod(tx: Tx, key: string): Promise<void> {
  await tx`update methods set retired_at = now() where key = ${key}`;
}
