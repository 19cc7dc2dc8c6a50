'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactNode,
} from 'react';

/** What is moved: meals that stand in one row of a day, or a pot that is cooked then, by their ids. */
export interface Moved {
  readonly ids: readonly string[];
  readonly from: number;
  readonly says: string;
}

interface Keys {
  /** What is lifted by keys and the day that is chosen for it. */
  readonly lifted: { readonly moved: Moved; readonly day: number } | null;
  readonly press: (moved: Moved, event: KeyboardEvent) => void;
  /** Leaves it where it was: the focus is gone. */
  readonly leave: () => void;
  /** What was put down and whose handle has the focus when it is shown again. */
  readonly returning: string | null;
  readonly arrived: () => void;
}

const KeysContext = createContext<Keys>({
  lifted: null,
  press: () => undefined,
  leave: () => undefined,
  returning: null,
  arrived: () => undefined,
});

const STEPS: Readonly<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1 };

/**
 * Moving by keys: Space lifts, Up and Down choose a day, one at each press, Space or Enter puts it there, Escape or
 * going elsewhere leaves it. Days are chosen, not places on the screen, so nothing that scrolls or loads comes between.
 */
export function KeyedDays({
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
  const [lifted, setLifted] = useState<Keys['lifted']>(null);
  const [said, say] = useState('');
  const [returning, setReturning] = useState<string | null>(null);
  const leave = () => {
    if (lifted) say('It stays where it was.');
    setLifted(null);
  };
  const press = (moved: Moved, event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!lifted && event.key !== ' ' && event.key !== 'Enter') return;
    if (event.key === 'Tab') return;
    event.preventDefault();
    event.stopPropagation();
    if (!lifted) {
      setLifted({ moved, day: moved.from });
      say(`${moved.says} is lifted, over ${dayName(moved.from)}. Up and down choose the day.`);
    } else if (step !== undefined) {
      const day = Math.min(Math.max(lifted.day + step, 0), days - 1);
      setLifted({ moved, day });
      say(`over ${dayName(day)}`);
    } else if (event.key === 'Escape') leave();
    else if (event.key === ' ' || event.key === 'Enter') {
      setLifted(null);
      if (lifted.day === moved.from) return say('It stays where it was.');
      setReturning(moved.ids[0] ?? null);
      say(`${moved.says} stands on ${dayName(lifted.day)}.`);
      onMove(moved, lifted.day);
    }
  };
  return (
    <KeysContext.Provider value={{ lifted, press, leave, returning, arrived: () => setReturning(null) }}>
      {children}
      <p role="status" className="sr-only">
        {said}
      </p>
    </KeysContext.Provider>
  );
}

/** What the keys would put on a day, and a hold on its place so that it is on the screen then. */
export function useComing(day: number, held: (place: HTMLElement | null) => void) {
  const { lifted } = useContext(KeysContext);
  const place = useRef<HTMLElement | null>(null);
  const coming = lifted?.day === day ? lifted.moved : null;
  const comes = coming !== null;
  useEffect(() => {
    if (comes) place.current?.scrollIntoView({ block: 'nearest' });
  }, [comes]);
  const hold = useCallback(
    (element: HTMLElement | null) => {
      held(element);
      place.current = element;
    },
    [held],
  );
  return { coming, hold };
}

/** The keys of a handle that moves something. */
export function useKeyedHandle(moved: Moved, held: (handle: HTMLElement | null) => void) {
  const { lifted, press, leave, returning, arrived } = useContext(KeysContext);
  const handle = useRef<HTMLElement | null>(null);
  const mounted = useRef(false);
  const own = lifted?.moved.ids.join() === moved.ids.join();
  const [first] = moved.ids;
  // a row that was put on another day is another row: the focus goes along
  useEffect(() => {
    if (!mounted.current && returning !== null && returning === first) {
      handle.current?.focus();
      arrived();
    }
    mounted.current = true;
  }, [first, returning, arrived]);
  const hold = useCallback(
    (element: HTMLElement | null) => {
      held(element);
      handle.current = element;
    },
    [held],
  );
  return {
    hold,
    isLifted: own,
    keys: {
      onKeyDown: (event: KeyboardEvent) => press(moved, event),
      onBlur: () => {
        if (own) leave();
      },
    },
  };
}
