'use client';
import {
  DndContext,
  KeyboardCode,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import type { ReactNode } from 'react';

/** What is moved: meals that stand in one row of a day, or a pot that is cooked then, by their ids. */
export interface Moved {
  readonly ids: readonly string[];
  readonly from: number;
  readonly says: string;
}

/** Up and down go from day to day. */
const fromDayToDay: KeyboardCoordinateGetter = (event, { context, currentCoordinates }) => {
  const step = event.code === KeyboardCode.Down ? 1 : event.code === KeyboardCode.Up ? -1 : 0;
  if (step === 0) return undefined;
  event.preventDefault();
  const days = [...context.droppableContainers.getEnabled()]
    .flatMap((c) => {
      const rect = context.droppableRects.get(c.id);
      return rect ? [rect] : [];
    })
    .sort((a, b) => a.top - b.top);
  const { y } = currentCoordinates;
  const at = days.findIndex((d) => y < d.bottom);
  const next = days[Math.min(Math.max((at < 0 ? days.length - 1 : at) + step, 0), days.length - 1)];
  return next ? { x: currentCoordinates.x, y: next.top + 8 } : undefined;
};

/** Days that meals and pots can be moved between, with the mouse, a finger or the keys. */
export function DragDays({
  dayName,
  onMove,
  children,
}: {
  dayName: (day: number) => string;
  onMove: (moved: Moved, day: number) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // a finger that scrolls is no finger that drags
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: fromDayToDay }),
  );
  const said = (data: unknown) => (data as Moved | undefined)?.says ?? 'the meal';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${said(active.data.current)} is lifted. Up and down choose the day.`,
    onDragOver: ({ over }) => (over ? `over ${dayName(Number(over.id))}` : undefined),
    onDragEnd: ({ active, over }) =>
      over ? `${said(active.data.current)} stands on ${dayName(Number(over.id))}` : 'it stays where it was',
    onDragCancel: () => 'it stays where it was',
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable: 'Space lifts it, up and down choose the day, Space puts it there, Escape leaves it.',
        },
      }}
      onDragEnd={({ active, over }) => {
        const moved = active.data.current as Moved | undefined;
        if (moved && over && Number(over.id) !== moved.from) onMove(moved, Number(over.id));
      }}
    >
      {children}
    </DndContext>
  );
}

/** A day that takes what is put on it. */
export function DropDay({ day, children }: { day: number; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: String(day) });
  return (
    <li ref={setNodeRef} className={`sheet px-4 py-2.5 ${isOver ? 'outline-2 outline-rim' : ''}`}>
      {children}
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
  return (
    <li
      ref={setNodeRef}
      style={transform ? { transform: `translate3d(0, ${transform.y}px, 0)` } : undefined}
      className={`flex items-center gap-2 ${plain ? '' : 'border-t border-hair/60'} py-0.5 ${isDragging ? 'relative z-10 bg-sheet shadow' : ''}`}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="no-print grid size-7 flex-none cursor-grab touch-none place-items-center rounded text-mute hover:bg-pick"
        aria-label={`Move ${moved.says} to another day`}
        {...listeners}
        {...attributes}
      >
        <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden>
          <path d="M7 1v12M4 4l3-3 3 3M4 10l3 3 3-3" fill="none" stroke="currentColor" strokeWidth="1.6" />
        </svg>
      </button>
      {children}
    </li>
  );
}
