import { t } from '../../messages/t.ts';
import { fail, isHttpError, isRedirect, json, type ActionFailure, type RequestEvent } from '@sveltejs/kit';
import { limitWords } from '../../words/limits.ts';
import { RETRY_AFTER_S } from '../db/unavailable.ts';
import { readForm, UnreadableBody, type Fields } from './body.ts';
import { Busy } from './longWork.ts';
import { awayWords, isAway, needRoom } from './session.ts';

/** What an API answers where it does not do what was asked. */
interface Told {
  message: string;
  code: string;
}

/** What no column takes and no schema caught: told as a mistake of what was sent, and logged as one of ours. */
function isUnkeepable(failure: unknown): boolean {
  const { name, code } = (failure ?? {}) as { name?: string; code?: string };
  return name === 'PostgresError' && /^(22|23)/.test(code ?? '');
}

/** The code and detail with which the database refuses what is past a household's limits. */
function overLimit(failure: unknown): Told | null {
  const { code, detail } = (failure ?? {}) as { code?: string; detail?: string };
  if (code !== 'BR001') return null;
  const [table = '', most = ''] = (detail ?? '').split(' ');
  return { message: limitWords(table, Number(most)), code: 'full' };
}

const UNKEEPABLE = () => t('errors.somethingCannotBeKeptCheck');

function toldOf(failure: unknown): { status: number; told: Told } | null {
  if (failure instanceof UnreadableBody)
    return { status: failure.status, told: { message: failure.message, code: 'unreadable' } };
  if (failure instanceof Busy)
    return { status: failure.status, told: { message: failure.message, code: 'busy' } };
  if (isHttpError(failure, 503) && 'code' in failure.body)
    return { status: 503, told: { code: 'away', ...failure.body } };
  if (isAway(failure)) return { status: 503, told: awayWords(failure) };
  const full = overLimit(failure);
  if (full) return { status: 409, told: full };
  if (isUnkeepable(failure)) {
    console.error(failure);
    return { status: 422, told: { message: UNKEEPABLE(), code: 'wrong' } };
  }
  if (isHttpError(failure))
    return {
      status: failure.status,
      told: { code: 'wrong', ...failure.body, message: failure.body.message }
    };
  return null;
}

/** Signing out works even when the disk is full. */
const isLeaving = ({ pathname }: URL): boolean => pathname === '/sign-out';

/** An address for programs: whatever is refused is answered in JSON, with what to do. */
export const api =
  <E extends RequestEvent>(handler: (event: E) => Promise<Response> | Response) =>
  async (event: E): Promise<Response> => {
    try {
      if (event.request.method !== 'GET' && !isLeaving(event.url)) needRoom();
      return await handler(event);
    } catch (failure) {
      const told = toldOf(failure);
      if (!told) throw failure;
      const headers: HeadersInit = told.status === 503 ? { 'retry-after': String(RETRY_AFTER_S) } : {};
      return json(told.told, { status: told.status, headers });
    }
  };

/** What a form is given back where it was not taken. `say` is of the form as a whole. */
export interface NotTaken {
  fields: Fields;
  errors: Record<string, string>;
  say: string | null;
}

/** What a form is given back where it was taken: nothing of what was typed, and what its page has to show. */
export const taken = <T extends object>(more: T): NotTaken & T => ({
  fields: {},
  errors: {},
  say: null,
  ...more
});

/** Gives a form back with what was typed and what to do. */
export const notTaken = (
  status: number,
  fields: Fields,
  errors: Record<string, string>,
  say: string | null = null
): ActionFailure<NotTaken> => fail(status, { fields, errors, say });

/**
 * What a form's address does with it. The fields are read in one place; whatever cannot be read or kept, or must
 * be tried again, comes back on the same page with what was typed.
 */
export const form =
  <E extends RequestEvent, T>(handler: (event: E, fields: Fields) => Promise<T> | T) =>
  async (event: E): Promise<T | ActionFailure<NotTaken>> => {
    let fields: Fields = {};
    try {
      fields = await readForm(event.request);
      needRoom();
      return await handler(event, fields);
    } catch (failure) {
      if (isRedirect(failure)) throw failure;
      const told = toldOf(failure);
      if (!told) throw failure;
      const { passphrase: _secret, passphraseNow: _now, passphraseNew: _new, ...rest } = fields;
      return notTaken(told.status, rest, {}, told.told.message);
    }
  };
