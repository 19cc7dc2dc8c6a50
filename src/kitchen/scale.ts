/** A kitchen scale as Dulvet speaks with one: what it shows, and its one button. */
export interface Scale {
  readonly grams: () => number;
  readonly tare: () => void;
  /** Told whenever what it shows changes. */
  readonly subscribe: (listener: () => void) => () => void;
}

/** A scale that stands in for a real one: what lies on it is said rather than felt. */
export interface SimulatedScale extends Scale {
  readonly put: (grams: number) => void;
}

/** What a kitchen scale can carry, and the steps it shows. */
export const MOST_ON_SCALE = 10_000;
const STEP = 1;

/** A simulated scale: shows whole grams above its tare. */
export function simulatedScale(): SimulatedScale {
  let load = 0;
  let zero = 0;
  const listeners = new Set<() => void>();
  const tell = () => listeners.forEach((l) => l());
  return {
    grams: () => Math.round((load - zero) / STEP) * STEP,
    tare() {
      zero = load;
      tell();
    },
    put(grams) {
      load = Math.min(MOST_ON_SCALE, Math.max(0, grams));
      tell();
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
