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
  rectIntersection,
  type Active,
  type Announcements,
  type CollisionDetection,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { useCallback, useRef, useState, type ReactNode } from 'react';

/** What is moved: meals that stand in one row of a day, or a pot that is cooked then, by their ids. */
export interface Moved {
  readonly ids: readonly string[];
  readonly from: number;
  readonly says: string;
}

const movedBy = (active: Active): Moved | undefined => active.data.current as Moved | undefined;

/**
 * Up and down go from day to day, one at each press, whatever the page scrolls or shows meanwhile: the keys choose a
 * day, not a place on the screen.
 */
function useKeyedDay() {
  // the handlers ask for the day that was chosen last, shown or not
  const chosen = useRef<number | null>(null);
  const [day, setDay] = useState<number | null>(null);
  const choose = useCallback((next: number | null) => {
    chosen.current = next;
    setDay(next);
  }, []);
  const coordinateGetter = useCallback<KeyboardCoordinateGetter>(
    (event, { context, currentCoordinates }) => {
      const step = event.code === KeyboardCode.Down ? 1 : event.code === KeyboardCode.Up ? -1 : 0;
      if (step === 0 || chosen.current === null) return undefined;
      event.preventDefault();
      const days = context.droppableContainers.getEnabled().map((c) => Number(c.id));
      const next = Math.min(Math.max(chosen.current + step, Math.min(...days)), Math.max(...days));
      choose(next);
      const rect = context.droppableRects.get(String(next));
      return { x: currentCoordinates.x, y: rect ? rect.top + 8 : currentCoordinates.y };
    },
    [choose],
  );
  const collisionDetection = useCallback<CollisionDetection>(
    (args) =>
      day === null
        ? rectIntersection(args)
        : args.droppableContainers
            .filter(({ id }) => id === String(day))
            .map((droppableContainer) => ({ id: droppableContainer.id, data: { droppableContainer } })),
    [day],
  );
  return { chosen, choose, coordinateGetter, collisionDetection };
}

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
  const { chosen, choose, coordinateGetter, collisionDetection } = useKeyedDay();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // a finger that scrolls is no finger that drags
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter }),
  );
  const said = (active: Active) => movedBy(active)?.says ?? 'the meal';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${said(active)} is lifted. Up and down choose the day.`,
    onDragOver: ({ over }) => (over ? `over ${dayName(Number(over.id))}` : undefined),
    onDragEnd: ({ active, over }) =>
      over ? `${said(active)} stands on ${dayName(Number(over.id))}` : 'it stays where it was',
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
      collisionDetection={collisionDetection}
      onDragStart={({ active, activatorEvent }) =>
        choose(activatorEvent instanceof KeyboardEvent ? (movedBy(active)?.from ?? null) : null)
      }
      onDragEnd={({ active, over }) => {
        const moved = movedBy(active);
        const day = chosen.current ?? (over ? Number(over.id) : null);
        if (moved && day !== null && day !== moved.from) onMove(moved, day);
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
