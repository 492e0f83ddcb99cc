import { lazy } from 'react';
import { Navigate } from 'react-router';
import { useMe } from '../crew/index.ts';

const FloorPage = lazy(async () => ({ default: (await import('../jobs/FloorPage.tsx')).FloorPage }));

const seen = 'bay-bench-first';

/** The Floor; but a technician who takes out a phone sees their own bench first, once a visit. */
export function Home() {
  const me = useMe().data?.person;
  const phone = window.matchMedia('(max-width: 700px)').matches;
  if (phone && me?.role === 'technician' && sessionStorage.getItem(seen) !== me.id) {
    sessionStorage.setItem(seen, me.id);
    return <Navigate to="/bench" replace />;
  }
  return <FloorPage />;
}
