import { WeekView } from '../views';

export const dynamic = 'force-dynamic';

/** The Week: real days judged, pots and plates, shopping. */
export default function Page() {
  return <WeekView demo={process.env.DULVET_DEMO === '1'} />;
}
