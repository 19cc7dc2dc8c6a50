'use client';
import { useState } from 'react';
import type { StoredRecipe } from '@/data/db';

/** A line being typed: its place in the text and the words so far. */
export interface LineEdit {
  readonly start: number;
  readonly draft: string;
  /** False until a key has changed something: letting go then undoes nothing. */
  readonly changed: boolean;
}

/** The recipe's text with a stretch of it replaced; a line stays one line. */
export function withLine(text: string, start: number, length: number, draft: string): string {
  return text.slice(0, start) + draft + text.slice(start + length);
}

const oneLine = (words: string) => words.replace(/[\r\n]+/g, ' ');

/**
 * Edits one line in place. The place is fixed while it lasts, so that words which for a moment read as
 * nothing, or as a heading, never carry the typing over to another line.
 */
export function useLineEdit(
  doc: StoredRecipe | null,
  change: (patch: { text: string }, key: string) => void,
  undo: () => void,
  settle: () => void,
) {
  const [edit, setEdit] = useState<LineEdit | null>(null);
  const begin = (start: number, text: string) => setEdit({ start, draft: text, changed: false });
  const type = (words: string) => {
    if (!doc || !edit) return;
    const draft = oneLine(words);
    change({ text: withLine(doc.text, edit.start, edit.draft.length, draft) }, `line-${edit.start}`);
    setEdit({ ...edit, draft, changed: true });
  };
  const finish = (cancel: boolean) => {
    if (edit === null) return;
    if (cancel && edit.changed) undo();
    setEdit(null);
    settle();
  };
  return { edit, begin, type, finish };
}
