import { t } from '../../messages/t.ts';
import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { plainText } from '../../contract/text.ts';

/** What one request may bring, in bytes; 5000 readings of line protocol are under 700 kB. */
export const MOST_BYTES = 2 * 1024 * 1024;
/** What a file may bring that is taken in, packed. */
export const MOST_FILE_BYTES = 64 * 1024 * 1024;
/** What a form may bring, in bytes; the largest is a crop of one's own, under 10 kB. */
const MOST_FORM_BYTES = 256 * 1024;
/** Fields of a form, and letters of one of them. */
const MOST_FIELDS = 300;
const LONGEST_FIELD = 20_000;
/** No form and no message of ours lies deeper, or holds more values; 5000 readings are 20 001. */
const DEEPEST = 12;
const MOST_VALUES = 60_000;
/** Names that would change what an object is, rather than what it holds. */
const NO_NAMES = new Set(['__proto__', 'constructor', 'prototype', 'toString', 'toJSON', 'valueOf']);

/** What was sent cannot be read at all: with which status, and what to do. */
export class UnreadableBody extends Error {
  override readonly name = 'Unreadable';
  constructor(
    readonly status: 400 | 413 | 415 | 422,
    message: string
  ) {
    super(message);
  }
}

/** What a form's fields say, by name. A field that was left out is undefined. */
export type Fields = Record<string, string>;

const typeOf = (request: Request): string =>
  (request.headers.get('content-type') ?? '').split(';', 1)[0]!.trim().toLowerCase();

/** A failure to read a body, told by what it is: the web server's own limit answers 413. */
function whyUnread(error: unknown, otherwise: string): UnreadableBody {
  if (error instanceof UnreadableBody) return error;
  if ((error as { status?: number } | null)?.status === 413) return tooMuch(MOST_FILE_BYTES);
  return new UnreadableBody(400, otherwise);
}

/** What is over the limit is kept no further, and read to its end: whoever sends it would not hear the answer otherwise. */
async function bytesOf(request: Request, most = MOST_BYTES): Promise<Uint8Array<ArrayBuffer>> {
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += part.byteLength;
    if (bytes <= most) parts.push(part);
    else parts.length = 0;
  }
  if (bytes > most) throw tooMuch(most);
  return new Uint8Array(Buffer.concat(parts));
}

const tooMuch = (most: number): UnreadableBody =>
  new UnreadableBody(
    413,
    t('errors.tooLarge', { size: most < 1024 ** 2 ? `${most / 1024} kB` : `${most / 1024 ** 2} MB` })
  );

/**
 * Writes a body that is a file to a file, piece by piece.
 * @throws Unreadable where it is empty, over the limit or breaks off
 */
export async function readFile(request: Request, file: string): Promise<void> {
  let bytes = 0;
  const counted = async function* () {
    for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
      bytes += part.byteLength;
      if (bytes > MOST_FILE_BYTES) throw tooMuch(MOST_FILE_BYTES);
      yield part;
    }
  };
  try {
    await pipeline(counted(), createWriteStream(file));
  } catch (error) {
    throw whyUnread(error, t('errors.fileBrokeOff'));
  }
  if (bytes === 0) throw new UnreadableBody(400, t('errors.fileEmpty'));
}

/**
 * How many values JSON holds, told by its commas and brackets outside of texts. Reading a body of brackets takes a hundred
 * times as long as counting them.
 */
function valuesOf(json: string): number {
  let [values, within] = [1, false];
  for (let at = 0; at < json.length; at += 1) {
    const sign = json.charCodeAt(at);
    if (within) {
      if (sign === BACKSLASH) at += 1;
      else if (sign === QUOTE) within = false;
    } else if (sign === QUOTE) within = true;
    else if (sign === COMMA || sign === SQUARE || sign === CURLY) values += 1;
  }
  return values;
}
const [QUOTE, BACKSLASH, COMMA, SQUARE, CURLY] = ['"', '\\', ',', '[', '{'].map((sign) => sign.charCodeAt(0));

/** A body as plain text. @throws Unreadable where it is empty, too long or breaks off */
export async function readText(request: Request): Promise<string> {
  let text: string;
  try {
    text = new TextDecoder().decode(await bytesOf(request));
  } catch (error) {
    throw whyUnread(error, t('errors.bodyBrokeOff'));
  }
  if (text.trim() === '') throw new UnreadableBody(400, t('errors.bodyEmpty'));
  return text.toWellFormed();
}

/**
 * A body of JSON, its texts as they may be kept.
 * @throws Unreadable where it is none, of another type, empty, too long or too deep
 */
export async function readJson(request: Request): Promise<unknown> {
  if (!/\bjson$/.test(typeOf(request))) throw new UnreadableBody(415, t('errors.sendJson'));
  return parseJson(await readText(request));
}

/** JSON of a text. @throws Unreadable where it is none, or too deep */
export function parseJson(text: string): unknown {
  if (valuesOf(text) > MOST_VALUES) throw new UnreadableBody(413, t('errors.tooManyValues'));
  let sent: unknown;
  try {
    sent = JSON.parse(text);
  } catch {
    throw new UnreadableBody(400, t('errors.noJson'));
  }
  return cleaned(sent, 0);
}

function cleaned(value: unknown, depth: number): unknown {
  if (typeof value === 'string') return plainText(value);
  if (value === null || typeof value !== 'object') return value;
  if (depth >= DEEPEST) throw new UnreadableBody(422, t('errors.tooDeep'));
  if (Array.isArray(value)) return value.map((one) => cleaned(one, depth + 1));
  return Object.fromEntries(
    Object.entries(value).flatMap(([name, one]) =>
      NO_NAMES.has(name) ? [] : [[plainText(name), cleaned(one, depth + 1)]]
    )
  );
}

/**
 * The fields of a form as it may be kept, the last of each name.
 * @throws Unreadable where it is no form, broken, too long, or holds a file
 */
export async function readForm(request: Request): Promise<Fields> {
  if (!['application/x-www-form-urlencoded', 'multipart/form-data'].includes(typeOf(request)))
    throw new UnreadableBody(415, t('errors.sendForm'));
  let form: FormData;
  try {
    form = await new Response(await bytesOf(request, MOST_FORM_BYTES), {
      headers: { 'content-type': request.headers.get('content-type') ?? '' }
    }).formData();
  } catch (error) {
    throw whyUnread(error, t('errors.formBrokeOff'));
  }
  const fields: Fields = {};
  let count = 0;
  for (const [name, value] of form) {
    if (typeof value !== 'string') throw new UnreadableBody(422, t('errors.noFiles'));
    count += 1;
    if (count > MOST_FIELDS || name.length > LONGEST_FIELD || value.length > LONGEST_FIELD)
      throw new UnreadableBody(413, t('errors.textTooLong'));
    if (!NO_NAMES.has(name)) fields[plainText(name)] = plainText(value);
  }
  return fields;
}
