import { Week } from '@/features/week/week';

export const dynamic = 'force-dynamic';

/** The Week: real days judged, pots and plates, shopping. */
export default function Page() {
  return <Week demo={process.env.DULVET_DEMO === '1'} />;
}
