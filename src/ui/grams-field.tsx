/** A small field for grams, under its name. */
export function GramsField({
  label,
  value,
  onValue,
}: {
  label: string;
  value: string;
  onValue: (value: string) => void;
}) {
  return (
    <label className="flex flex-col text-[13px] text-mute">
      {label}
      <input
        className="field w-[110px] text-ink"
        inputMode="numeric"
        value={value}
        onChange={(e) => onValue(e.target.value)}
      />
    </label>
  );
}
