import { Button } from '@/ui/button';
import { fileName, saveFile } from '@/ui/save-file';

interface BenchActionsProps {
  title: string;
  text: string;
  wholeText: boolean;
  canUndo: boolean;
  canRedo: boolean;
  onNew: () => void;
  onCard: () => void;
  onWholeText: () => void;
  onUndo: () => void;
  onRedo: () => void;
}

/** What can be done with the open recipe as a whole. */
export function BenchActions({
  title,
  text,
  wholeText,
  canUndo,
  canRedo,
  onNew,
  onCard,
  onWholeText,
  onUndo,
  onRedo,
}: BenchActionsProps) {
  return (
    <div className="no-print mt-2 flex flex-wrap gap-1">
      <Button look="plain" keys="N" onClick={onNew}>
        New recipe
      </Button>
      <Button look="plain" keys="T" aria-pressed={wholeText} onClick={onWholeText}>
        {wholeText ? 'Lines' : 'Whole text'}
      </Button>
      <Button look="plain" keys="Ctrl Z" disabled={!canUndo} onClick={onUndo}>
        Undo
      </Button>
      <Button look="plain" disabled={!canRedo} onClick={onRedo}>
        Redo
      </Button>
      <Button look="plain" onClick={() => saveFile(`${fileName(title)}.md`, 'text/markdown', text)}>
        Save as text
      </Button>
      <Button look="plain" onClick={onCard}>
        Recipe card
      </Button>
      <Button look="plain" onClick={() => window.print()}>
        Print
      </Button>
    </div>
  );
}
