'use client';
import { DropdownMenu } from 'radix-ui';
import { Button } from '@/ui/button';

const ITEM =
  'flex min-h-9 cursor-pointer items-center rounded-[7px] px-3 outline-none data-[highlighted]:bg-pick';

/** What can be done with a recipe of the Shelf. */
export function RowMenu({
  title,
  onCopy,
  onJoin,
  onRemove,
}: {
  title: string;
  onCopy: () => void;
  onJoin: () => void;
  onRemove: () => void;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="plain" aria-label={`More for ${title}`} className="min-h-9 min-w-9 justify-center">
          …
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="sheet z-40 min-w-[180px] bg-sheet p-1">
          <DropdownMenu.Item className={ITEM} onSelect={onCopy}>
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onJoin}>
            Join with another
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onRemove}>
            Remove
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
