import { Shelf } from '@/features/shelf/shelf';

export const dynamic = 'force-dynamic';

/** The Shelf: all recipes. */
export default function Page() {
  return <Shelf demo={process.env.DULVET_DEMO === '1'} />;
}
