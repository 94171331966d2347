import { t } from '../../messages/t.ts';
import { setImmediate } from 'node:timers/promises';
import { error, isHttpError } from '@sveltejs/kit';
import { gatherUnreadable } from '../data/sound.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { isStorageFull, StorageFull } from '../db/storage.ts';
import { isPassing } from '../db/unavailable.ts';
import type { Session } from '../sessions/sessions.ts';
import { longWork } from './longWork.ts';

/** What is told where the database is away or too slow. */
export const AWAY = () => t('errors.broteCannotReachDataJust');

/** The message when the disk is full. */
const FULL = () => t('errors.brotesStorageFullSoNothing');

/** What is told where something may be tried again, by why it failed. */
export const awayWords = (failure: unknown): { message: string; code: 'away' | 'storage-full' } =>
  failure instanceof StorageFull
    ? { message: FULL(), code: 'storage-full' }
    : { message: AWAY(), code: 'away' };

/** @throws StorageFull where nothing should be written */
export function needRoom(): void {
  if (isStorageFull()) throw new StorageFull();
}

/** The session of a request that has one: the door lets no other through to where this is asked. */
export function signedIn(locals: App.Locals): Session {
  if (!locals.session) error(401, { message: t('errors.signAgainContinueWhatYou') });
  return locals.session;
}

/** Runs work in the household of the request. What may be tried again is told as a 503. */
export async function inSession<T>(locals: App.Locals, work: (tx: Tx) => Promise<T>): Promise<T> {
  const reading = available(() =>
    inHousehold(signedIn(locals).household.id, (tx) => {
      gatherUnreadable(tx, locals.unreadable);
      return work(tx);
    })
  );
  const ended = reading.then(
    () => void locals.reading.delete(ended),
    () => void locals.reading.delete(ended)
  );
  locals.reading.add(ended);
  return reading;
}

/** The records that the loads of a request could not read. Resolves once all of them are done. */
export async function unreadableOf(locals: App.Locals): Promise<App.Locals['unreadable']> {
  // The loads of a request begin together: after this turn of the event loop each of them is reading.
  await setImmediate();
  while (locals.reading.size > 0) {
    await Promise.all(locals.reading);
    await setImmediate();
  }
  return locals.unreadable;
}

/** How long an import or export may take; one of a household of decades takes seconds. */
const LONG_MS = 10 * 60_000;

/**
 * Runs an import or export in the household of the request, beside what pages do.
 * @param first what is done before a connection is taken, such as reading what is sent
 * @throws Busy where another one has to end first
 */
export async function inLongSession<T>(
  locals: App.Locals,
  work: (tx: Tx) => Promise<T>,
  first: () => Promise<unknown> = () => Promise.resolve()
): Promise<T> {
  const { id } = signedIn(locals).household;
  return longWork(id, async () => {
    await first();
    return available(() => inHousehold(id, work, LONG_MS, 'long'));
  });
}

/** Runs work on the database. What may be tried again is told as a 503. */
export async function available<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (failure) {
    if (!isPassing(failure)) throw failure;
    console.error(`503: ${(failure as Error).message}`);
    error(503, awayWords(failure));
  }
}

/** Whether a request is to be told that it may be tried again. */
export const isAway = (failure: unknown): boolean => isHttpError(failure, 503) || isPassing(failure);
