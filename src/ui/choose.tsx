import type { ReactNode } from 'react';

/** A choice out of a list, under its name. */
export function Choose({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <label className="grid gap-0.5 text-[13px] text-mute">
      {label}
      <select className="field text-ink" value={value} onChange={(e) => onChange(e.target.value)}>
        {children}
      </select>
    </label>
  );
}
