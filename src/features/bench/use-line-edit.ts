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
function followed(edit: LineEdit, text: string): LineEdit | null {
  const own = { at: edit.start, was: edit.draft, now: edit.draft };
  const moved = over(own, spliceOf(edit.text, text));
  return moved && { ...edit, start: moved.at, text };
}

/**
 * One line as it was typed, letter by letter. A busy device shows late and writes early, so the text on the screen may
 * be any of those that were typed, an older or a newer one: each knows its own words of the line.
 */
export class TypedLine {
  private readonly byText = new Map<string, LineEdit>();

  constructor(first: LineEdit) {
    this.add(first);
  }

  add(edit: LineEdit): void {
    // what was typed last stands last
    this.byText.delete(edit.text);
    this.byText.set(edit.text, edit);
  }

  /** The line in a text: its own, or one that was changed elsewhere; null where the line itself was changed there. */
  in(text: string): LineEdit | null {
    const own = this.byText.get(text);
    if (own) return own;
    for (const edit of [...this.byText.values()].reverse()) {
      const moved = followed(edit, text);
      if (moved) return moved;
    }
    return null;
  }
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
  const [begun, setBegun] = useState<TypedLine | null>(null);
  const last = useRef<Promise<number | null> | null>(null);
  const edit = begun && doc ? begun.in(doc.text) : null;
  const begin = (start: number, words: string) => {
    if (!doc) return;
    settle();
    last.current = null;
    setBegun(new TypedLine({ start, draft: words, text: doc.text }));
  };
  const type = (words: string) => {
    if (!doc || !edit || !begun) return;
    const draft = oneLine(words);
    const text = withLine(doc.text, edit.start, edit.draft.length, draft);
    begun.add({ start: edit.start, draft, text });
    last.current = change({ text }, 'line');
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
