'use client';
import dynamic from 'next/dynamic';

/** Said while a view's own scripts are on their way; the frame stands already. */
function Coming() {
  return (
    <p role="status" className="p-6 text-mute">
      Laying the table …
    </p>
  );
}

/** Each view in scripts of its own: the frame is there, and can be used, before any of them. */
export const BenchView = dynamic(() => import('@/features/bench/bench').then((m) => m.Bench), {
  ssr: false,
  loading: Coming,
});
export const ShelfView = dynamic(() => import('@/features/shelf/shelf').then((m) => m.Shelf), {
  ssr: false,
  loading: Coming,
});
export const StoveView = dynamic(() => import('@/features/stove/stove').then((m) => m.Stove), {
  ssr: false,
  loading: Coming,
});
export const WeekView = dynamic(() => import('@/features/week/week').then((m) => m.Week), {
  ssr: false,
  loading: Coming,
});
export const LarderView = dynamic(() => import('@/features/larder/larder').then((m) => m.Larder), {
  ssr: false,
  loading: Coming,
});
export const RulesView = dynamic(() => import('@/features/rules/rules').then((m) => m.Rules), {
  ssr: false,
  loading: Coming,
});
export const LogView = dynamic(() => import('@/features/log/log').then((m) => m.Log), {
  ssr: false,
  loading: Coming,
});
