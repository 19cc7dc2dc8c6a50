import type { Range } from '@/core/range/range';
import type { Attention } from '@/core/step/facts';

/** What a task waits for, and how long what that made may wait for it. */
export interface After {
  readonly id: string;
  readonly least: number;
  readonly most: number | null;
}

/** Where a task's words name a line, and how much of it goes in there. */
export interface Mentioned {
  readonly from: number;
  readonly to: number;
  readonly line: number;
  /** Part of the line that goes in here, 0–1; null for all of it. */
  readonly share: number | null;
  /** The words say an amount themselves. */
  readonly stated: boolean;
}

/** One thing to do for a dish. */
export interface Task {
  readonly id: string;
  readonly step: number | null;
  readonly line: number | null;
  readonly text: string;
  /** The verb, by its id. */
  readonly action: string;
  readonly minutes: Range;
  readonly said: boolean;
  readonly attention: Attention;
  readonly uses: readonly string[];
  readonly celsius: number | null;
  readonly after: readonly After[];
  readonly optional: boolean;
  /** True where the minutes are the cook's own, from her Log. */
  readonly own?: boolean;
  /** Most minutes that what it made may wait for what comes next; null where it keeps. */
  readonly holds: number | null;
  /** Minutes of the day from which it runs, where it is under way: nothing may move it. */
  readonly runsFrom?: number | undefined;
  /** Lines that it acts on. */
  readonly lines: readonly number[];
  /** Lines that its words name. */
  readonly mentions: readonly Mentioned[];
}
