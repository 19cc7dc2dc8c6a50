/** Nothing is known of how far one lies behind the other. */
export const NONE = -1e9;

/**
 * Times that must lie so and so far apart, all of them at once: `at(a, b)` is the least by which b comes after a, and
 * follows from all that was said. A square matrix of longest paths, kept closed as arcs are added.
 */
export class Network {
  readonly size: number;
  private readonly lags: Float64Array;

  constructor(size: number, lags?: Float64Array) {
    this.size = size;
    this.lags = lags ?? new Float64Array(size * size).fill(NONE);
    if (!lags) for (let i = 0; i < size; i += 1) this.lags[i * size + i] = 0;
  }

  at(a: number, b: number): number {
    return this.lags[a * this.size + b] as number;
  }

  copy(): Network {
    return new Network(this.size, Float64Array.from(this.lags));
  }

  /** Says that b comes at least `lag` after a; false where that contradicts what was said before. */
  add(a: number, b: number, lag: number): boolean {
    const { size, lags } = this;
    if ((lags[a * size + b] as number) >= lag) return true;
    if ((lags[b * size + a] as number) + lag > 0) return false;
    for (let i = 0; i < size; i += 1) {
      const first = lags[i * size + a] as number;
      if (first <= NONE) continue;
      const through = first + lag;
      for (let j = 0; j < size; j += 1) {
        const rest = lags[b * size + j] as number;
        if (rest > NONE && through + rest > (lags[i * size + j] as number))
          lags[i * size + j] = through + rest;
      }
    }
    return true;
  }
}
