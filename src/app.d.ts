import type { Session } from '$server/sessions/sessions.ts';
import type { Unreadable } from '$server/data/sound.ts';

declare global {
  namespace App {
    interface Locals {
      session: Session | null;
      /** Records that this request could not read. */
      unreadable: Unreadable[];
      /** Transactions of this request that have not ended. */
      reading: Set<Promise<void>>;
    }
    interface Error {
      message: string;
      /** For programs: what kind of refusal it is. */
      code?: string;
    }
  }
}

export {};
