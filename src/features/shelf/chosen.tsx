'use client';
import { useState, type ReactNode } from 'react';
import { Button } from '@/ui/button';

/** What can be done with several recipes at once. */
export function Chosen({
  count,
  shown,
  tags,
  onAll,
  onNone,
  onTag,
  onUntag,
  onSave,
  onRemove,
  children,
}: {
  count: number;
  /** How many are looked for: all of them can be chosen. */
  shown: number;
  /** Tags that some of the chosen have. */
  tags: readonly string[];
  onAll: () => void;
  onNone: () => void;
  onTag: (tag: string) => void;
  onUntag: (tag: string) => void;
  onSave: () => void;
  onRemove: () => void;
  children: ReactNode;
}) {
  const [tag, setTag] = useState('');
  const give = () => {
    const words = tag.trim().slice(0, 40);
    if (!words) return;
    onTag(words);
    setTag('');
  };
  return (
    <section
      aria-label="Chosen recipes"
      className="no-print sheet sticky bottom-2 z-10 mt-3 flex flex-wrap items-center gap-2 px-3 py-2"
    >
      <b className="font-semibold" role="status">
        {count === 1 ? 'One recipe chosen' : `${count} recipes chosen`}
      </b>
      {count < shown && (
        <Button look="plain" onClick={onAll}>
          Choose all {shown}
        </Button>
      )}
      <Button look="plain" onClick={onNone}>
        Choose none
      </Button>
      <form
        className="flex items-center gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          give();
        }}
      >
        <input
          className="field w-[130px]"
          value={tag}
          maxLength={40}
          onChange={(e) => setTag(e.target.value)}
          placeholder="weekday"
          aria-label="Tag for the chosen"
        />
        <Button type="submit" disabled={!tag.trim()}>
          Tag
        </Button>
      </form>
      {tags.map((t) => (
        <Button key={t} look="plain" onClick={() => onUntag(t)} aria-label={`Take the tag ${t} off`}>
          {t} ×
        </Button>
      ))}
      <span className="ml-auto flex gap-2">
        <Button onClick={onSave}>Save to a file</Button>
        <Button onClick={onRemove}>Take off the shelf</Button>
      </span>
      {children}
    </section>
  );
}
