/** The recipe's whole text, to be typed in freely. */
export function WholeText({
  text,
  onText,
  onDone,
}: {
  text: string;
  onText: (text: string) => void;
  onDone: () => void;
}) {
  return (
    <section aria-label="Whole text" className="sheet mt-3 p-2">
      <textarea
        aria-label="The recipe's whole text"
        value={text}
        onChange={(e) => onText(e.target.value)}
        onBlur={onDone}
        rows={24}
        spellCheck={false}
        className="field w-full resize-y border-0 font-[inherit] leading-relaxed"
      />
    </section>
  );
}
