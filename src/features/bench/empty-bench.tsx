'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { shownTitle } from '@/core/recipe/title';
import { database, type StoredRecipe } from '@/data/db';
import { listLastTouched, restoreRecipe } from '@/data/recipes';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import { NewRecipe } from './new-recipe';

const NOTHING: StoredRecipe[] = [];
const MOST_OFFERED = 5;

/** What to do first, and a sample to try; or, where there are recipes, a place for a new one beside the last ones. */
export function EmptyBench({
  missing,
  onTake,
  onSample,
  onOpen,
}: {
  /** A recipe was asked for that is not here. */
  missing: boolean;
  onTake: (texts: readonly string[]) => Promise<boolean>;
  onSample: () => void;
  onOpen: (id: string) => void;
}) {
  const last = useLiveQuery(() => listLastTouched(database(), MOST_OFFERED), [], null);
  if (!last) return null;
  const empty = last.length === 0;
  return (
    <div className="mx-auto max-w-2xl">
      <h1 className="text-[25px] font-semibold">
        {missing ? 'This recipe is not here' : empty ? 'An empty bench' : 'A new recipe'}
      </h1>
      <p className="mb-4 mt-1 text-mute">
        {missing
          ? 'It was forgotten for good, or the link is from another kitchen. '
          : 'Paste a recipe anywhere on this page, or write one here. Dulvet reads it line by line and says where it goes over.'}
      </p>
      {!empty && (
        <section aria-label="On the shelf" className="mb-4">
          <h2 className="font-semibold">Or go on with one from the shelf</h2>
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {(last ?? NOTHING).map((r) => (
              <li key={r.id}>
                <Button onClick={() => onOpen(r.id)}>{shownTitle(r.text)}</Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="sheet p-4">
        <NewRecipe onTake={onTake} onSample={onSample} />
      </div>
    </div>
  );
}

/** A recipe that was thrown away, here or in another window, while it was open. */
export function Binned({ doc }: { doc: StoredRecipe }) {
  return (
    <div className="mx-auto max-w-2xl">
      <h1 className="text-[25px] font-semibold">{shownTitle(doc.text)}</h1>
      <p className="mb-4 mt-1">This recipe was taken off the shelf. Nothing of it is lost.</p>
      <Button look="solid" onClick={() => void keep('the recipe', () => restoreRecipe(database(), doc.id))}>
        Put it back
      </Button>
      <pre className="sheet mt-4 p-4 whitespace-pre-wrap font-[inherit] text-mute">{doc.text}</pre>
    </div>
  );
}
