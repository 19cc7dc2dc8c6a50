import { ShelfView } from '../views';

export const dynamic = 'force-dynamic';

/** The Shelf: all recipes. */
export default function Page() {
  return <ShelfView demo={process.env.DULVET_DEMO === '1'} />;
}
