import type { Solve } from './adapt';

/** What is used of HiGHS; its loader differs between the browser, the server and the command line. */
export interface Highs {
  readonly solve: (
    lp: string,
    options?: {
      mip_rel_gap?: number;
      mip_abs_gap?: number;
      mip_feasibility_tolerance?: number;
      time_limit?: number;
      output_flag?: boolean;
    },
  ) => { readonly Status: string; readonly Columns: Readonly<Record<string, object>> };
}

const SECONDS = 10;

const primal = (column: object | undefined): number =>
  column && 'Primal' in column && typeof column.Primal === 'number' ? column.Primal : 0;

/** HiGHS as the solver of a plan's programme: to proven optimality, or as far as ten seconds go. */
export function solverOf(highs: Highs): Solve {
  const answer = (lp: string, gap: number) => {
    try {
      return highs.solve(lp, {
        mip_rel_gap: 0,
        mip_abs_gap: Math.max(gap, 1e-9),
        mip_feasibility_tolerance: 1e-9,
        time_limit: SECONDS,
        output_flag: false,
      });
    } catch {
      // numbers it cannot work with to that tolerance: no answer is better than a loose one
      return null;
    }
  };
  return (lp, gap = 0) => {
    const found = answer(lp, gap);
    if (!found) return null;
    const { Status, Columns } = found;
    const some = Object.keys(Columns).some((name) => primal(Columns[name]) > 0.5);
    if (Status !== 'Optimal' && !(Status === 'Time limit reached' && some)) return null;
    return (name) => primal(Columns[name]);
  };
}
