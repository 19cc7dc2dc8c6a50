'use client';
import { useCallback, useEffect, useReducer, useRef } from 'react';
import { database, type StoredRecipe } from '@/data/db';
import { getRecipe, saveRecipe } from '@/data/recipes';

type Patch = Partial<Pick<StoredRecipe, 'text' | 'role' | 'servings' | 'corrections' | 'potG' | 'plateG'>>;

interface State {
  readonly doc: StoredRecipe | null;
  readonly status: 'loading' | 'ready' | 'missing';
  readonly past: readonly StoredRecipe[];
  readonly future: readonly StoredRecipe[];
  /** Edits with the same key are one step of undo. */
  readonly key: string | null;
}

type Action =
  | { type: 'load'; doc: StoredRecipe | null }
  | { type: 'change'; patch: Patch; key: string | null; now: number }
  | { type: 'undo'; now: number }
  | { type: 'redo'; now: number }
  | { type: 'settle' };

const START: State = { doc: null, status: 'loading', past: [], future: [], key: null };
const MOST_STEPS = 300;

function reduce(state: State, action: Action): State {
  switch (action.type) {
    case 'load':
      return { ...START, doc: action.doc, status: action.doc ? 'ready' : 'missing' };
    case 'change': {
      if (!state.doc) return state;
      const doc = { ...state.doc, ...action.patch, updatedAt: action.now };
      const joined = action.key !== null && action.key === state.key;
      return {
        ...state,
        doc,
        past: joined ? state.past : [...state.past, state.doc].slice(-MOST_STEPS),
        future: [],
        key: action.key,
      };
    }
    case 'undo': {
      const before = state.past.at(-1);
      if (!before || !state.doc) return state;
      return {
        ...state,
        doc: { ...before, updatedAt: action.now },
        past: state.past.slice(0, -1),
        future: [state.doc, ...state.future],
        key: null,
      };
    }
    case 'redo': {
      const [next, ...future] = state.future;
      if (!next || !state.doc) return state;
      return {
        ...state,
        doc: { ...next, updatedAt: action.now },
        past: [...state.past, state.doc],
        future,
        key: null,
      };
    }
    case 'settle':
      return { ...state, key: null };
  }
}

/**
 * The open recipe as one immutable document with undo. Every change is saved as it is made; edits with
 * the same key (one line being typed) are one step.
 */
export function useDocument(id: string | null) {
  const [state, dispatch] = useReducer(reduce, START);
  const loaded = useRef<StoredRecipe | null>(null);
  useEffect(() => {
    let current = true;
    const load = async () => {
      const doc = id ? ((await getRecipe(database(), id)) ?? null) : null;
      if (!current) return;
      loaded.current = doc;
      dispatch({ type: 'load', doc: doc?.deletedAt === null ? doc : null });
    };
    void load();
    return () => {
      current = false;
    };
  }, [id]);
  useEffect(() => {
    if (!state.doc || state.doc === loaded.current) return;
    loaded.current = state.doc;
    void saveRecipe(database(), state.doc);
  }, [state.doc]);
  const change = useCallback(
    (patch: Patch, key: string | null = null) => dispatch({ type: 'change', patch, key, now: Date.now() }),
    [],
  );
  const undo = useCallback(() => dispatch({ type: 'undo', now: Date.now() }), []);
  const redo = useCallback(() => dispatch({ type: 'redo', now: Date.now() }), []);
  const settle = useCallback(() => dispatch({ type: 'settle' }), []);
  return {
    doc: state.doc,
    status: state.status,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change,
    undo,
    redo,
    settle,
  };
}
