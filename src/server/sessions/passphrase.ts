import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the parameters OWASP recommends for it: 19 MiB, two passes, one lane. */
const ARGON2ID = 2;
const OPTIONS = { algorithm: ARGON2ID, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A passphrase as it is stored. */
export const hashPassphrase = (passphrase: string): Promise<string> =>
  hash(passphrase.normalize('NFKC'), OPTIONS);

let decoy: Promise<string> | null = null;

/**
 * Whether a passphrase is the one that was stored. Where nothing was stored the answer is no, after as much
 * work as for a stored one: how long it takes tells nobody whether a household exists.
 */
export async function isPassphrase(stored: string | null, passphrase: string): Promise<boolean> {
  // eslint-disable-next-line brote/no-prose -- no words for anybody
  decoy ??= hashPassphrase('none of them');
  const right = await verify(stored ?? (await decoy), passphrase.normalize('NFKC'));
  return stored !== null && right;
}
