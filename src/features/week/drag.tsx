'use client';
import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Active,
} from '@dnd-kit/core';
import type { ReactNode } from 'react';
import { KeyedDays, useComing, useKeyedHandle, type Moved } from './keyed';

const movedBy = (active: Active): Moved | undefined => active.data.current as Moved | undefined;

/** Days that meals and pots can be moved between, with the mouse, a finger or the keys. */
export function DragDays({
  days,
  dayName,
  onMove,
  children,
}: {
  days: number;
  dayName: (day: number) => string;
  onMove: (moved: Moved, day: number) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // a finger that scrolls is no finger that drags
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        screenReaderInstructions: {
          draggable: 'Space lifts it, up and down choose the day, Space puts it there, Escape leaves it.',
        },
      }}
      onDragEnd={({ active, over }) => {
        const moved = movedBy(active);
        const day = over ? Number(over.id) : null;
        if (moved && day !== null && day !== moved.from) onMove(moved, day);
      }}
    >
      <KeyedDays days={days} dayName={dayName} onMove={onMove}>
        {children}
      </KeyedDays>
    </DndContext>
  );
}

/** A day that takes what is put on it. */
export function DropDay({ day, children }: { day: number; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: String(day) });
  const { coming, hold } = useComing(day, setNodeRef);
  return (
    <li
      ref={hold}
      className={`sheet scroll-my-24 px-4 py-2.5 ${isOver || coming ? 'outline-2 outline-rim' : ''}`}
    >
      {children}
      {coming && coming.from !== day && (
        <p className="border-t border-dashed border-rim py-1 text-[13px]">
          <span className="text-mute">Space puts it here:</span> {coming.says}
        </p>
      )}
    </li>
  );
}

/** The handle that a row is moved by; the row goes along. */
export function MoveRow({
  moved,
  plain = false,
  children,
}: {
  moved: Moved;
  /** True for a row without a line above it. */
  plain?: boolean;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useDraggable({
    id: moved.ids.join(' '),
    data: moved,
  });
  const { hold, isLifted, keys } = useKeyedHandle(moved, setActivatorNodeRef);
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translate3d(0, ${transform.y}px, 0)` } : undefined}
      className={`flex items-center gap-2 ${plain ? '' : 'border-t border-hair/60'} py-0.5 ${isDragging || isLifted ? 'relative z-10 bg-sheet shadow' : ''}`}
    >
      <button
        ref={hold}
        type="button"
        className="no-print grid size-7 flex-none cursor-grab touch-none place-items-center rounded text-mute hover:bg-pick"
        aria-label={`Move ${moved.says} to another day`}
        {...listeners}
        {...attributes}
        {...keys}
        aria-pressed={isLifted || isDragging}
      >
        <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden>
          <path d="M7 1v12M4 4l3-3 3 3M4 10l3 3 3-3" fill="none" stroke="currentColor" strokeWidth="1.6" />
        </svg>
      </button>
      {children}
    </li>
  );
}
