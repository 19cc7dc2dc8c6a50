import { NewRecipe } from './new-recipe';

/** What to do first, and a sample to try. */
export function EmptyBench({
  onTake,
  onSample,
}: {
  onTake: (texts: readonly string[]) => void;
  onSample: () => void;
}) {
  return (
    <div className="mx-auto max-w-2xl">
      <h1 className="text-[25px] font-semibold">An empty bench</h1>
      <p className="mb-4 mt-1 text-mute">
        Paste a recipe anywhere on this page, or write one here. Dulvet reads it line by line and says where
        it goes over.
      </p>
      <div className="sheet p-4">
        <NewRecipe onTake={onTake} onSample={onSample} />
      </div>
    </div>
  );
}
