import type { Session } from '$server/sessions/sessions.ts';

declare global {
  namespace App {
    interface Locals {
      session: Session | null;
    }
    interface Error {
      message: string;
      /** For programs: what kind of refusal it is. */
      code?: string;
    }
  }
}

export {};
