import { useMemo } from 'react';
import { dishOf, isComplete } from '@/core/audit/dish';
import { headroom, inSpoons, lessOf } from '@/core/audit/headroom';
import type { Protocol, RoleId } from '@/core/protocol';
import type { ReadRecipe } from '@/core/read/types';
import { shortLabel } from '@/kitchen/words';

/** More of one thing than anybody adds at the stove, grams a plate. */
const PLENTY_G = 150;

const FRACTIONS: readonly (readonly [number, string])[] = [
  [0.875, 'seven eighths'],
  [0.75, 'three quarters'],
  [0.6667, 'two thirds'],
  [0.5, 'half'],
  [0.3333, 'a third'],
  [0.25, 'a quarter'],
  [0.125, 'an eighth'],
];

/** A share that is never more than the true one. */
const shareWords = (keep: number) =>
  FRACTIONS.find(([share]) => share <= keep + 1e-6)?.[1] ?? (keep > 0.02 ? 'a pinch' : 'none');

/** How much more of a thing the dish takes until the first limit, and of which line less is enough. */
export function Room({
  read,
  protocol,
  role,
  plate,
  onSelect,
}: {
  read: ReadRecipe;
  protocol: Protocol;
  role: RoleId;
  plate: number;
  onSelect: (line: number) => void;
}) {
  const found = useMemo(() => {
    const dish = dishOf(read, plate);
    if (!isComplete(dish)) return null;
    return { rooms: headroom(protocol, role, dish), less: lessOf(protocol, role, dish) };
  }, [read, protocol, role, plate]);
  if (!found) return null;
  const { rooms, less } = found;
  const more = rooms.flatMap((r) => {
    const some = r.grams > 0 && r.grams < PLENTY_G * read.servings.range.best;
    const measure = some ? inSpoons(r.food, r.grams) : null;
    return measure ? [{ ...r, measure }] : [];
  });
  const none = rooms.filter((r) => r.grams === 0).length;
  return (
    <>
      {less.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Less of one of these is enough</h3>
          <ul className="mt-0.5 space-y-0.5">
            {less.map(({ line, keep }) => (
              <li key={line}>
                <button
                  type="button"
                  onClick={() => onSelect(line)}
                  className="min-h-6 text-left underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
                >
                  {keep > 0.02 ? `${shareWords(keep)} of` : 'without'} “{read.lines[line]?.line.text}”
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {more.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Room in the pot for</h3>
          <ul className="num mt-0.5">
            {more.map(({ food, measure, limit }) => (
              <li key={food.id}>
                {measure} {food.name.toLowerCase()}
                {limit && <span className="text-mute">, then {shortLabel(limit).toLowerCase()}</span>}
              </li>
            ))}
          </ul>
          <p className="text-[12.5px] text-mute">
            One of them, at the worst end of every range.
            {none > 0 &&
              ` No room for ${rooms
                .filter((r) => r.grams === 0)
                .map((r) => r.food.name.toLowerCase())
                .join(', ')}.`}
          </p>
        </section>
      )}
    </>
  );
}
