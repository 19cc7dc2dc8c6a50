'use client';
import { useRef, useState } from 'react';
import type { StoredRecipe } from '@/data/db';
import { over, spliceOf } from '@/data/splice';
import type { Change } from './use-document';

/** A line being typed: its place in the text and the words so far. */
export interface LineEdit {
  readonly start: number;
  readonly draft: string;
  /** The whole text with the words so far: where it differs, somebody else has changed it. */
  readonly text: string;
}

/** The recipe's text with a stretch of it replaced; a line stays one line. */
export function withLine(text: string, start: number, length: number, draft: string): string {
  return text.slice(0, start) + draft + text.slice(start + length);
}

const oneLine = (words: string) => words.replace(/[\r\n]+/g, ' ');

/** The edit in a text that was changed elsewhere: moved with its line; null where the line itself was changed. */
export function followed(edit: LineEdit, text: string): LineEdit | null {
  if (text === edit.text) return edit;
  const own = { at: edit.start, was: edit.draft, now: edit.draft };
  const moved = over(own, spliceOf(edit.text, text));
  return moved && { ...edit, start: moved.at, text };
}

/**
 * Edits one line in place. The place is fixed while it lasts, so that words which for a moment read as
 * nothing, or as a heading, never carry the typing over to another line; it moves with its line where
 * another tab changes the text around it.
 */
export function useLineEdit(
  doc: StoredRecipe | null,
  change: Change,
  back: (seq: number) => Promise<unknown>,
  settle: () => void,
) {
  const [begun, setBegun] = useState<LineEdit | null>(null);
  const last = useRef<Promise<number | null> | null>(null);
  const edit = begun && doc ? followed(begun, doc.text) : null;
  const begin = (start: number, words: string) => {
    if (!doc) return;
    settle();
    last.current = null;
    setBegun({ start, draft: words, text: doc.text });
  };
  const type = (words: string) => {
    if (!doc || !edit) return;
    const draft = oneLine(words);
    const text = withLine(doc.text, edit.start, edit.draft.length, draft);
    last.current = change({ text }, 'line');
    setBegun({ start: edit.start, draft, text });
  };
  const finish = (cancel: boolean) => {
    if (begun === null) return;
    // nothing was typed: nothing is taken back
    if (cancel) void last.current?.then((seq) => (seq === null ? undefined : back(seq)));
    setBegun(null);
    settle();
  };
  return { edit, begin, type, finish };
}
