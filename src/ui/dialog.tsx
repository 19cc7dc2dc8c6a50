'use client';
import { Dialog as Radix } from 'radix-ui';
import { useRef, type ReactNode } from 'react';
import { Button } from './button';

/** A sheet over the page: Radix's dialog in Dulvet's dress. */
export function Dialog({
  open,
  onOpenChange,
  title,
  says,
  children,
  wide = false,
  onPaper = true,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  says?: string;
  children: ReactNode;
  /** A wider sheet; `table` for what stands in many columns. */
  wide?: boolean | 'table';
  /** False where the name is no part of what is printed. */
  onPaper?: boolean;
}) {
  // a sheet opened by a key has no trigger that Radix would give the focus back to
  const before = useRef<Element | null>(null);
  const giveBack = (event: Event) => {
    event.preventDefault();
    const place = before.current;
    const target =
      place instanceof HTMLElement && place.isConnected && place !== document.body
        ? place
        : document.getElementById('main');
    target?.focus();
  };
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="no-print fixed inset-0 z-40 bg-rim-deep/60" />
        <Radix.Content
          onOpenAutoFocus={() => {
            before.current = document.activeElement;
          }}
          onCloseAutoFocus={giveBack}
          {...(says ? {} : { 'aria-describedby': undefined })}
          className={`sheet fixed left-1/2 top-1/2 z-50 max-h-[92dvh] w-[calc(100vw-20px)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5 ${wide === 'table' ? 'max-w-5xl' : wide ? 'max-w-3xl' : 'max-w-lg'}`}
        >
          <div className={`mb-3 flex items-start justify-between gap-4 ${onPaper ? '' : 'no-print'}`}>
            <div>
              <Radix.Title className="text-xl font-semibold leading-tight">{title}</Radix.Title>
              {says && <Radix.Description className="mt-1 text-mute">{says}</Radix.Description>}
            </div>
            <Radix.Close asChild>
              <Button look="plain" keys="Esc" className="no-print">
                Close
              </Button>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
