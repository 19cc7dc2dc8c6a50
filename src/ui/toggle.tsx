import type { ReactNode } from 'react';

/** One of a group's buttons; the pressed one has the rim. */
export function Toggle({
  pressed,
  onPress,
  bold = true,
  className = 'px-2.5',
  children,
}: {
  pressed: boolean;
  onPress: () => void;
  /** False where the pressed one keeps its weight. */
  bold?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      className={`min-h-8 rounded-lg border-2 ${pressed ? `border-rim ${bold ? 'font-semibold' : ''}` : 'border-hair'} ${className}`}
    >
      {children}
    </button>
  );
}
