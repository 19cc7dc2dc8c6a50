'use client';
import { Button } from '@/ui/button';

/** Shown where a view breaks: what is kept stays kept. */
export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert" className="mx-auto max-w-2xl p-6">
      <h1 className="text-[25px] font-semibold">This view broke</h1>
      <p className="mb-4 mt-2">
        What you wrote up to now is kept in this browser. {error.message && `It said: ${error.message}`}
      </p>
      <Button look="solid" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
