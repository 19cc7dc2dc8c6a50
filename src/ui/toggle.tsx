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

/** A group of which one is pressed, under its name. */
export function Toggles<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly (readonly [T, string])[];
  value: T;
  onChange: (value: T) => void;
}) {
  return (
    <div role="group" aria-label={label} className="grid gap-0.5">
      <span aria-hidden className="text-[13px] text-mute">
        {label}
      </span>
      <div className="flex flex-wrap gap-1">
        {options.map(([id, name]) => (
          <Toggle key={id} pressed={id === value} onPress={() => onChange(id)}>
            {name}
          </Toggle>
        ))}
      </div>
    </div>
  );
}
