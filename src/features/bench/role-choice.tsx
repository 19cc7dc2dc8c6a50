import type { ReadLine } from '@/core/read/types';
import { rolesOf, type DishRole } from '@/core/swap/roles';

/** What the food does in the dish, with the words that say so; the cook may overrule it. */
export function RoleChoice({
  read,
  role,
  onRole,
}: {
  read: ReadLine;
  role: DishRole;
  onRole: (role: string | null) => void;
}) {
  const kind = read.foods[0]?.food?.kind;
  const roles = kind ? rolesOf(kind) : [];
  if (roles.length === 0) return null;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-x-2 gap-y-1 text-[13px]">
      <label className="flex items-center gap-2">
        <span className="text-mute">It is there for</span>
        <select
          className="field py-0.5 text-[13px]"
          value={read.role ?? ''}
          onChange={(e) => onRole(e.target.value || null)}
        >
          <option value="">{read.role === null ? role.label : 'what Dulvet reads'}</option>
          {roles
            .filter((r) => r.id === read.role || r.id !== role.id)
            .map((r) => (
              <option key={r.id} value={r.id}>
                {r.label}
              </option>
            ))}
        </select>
      </label>
      <span className="text-mute">{role.evidence}</span>
    </p>
  );
}
