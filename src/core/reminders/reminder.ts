import type { PantryItem } from '../pantry/item.ts';
import type { Cue } from '../sowing/event.ts';
import type { SowingSetup } from '../sowing/sowing.ts';
import type { StepBody } from '../steps/step.ts';
import type { Timer, TimerState } from '../steps/timer.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Millis } from '../time/zone.ts';

/** What a member may be reminded of, each to be turned off by itself. */
export const REMINDER_KINDS = ['round', 'timer', 'window', 'trouble', 'away'] as const;
export type ReminderKind = (typeof REMINDER_KINDS)[number];

/** What stands in a container, as far as a reminder must name it. */
export interface Named {
  sowingId: string;
  /** One crop, or two of a container of halves, in their order. */
  crops: string[];
  of: Pick<SowingSetup, 'container' | 'count' | 'trayNo'>;
  placeName: string;
}

/** A sowing that a standing order lays, to be begun or left out. */
export interface OnOrder {
  orderId: string;
  /** The day that its rule says, `YYYY-MM-DD`. */
  day: string;
  crop: string;
  of: Named['of'];
  placeName: string;
  /** Whether its seed is soaked first. */
  soaks: boolean;
  beginsAt: Millis;
}

/** A container with what the round asks of it. Amounts as the round's own card has them. */
export interface RoundStop extends Named {
  medium: { kind: MediumKind; mediumId: string | null };
  steps: { body: StepBody; with: readonly StepBody[]; late: boolean; crops: string[] }[];
  /** Cues worth looking for, by crop. */
  looks: { crop: string; cropKey: string; cue: Cue }[];
  /** What was to begin, and did not. */
  notBegun: { crop: string; at: Millis }[];
}

/** How a harvest window stands. */
export type WindowState = 'opening' | 'open' | 'closing' | 'past';

export type ReminderBody =
  | {
      type: 'round';
      roundKey: string;
      roundAt: Millis;
      stops: RoundStop[];
      /** Emptied containers that wait at the sink; left out where none do. */
      sink?: Named[];
    }
  /** Nobody has said anything for days: asked what is true now instead. */
  | { type: 'catch-up'; since: Millis; trays: number }
  | { type: 'timer'; timer: Timer; state: TimerState }
  | ({
      type: 'window';
      state: WindowState;
      opensAt: Millis;
      /** The 80 % range of the opening. */
      from: Millis;
      to: Millis;
      bestAt: Millis;
      closesAt: Millis;
      /** Of what stands. */
      expectedG: number;
      /** The day it was said to open before, where the forecast has truly moved since; null for the first time. */
      wasAt: Millis | null;
      /** The version of the forecast it follows from; not known of older reminders. */
      forecast?: number;
      /** An update of Brote moved it. */
      byUpdate?: boolean;
    } & Named)
  /** Something in the pantry is to be eaten first: its best is over by then. */
  | {
      type: 'keeps';
      sowingId: string;
      crop: string;
      packing: PantryItem['packing'];
      left: number;
      unit: PantryItem['unit'];
      bestBy: Millis;
      keepsTo: Millis;
    }
  /** Seedlings begin to hang then unless it is watered. */
  | ({ type: 'dry'; driesAt: Millis; waterMl: number } & Named)
  | { type: 'warm'; placeId: string; placeName: string; tempC: number; crops: string[]; keepBelowC: number }
  /** Days away are near: what is best done before. */
  | {
      type: 'leaving';
      fromDay: string;
      untilDay: string;
      leavesAt: Millis;
      cut: (Named & { cutG: number; lostG: number })[];
      cool: (Named & { toName: string })[];
      putOff: Named[];
      /** Containers that need somebody, and rounds on which they do. */
      sitter: Named[];
      visits: number;
    }
  /** A standing order asks to be begun. */
  | ({ type: 'order' } & OnOrder)
  /** Somebody was removed from the household. */
  | { type: 'member-removed'; name: string; by: string }
  | { type: 'silent'; placeId: string; placeName: string; since: Millis };

/** Something a household is to be told once. */
export interface Reminder {
  /** The same thing has the same key, whoever works it out and however often. */
  key: string;
  kind: ReminderKind;
  dueAt: Millis;
  /** Past this it is of no more use, and is dropped. */
  until: Millis;
  body: ReminderBody;
}

/** What a household was told before: what is told once is told by these. */
export interface Told {
  key: string;
  /** For a window: when it was said to open. */
  opensAt: Millis | null;
  /** For a window: the version of the forecast; null or left out where it is not known. */
  forecast?: number | null;
}
