'use client';
import { rowQuestions } from '@/core/read/questions';
import type { ReadRecipe } from '@/core/read/types';
import type { RowKind, UnsureRow } from '@/core/recipe/row-kind';
import { Button } from '@/ui/button';

const WORDS: Readonly<Record<RowKind, string>> = {
  title: 'The dish’s name',
  heading: 'A heading',
  food: 'A food',
  step: 'A step',
  note: 'A note',
};
const TAKEN: Readonly<Record<RowKind, string>> = {
  title: 'read as the dish’s name',
  heading: 'read as a heading: nothing of it counts',
  food: 'read as a food that is not understood',
  step: 'read as a step',
  note: 'read as a note',
};
/** More at once would push the list out of sight. */
const MOST = 3;

/** Rows that might be something else than what they were read as: one tap says which. */
export function UnsureRows({
  read,
  onSay,
}: {
  read: ReadRecipe;
  onSay: (row: UnsureRow, kind: RowKind) => void;
}) {
  const questions = rowQuestions(read);
  if (questions.length === 0) return null;
  return (
    <section aria-label="Rows to ask about" className="sheet mt-3 px-3 py-2">
      <ul>
        {questions.slice(0, MOST).map(({ row, may }) => (
          <li key={row.start} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
            <span className="min-w-0 [overflow-wrap:anywhere]">
              What is “<b className="font-semibold">{row.text}</b>”?{' '}
              <span className="text-[13px] text-mute">{TAKEN[row.taken]}</span>
            </span>
            <span role="group" aria-label={`What is “${row.text}”`} className="flex flex-wrap gap-1.5">
              {may.map((kind) => (
                <Button key={kind} look="line" onClick={() => onSay(row, kind)}>
                  {WORDS[kind]}
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {questions.length > MOST && (
        <p className="text-[13px] text-mute">and {questions.length - MOST} more after these</p>
      )}
    </section>
  );
}
