'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { titleOf } from '@/core/recipe/title';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, rootOf } from '@/data/recipes';

const NONE: StoredRecipe[] = [];

/** The recipe that this one is a version of, and its other versions. */
export function Kin({ doc }: { doc: StoredRecipe }) {
  const root = rootOf(doc);
  const kin = useLiveQuery(
    async () => (await listRecipes(database())).filter((r) => r.id !== doc.id && rootOf(r) === root),
    [doc.id, root],
    NONE,
  );
  if (kin.length === 0) return null;
  return (
    <section className="mt-3">
      <h3 className="font-semibold">
        {doc.versionOf === null ? 'Its versions' : 'A version; the others are'}
      </h3>
      <ul className="mt-0.5 space-y-0.5">
        {kin.map((r) => (
          <li key={r.id}>
            <Link
              href={`/?recipe=${r.id}`}
              className="underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
            >
              {titleOf(r.text)}
            </Link>
            {r.id === root && <span className="text-[13px] text-mute"> as it was written</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}
