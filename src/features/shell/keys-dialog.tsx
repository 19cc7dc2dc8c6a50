import { Dialog } from '@/ui/dialog';

const GROUPS: readonly { name: string; keys: readonly (readonly [string, string])[] }[] = [
  {
    name: 'Everywhere',
    keys: [
      ['1', 'Bench'],
      ['2', 'Shelf'],
      ['3', 'Stove'],
      ['4', 'Week'],
      ['5', 'Larder'],
      ['6', 'Rules'],
      ['7', 'Log'],
      ['Ctrl K', 'Find a recipe, a food, a place'],
      [',', 'Settings'],
      ['H', 'How to read this'],
      ['?', 'These keys'],
      ['Ctrl V', 'Paste a recipe and audit it'],
    ],
  },
  {
    name: 'On the Bench',
    keys: [
      ['↑ ↓', 'Choose a line'],
      ['E', "Edit the line's words"],
      ['F', 'Correct how it was read'],
      ['S', 'Next swap in the list'],
      ['A', 'Apply the chosen swap or plan'],
      ['C', 'The line must change: plans that change it'],
      ['L', 'The least change that fits'],
      ['V', 'Versions side by side'],
      ['W', 'Why these numbers'],
      ['D', 'Next diner'],
      ['+ −', 'More or fewer servings'],
      ['T', 'The whole text'],
      ['N', 'New recipe'],
      ['Esc', 'Let go of the line'],
    ],
  },
  {
    name: 'On the Stove',
    keys: [
      ['← →', 'The step before, the next'],
      ['Enter', 'Done'],
      ['T', 'Time it'],
      ['M', 'Five minutes more'],
    ],
  },
  {
    name: 'In the Larder',
    keys: [
      ['/', 'Search'],
      ['↑ ↓', 'Choose a food'],
      ['P', 'New packet'],
      ['C', 'Put it beside others'],
    ],
  },
  {
    name: 'Undo',
    keys: [
      ['Ctrl Z', 'Undo'],
      ['Ctrl Shift Z', 'Redo'],
    ],
  },
];

/** All keys, in words. */
export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys" says="Every action on the Bench has one.">
      <div className="grid gap-4 sm:grid-cols-2">
        {GROUPS.map((group) => (
          <section key={group.name}>
            <h3 className="mb-1 font-semibold">{group.name}</h3>
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
              {group.keys.map(([key, what]) => (
                <div key={key} className="contents">
                  <dt>
                    <kbd className="rounded border border-hair px-1.5 text-[12px] font-semibold">{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Dialog>
  );
}
