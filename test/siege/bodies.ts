import { ask, type Sent } from './ask.ts';
import { JSON_TYPE } from './camp.ts';
import type { Target } from './routes.ts';

/** What one request of ours may bring at most, and a little more. */
const MOST_BYTES = 2 * 1024 * 1024;

const filled = (one: string, bytes: number): string =>
  `[${Array.from({ length: Math.floor(bytes / (one.length + 1)) }, () => one).join(',')}]`;

/** Bodies that are large or of a costly shape, for a target of JSON. */
function* ofJson(json: unknown): Generator<[string, string]> {
  for (const one of ['{}', '[]', '1', '"x"', 'null', '{"a":1}'])
    yield [`2 MB of ${one}`, filled(one, MOST_BYTES - 10)];
  yield ['a long text', JSON.stringify('é'.repeat(900_000))];
  yield ['many fields', `{${Array.from({ length: 150_000 }, (_, n) => `"k${n}":1`).join(',')}}`];
  const fields = json !== null && typeof json === 'object' ? Object.keys(json) : [];
  for (const field of fields) {
    for (const one of ['{}', 'null', '"x"', '[]'])
      yield [
        `60 kB of ${one} in ${field}`,
        JSON.stringify({ ...(json as object), [field]: 0 }).replace(
          `"${field}":0`,
          `"${field}":${filled(one, 60_000)}`
        )
      ];
    yield [
      `a long text in ${field}`,
      JSON.stringify({ ...(json as object), [field]: `${'a.'.repeat(700_000)}@` })
    ];
    yield [
      `JSON as text in ${field}`,
      JSON.stringify({ ...(json as object), [field]: filled('{}', 60_000) })
    ];
    const value = (json as Record<string, unknown>)[field];
    if (Array.isArray(value) && value.length > 0)
      for (const many of [80, 500, 5000])
        yield [
          `${many} of its own in ${field}`,
          JSON.stringify({ ...(json as object), [field]: Array.from({ length: many }, () => value[0]) })
        ];
  }
}

/** The same for a target that is a form. */
function* ofForm(fields: Record<string, string>): Generator<[string, string, string]> {
  const plain = 'application/x-www-form-urlencoded';
  yield ['2 MB of fields', 'a&'.repeat(1_000_000), plain];
  yield ['200 kB of fields', 'a&'.repeat(100_000), plain];
  yield [
    '200 kB of parts',
    `${'--x\r\nContent-Disposition: form-data; name="a"\r\n\r\n1\r\n'.repeat(3800)}--x--`,
    'multipart/form-data; boundary=x'
  ];
  for (const name of Object.keys(fields))
    yield [
      `a long ${name}`,
      new URLSearchParams({ ...fields, [name]: 'a.'.repeat(120_000) }).toString(),
      plain
    ];
}

/** Every large or costly body for every target that takes one. */
export function* costlyBodies(all: readonly Target[]): Generator<{ name: string; sent: Sent }> {
  const seen = new Set<string>();
  for (const { name, sent, json, fields, spares } of all) {
    if (sent.method === 'GET' || spares || seen.has(name)) continue;
    seen.add(name);
    if (json !== undefined)
      for (const [what, body] of ofJson(json))
        yield {
          name: `${name}: ${what}`,
          sent: { ...sent, headers: { ...sent.headers, ...JSON_TYPE }, body }
        };
    if (fields)
      for (const [what, body, type] of ofForm(fields))
        yield {
          name: `${name}: ${what}`,
          sent: { ...sent, headers: { ...sent.headers, 'content-type': type }, body }
        };
  }
}

export interface Costly {
  asked: number;
  errors: string[];
  hung: string[];
}

/** Sends them one after the other: what one of them costs is what the server says it held everybody for. */
export async function sendCostly(base: URL, all: readonly Target[], every: number): Promise<Costly> {
  const found: Costly = { asked: 0, errors: [], hung: [] };
  let nth = 0;
  for (const { name, sent } of costlyBodies(all)) {
    nth += 1;
    if (nth % every !== 0) continue;
    const came = await ask(base, sent);
    found.asked += 1;
    if (came.hung) found.hung.push(name);
    if (came.status >= 500) found.errors.push(`${name}: ${came.status}`);
  }
  return found;
}
