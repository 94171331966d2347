import { createHash } from 'node:crypto';

/** What is kept of a token, a browser's or a device's: never the token itself. */
export const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();
