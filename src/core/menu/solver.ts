import type { Highs } from '@/core/adapt/solver';
import type { Answer, Solver } from './plan';

const primal = (column: object | undefined): number =>
  column && 'Primal' in column && typeof column.Primal === 'number' ? column.Primal : 0;

const NONE: Omit<Answer, 'status'> = { value: () => 0, objective: 0, bound: null };

const BOUND = /Dual bound\s+(-?[\d.e+]+)/;

/**
 * HiGHS as the solver of a menu: to proven optimality, or as far as its seconds go.
 *
 * @param log rows that it has printed since the program began; its bound stands only there
 */
export function menuSolver(highs: Highs, log: string[]): Solver {
  return (lp, seconds) => {
    let found: ReturnType<Highs['solve']>;
    log.length = 0;
    try {
      found = highs.solve(lp, { time_limit: seconds, mip_rel_gap: 0.001, output_flag: true });
    } catch {
      return { status: 'late', ...NONE };
    }
    const { Status, Columns } = found;
    const value = (name: string) => primal(Columns[name]);
    const objective = 'ObjectiveValue' in found ? Number(found.ObjectiveValue) : 0;
    const said = log.map((row) => BOUND.exec(row)?.[1]).find((n) => n !== undefined);
    const bound = said === undefined ? null : Number(said);
    if (Status === 'Optimal') return { status: 'optimal', value, objective, bound: objective };
    if (Status === 'Infeasible') return { status: 'none', ...NONE };
    const some = Object.keys(Columns).some((name) => primal(Columns[name]) > 0.5);
    return Status === 'Time limit reached' && some
      ? { status: 'found', value, objective, bound }
      : { status: 'late', ...NONE };
  };
}
