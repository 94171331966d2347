import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { FORM, formBody, JSON_TYPE } from './camp.ts';
import type { Sent } from './ask.ts';
import type { Target } from './routes.ts';

/** Chance that is the same for the same seed. */
export class Dice {
  private readonly source;
  constructor(seed: number) {
    this.source = xoroshiro128plus(seed);
  }
  /** A whole number from 0 up to, not with, `below`. */
  upTo(below: number): number {
    return uniformInt(this.source, 0, below - 1);
  }
  one<T>(among: readonly T[]): T {
    return among[this.upTo(among.length)]!;
  }
  chance(percent: number): boolean {
    return this.upTo(100) < percent;
  }
}

const deep = (depth: number): string => `${'['.repeat(depth)}1${']'.repeat(depth)}`;
const deepObject = (depth: number): string => `${'{"a":'.repeat(depth)}1${'}'.repeat(depth)}`;

/** Texts that no form of ours would send. */
const TEXTS = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udfffy',
  '\u202e',
  '﷽'.repeat(50),
  'x'.repeat(300),
  'é'.repeat(5000),
  '0.1',
  '-1',
  '-0',
  '1e-320',
  '1e400',
  '-1e400',
  'NaN',
  'Infinity',
  '1e15',
  '9007199254740993',
  '99999999999999999999',
  '1,200',
  '1/0',
  '½½',
  '0x10',
  '0000-00-00',
  '2026-02-30',
  '9999-12-31',
  '-271821-04-20',
  '+05:45',
  'Etc/GMT+14',
  'Europe/Nowhere',
  '24:00',
  '07:60',
  'null',
  'undefined',
  '[object Object]',
  '__proto__',
  'constructor',
  "'; drop table events; --",
  '<script>alert(1)</script>',
  '%00',
  '../../etc/passwd',
  '00000000-0000-0000-0000-000000000000',
  'FFFFFFFF-FFFF-FFFF-FFFF-FFFFFFFFFFFF',
  '{00000000-0000-4000-8000-000000000000}',
  'not-an-id',
  'radish',
  'own-',
  'dark',
  'lamp'
];

/** What may stand in JSON where something else is meant, as it is written. */
const VALUES = [
  'null',
  'true',
  'false',
  '0',
  '-1',
  '0.1',
  '1e-320',
  '1e308',
  '-1e308',
  '1e400',
  '1e15',
  '8640000000000001',
  '-8640000000000001',
  '9007199254740993',
  '[]',
  '[null]',
  '[[]]',
  '{}',
  '{"toString":5}',
  '{"toString":null,"valueOf":null}',
  '{"length":-1}',
  '{"__proto__":{"x":1}}',
  '"\\u0000"',
  '"a\\u0000b"',
  '"\\ud800"',
  '"\\udfff x"',
  '[1,2,3]',
  '{"type":"noted"}',
  '{"kind":"lamp","ppfd":1e-320,"hours":1e-320}',
  deep(50),
  deep(20_000),
  deepObject(20_000),
  ...TEXTS.filter((text) => text.isWellFormed()).map((text) => JSON.stringify(text))
];

const TYPES = [
  '',
  'text/plain',
  'application/json',
  'application/x-www-form-urlencoded',
  'multipart/form-data',
  'multipart/form-data; boundary=',
  'multipart/form-data; boundary=x',
  'application/octet-stream',
  'text/html; charset=utf-16',
  'application/json; charset=bogus',
  '*/*',
  'x'
];

/** Every place in JSON, as the way to it. */
function placesIn(value: unknown, way: (string | number)[] = []): (string | number)[][] {
  if (value === null || typeof value !== 'object') return [way];
  const inner = Array.isArray(value)
    ? value.flatMap((one, at) => placesIn(one, [...way, at]))
    : Object.entries(value).flatMap(([name, one]) => placesIn(one, [...way, name]));
  return [way, ...inner];
}

/** JSON with what stands at one place replaced by a text as it is, which need be no JSON of its own. */
function withAt(value: unknown, way: readonly (string | number)[], text: string): string {
  const [step, ...rest] = way;
  if (step === undefined) return text;
  if (Array.isArray(value))
    return `[${value.map((one, at) => (at === step ? withAt(one, rest, text) : JSON.stringify(one))).join(',')}]`;
  return `{${Object.entries(value as object)
    .map(
      ([name, one]) =>
        `${JSON.stringify(name)}:${name === step ? withAt(one, rest, text) : JSON.stringify(one)}`
    )
    .join(',')}}`;
}

const without = (value: unknown, way: readonly (string | number)[]): unknown => {
  const copy = structuredClone(value) as Record<string | number, unknown>;
  let at: Record<string | number, unknown> = copy;
  for (const step of way.slice(0, -1)) at = at[step] as Record<string | number, unknown>;
  delete at[way.at(-1)!];
  return copy;
};

function multipart(fields: Record<string, string>, dice: Dice): { type: string; body: Buffer } {
  const boundary = dice.one(['x', '----b', '"q"', 'x'.repeat(100)]);
  const parts = Object.entries(fields).map(([name, value]) => {
    const file = dice.chance(15) ? '; filename="a.txt"\r\nContent-Type: text/plain' : '';
    return `--${boundary}\r\nContent-Disposition: form-data; name="${name}"${file}\r\n\r\n${value}\r\n`;
  });
  const whole = `${parts.join('')}--${boundary}--\r\n`;
  const cut = dice.chance(40) ? whole.slice(0, dice.upTo(whole.length)) : whole;
  return {
    type: `multipart/form-data; boundary=${dice.chance(80) ? boundary : 'other'}`,
    body: Buffer.from(cut)
  };
}

/** A request as somebody careless, broken or hostile would send it. */
export function mutated({ sent, fields, json }: Target, dice: Dice): Sent {
  const next: Sent = { ...sent, headers: { ...sent.headers } };
  const kind = dice.upTo(10);
  if (fields && kind < 7) {
    const changed: Record<string, string> = { ...fields };
    for (let turn = dice.upTo(3); turn >= 0; turn -= 1) {
      const name = dice.one([...Object.keys(fields), 'extra']);
      if (dice.chance(20)) delete changed[name];
      else changed[name] = dice.one(TEXTS);
    }
    if ('method' in changed && json === undefined && dice.chance(70))
      changed.method = jsonOf(fields.method ?? '{}', dice);
    if (dice.chance(25)) {
      const { type, body } = multipart(changed, dice);
      next.headers['content-type'] = type;
      next.body = body;
    } else {
      Object.assign(next.headers, FORM);
      next.body = dice.chance(90) ? formBody(changed) : `${formBody(changed)}&%ff=%00&a=%ED%A0%80`;
    }
  } else if (json !== undefined && kind < 7) {
    Object.assign(next.headers, JSON_TYPE);
    next.body = jsonOf(JSON.stringify(json), dice);
  } else if (sent.method !== 'GET' && kind === 7) {
    next.headers['content-type'] = dice.one(TYPES);
  } else if (sent.method !== 'GET' && kind === 8) {
    next.body = dice.one([
      '',
      '{',
      'null',
      '[]',
      '"x"',
      deep(20_000),
      Buffer.from([0xff, 0xfe, 0x00, 0xd8]),
      Buffer.alloc(3 * 1024 * 1024, 120),
      'a=1&a=2',
      '\u0000'
    ]);
  } else {
    next.path = pathOf(sent.path, dice);
  }
  if (dice.chance(6)) next.method = dice.one(['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS']);
  if (dice.chance(6))
    Object.assign(
      next.headers,
      dice.one<Record<string, string>>([
        { accept: 'application/json' },
        { accept: 'text/html' },
        { accept: 'x' },
        { 'x-sveltekit-action': 'true' },
        { 'x-forwarded-proto': 'javascript' },
        { 'x-forwarded-host': 'elsewhere.example' },
        { 'content-encoding': 'gzip' },
        { 'accept-language': 'x'.repeat(2000) },
        { cookie: 'brote_session=%00; brote_theme=%E0%A4%A; brote_known=\u00ff' },
        { 'user-agent': '' },
        { range: 'bytes=9-1' },
        { 'if-none-match': '"' }
      ])
    );
  return next;
}

function jsonOf(text: string, dice: Dice): string {
  const value = JSON.parse(text) as unknown;
  const way = dice.one(placesIn(value));
  if (way.length > 0 && dice.chance(10)) return JSON.stringify(without(value, way));
  if (dice.chance(5)) return text.slice(0, dice.upTo(text.length));
  const once = withAt(value, way, dice.one(VALUES));
  return once;
}

function pathOf(path: string, dice: Dice): string {
  const [bare = '', query] = path.split('?');
  const steps = bare.split('/');
  const at = dice.upTo(steps.length);
  const odd = dice.one([
    '%00',
    '%',
    '%zz',
    '%ED%A0%80',
    '..',
    '%2e%2e',
    'new',
    '0',
    'x'.repeat(2000),
    '%F0%9F%8C%B1',
    '00000000-0000-4000-8000-00000000000g',
    "'%20or%201=1",
    '//elsewhere.example'
  ]);
  if (dice.chance(60)) steps[at] = odd;
  const asked = dice.one([
    '',
    `?${query ?? ''}`,
    `?${odd}=${odd}`,
    '?from=%00',
    '?to=%2F%09%2Felsewhere.example',
    '?/nothing',
    '?precision=toString',
    '?crop[]=x&area=%ff'
  ]);
  return (steps.join('/') || '/') + asked;
}
