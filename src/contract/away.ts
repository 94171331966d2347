import type { Period } from '../core/away/period.ts';
import type { Named, ReminderBody } from '../core/reminders/reminder.ts';
import type { AwayVerdict } from '../core/away/plan.ts';

/** One container through days away, as its page shows it. */
export interface ShownAwayTray extends Named {
  key: string;
  /** Every sowing in it, in their order. */
  sowingIds: string[];
  verdict: AwayVerdict;
  driesAt: number | null;
  closesAt: number | null;
  /** What cutting at the leaving gives, and how much less that is than at its best, g. */
  cutG: number;
  lostG: number;
  coolName: string | null;
  coolPlaceId: string | null;
  visits: number;
}

/** Days away, and what they mean. */
export interface AwayOutlook extends Period {
  leavesAt: number;
  backAt: number;
  trays: ShownAwayTray[];
  /** What a sitter does, round by round. */
  rounds: Extract<ReminderBody, { type: 'round' }>[];
}
