import { Larder } from '@/features/larder/larder';

export const dynamic = 'force-dynamic';

/** The Larder: foods, packets and their labels. */
export default function Page() {
  return <Larder demo={process.env.DULVET_DEMO === '1'} />;
}
