import type { ComponentProps, ReactNode } from 'react';

/** A key cap beside the action it does. */
export function Key({ children }: { children: ReactNode }) {
  return (
    <kbd className="ml-1 hidden rounded-[4px] border border-current px-1 text-[11px] font-semibold leading-4 sm:inline-block">
      {children}
    </kbd>
  );
}

type Look = 'solid' | 'line' | 'plain';
const LOOKS: Record<Look, string> = {
  solid: 'bg-rim text-sheet border-rim hover:opacity-90',
  line: 'bg-sheet text-rim border-rim hover:bg-pick',
  plain: 'border-transparent text-rim hover:bg-pick',
};

/** A button in Dulvet's dress; `keys` shows its key. */
export function Button({
  look = 'line',
  keys,
  className = '',
  children,
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: Look; keys?: string }) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-8 items-center gap-1.5 rounded-lg border-[1.5px] px-3 py-1 font-semibold disabled:cursor-default disabled:opacity-45 ${LOOKS[look]} ${className}`}
      {...rest}
    >
      {children}
      {keys && <Key>{keys}</Key>}
    </button>
  );
}
