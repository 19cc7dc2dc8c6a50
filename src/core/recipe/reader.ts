import type { Unit } from '@/core/measure/units';

/** Low, best, high. */
export type Three = readonly [number, number, number];

/** One measure of a line: "2 heaping tbsp", "2 (14.5-oz) cans", "3 large". */
export interface Measure {
  readonly quantity: Three;
  readonly unit: Unit | null;
  /** What "heaping", "about" and the like make of the quantity. */
  readonly factor: Three;
  /** Size word of a piece: small, medium, large, extraLarge. */
  readonly size: string | null;
  /** What one package, or each piece, is said to hold. */
  readonly each: {
    readonly quantity: Three;
    readonly unit: Unit;
    readonly drained: boolean;
    /** Its whole weight is told beside: "(700 g each, 425 drained)". */
    readonly net?: boolean;
  } | null;
  /** Why the readings are what they are. */
  readonly readings: readonly string[];
  /** False where only an article stands: "a", "an". */
  readonly stated: boolean;
  /** Weighed without peel, stone or stalk: "(330 g peeled)". */
  readonly edible?: true;
  /** Weighed without its liquid: "(240 g drained)". */
  readonly drained?: true;
}

/** Measures that add up, and one that says the same amount again. */
export interface Measures {
  readonly measures: readonly Measure[];
  readonly equivalent: Measure | null;
}

export const ONE: Three = [1, 1, 1];
/** Product of readings, end by end. */
export const mul = (a: Three, b: Three): Three => [a[0] * b[0], a[1] * b[1], a[2] * b[2]];

/** A place in a text, in lower case and as written. */
export class Reader {
  at = 0;
  constructor(
    readonly text: string,
    readonly written: string,
  ) {}
  space() {
    while (this.text[this.at] === ' ') this.at += 1;
  }
  skip(pattern: RegExp): boolean {
    pattern.lastIndex = this.at;
    if (!pattern.test(this.text)) return false;
    this.at = pattern.lastIndex;
    return true;
  }
}
