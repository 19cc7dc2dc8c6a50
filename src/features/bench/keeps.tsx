/** How near taste, texture and look stay, 0–1. */
export interface KeepsOf {
  readonly taste: number;
  readonly texture: number;
  readonly look: number;
}

const SENSES = ['taste', 'texture', 'look'] as const;
const WORDS = [
  [0.85, 'stays'],
  [0.65, 'stays near'],
  [0.45, 'changes'],
  [0, 'is another'],
] as const;
const wordFor = (n: number) => WORDS.find(([from]) => n >= from)?.[1] ?? 'is another';

/** Taste, texture and look apart: a bar each, in words for who does not see it. */
export function Keeps({ keeps, because }: { keeps: KeepsOf; because: string }) {
  return (
    <div className="text-[13px]">
      <ul className="flex flex-wrap gap-x-3.5">
        {SENSES.map((sense) => (
          <li key={sense} className="flex items-center gap-1.5">
            {sense}
            <span className="sr-only">{wordFor(keeps[sense])}</span>
            <span
              aria-hidden
              title={`${sense} ${wordFor(keeps[sense])}`}
              className="h-[7px] w-9 rounded-[2px] border border-rim"
            >
              <span
                className="block h-full bg-within-soft"
                style={{ width: `${Math.round(keeps[sense] * 100)}%` }}
              />
            </span>
          </li>
        ))}
      </ul>
      {because && <p className="text-mute">{because}</p>}
    </div>
  );
}
