import { titleOf } from '@/core/recipe/title';
import type { StoredRecipe } from '@/data/db';
import { Button } from '@/ui/button';
import { fileName, saveFile } from '@/ui/save-file';
import type { Unsaved } from './use-document';

/** What is on the screen and could not be kept: why, and the ways out. */
export function NotKept({
  unsaved,
  doc,
  onRetry,
  onKeepAsNew,
}: {
  unsaved: Unsaved;
  doc: StoredRecipe;
  onRetry: () => void;
  onKeepAsNew: () => void;
}) {
  return (
    <div role="alert" className="sheet mb-3 flex flex-wrap items-center justify-between gap-2 px-3.5 py-2.5">
      <p className="min-w-0">
        <b className="font-semibold text-over">Not kept:</b> {unsaved.why.replace(/[.]$/, '')}. Your words are
        still here, on this page alone.
      </p>
      <div className="flex flex-wrap gap-1.5">
        {unsaved.gone ? (
          <Button onClick={onKeepAsNew}>Keep it as a new recipe</Button>
        ) : (
          <Button onClick={onRetry}>Try again</Button>
        )}
        <Button
          look="plain"
          onClick={() => saveFile(`${fileName(titleOf(doc.text))}.md`, 'text/markdown', doc.text)}
        >
          Save as text
        </Button>
      </div>
    </div>
  );
}
