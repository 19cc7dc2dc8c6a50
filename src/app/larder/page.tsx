import { LarderView } from '../views';

export const dynamic = 'force-dynamic';

/** The Larder: foods, packets and their labels. */
export default function Page() {
  return <LarderView demo={process.env.DULVET_DEMO === '1'} />;
}
