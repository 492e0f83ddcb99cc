import { lazy, useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useMe } from '../api/index.ts';

const FloorPage = lazy(async () => ({ default: (await import('../floor/FloorPage.tsx')).FloorPage }));

const seen = 'bay-bench-first';

/** The Floor; but a technician who takes out a phone sees their own bench first, once a visit. */
export function Home() {
  const me = useMe().data?.person;
  const navigate = useNavigate();
  const technician = me?.role === 'technician' ? me.id : undefined;
  useEffect(() => {
    if (!technician || sessionStorage.getItem(seen) === technician || !window.matchMedia('(max-width: 700px)').matches)
      return;
    sessionStorage.setItem(seen, technician);
    void navigate('/bench', { replace: true });
  }, [technician, navigate]);
  return <FloorPage />;
}
