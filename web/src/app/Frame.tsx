import { Suspense, lazy, useEffect, useState } from 'react';
import { NavLink, Outlet, useNavigate } from 'react-router';
import { useHotkeys } from '@mantine/hooks';
import { useLive, useMe } from '../api/index.ts';
import { Failed, Loading } from '../ui/index.ts';
import { useWaiting } from '../crew/useWaiting.ts';
import { Mark } from './Mark.tsx';
import { OutboxButton, useDraining } from './Outbox.tsx';
import { WrongClock } from './WrongClock.tsx';
import styles from './app.module.css';

// Forms are loaded where somebody is to type, not before the Floor.
const Door = lazy(async () => ({ default: (await import('../crew/Door.tsx')).Door }));
const Tablet = lazy(async () => ({ default: (await import('../crew/Tablet.tsx')).Tablet }));
const Finder = lazy(() => import('./Finder.tsx'));
const Notes = lazy(() => import('./Notes.tsx'));
const Keys = lazy(() => import('./Keys.tsx'));
const OutboxList = lazy(() => import('./OutboxList.tsx'));
const Whoami = lazy(() => import('../crew/Whoami.tsx'));

const places = [
  ['f', '/', 'Floor'],
  ['b', '/bench', 'My bench'],
  ['w', '/waiting', 'Waiting'],
  ['l', '/logbook', 'Logbook'],
  ['u', '/units', 'Units'],
  ['s', '/schools', 'Schools'],
  ['m', '/sums', 'Sums'],
  ['c', '/crew', 'Crew'],
] as const;

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** `g` and then a letter goes places. */
function useGoKeys(): void {
  const navigate = useNavigate();
  useEffect(() => {
    let armedUntil = 0;
    const listen = (event: KeyboardEvent): void => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = event.timeStamp < armedUntil ? places.find(([key]) => key === event.key) : undefined;
      armedUntil = event.key === 'g' ? event.timeStamp + 1500 : 0;
      if (!place) return;
      event.preventDefault();
      void navigate(place[1]);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [navigate]);
}

/** The frame of every page: who is here, where to go, and the door when nobody is. */
export function Frame() {
  const me = useMe();
  const up = useLive(me.data?.person ? me.data.shop?.id : undefined);
  useDraining(me.data?.person?.id, up);
  const waiting = useWaiting(me.data?.person !== null && me.data?.person !== undefined);
  const [finding, setFinding] = useState(false);
  const [keys, setKeys] = useState(false);
  const [who, setWho] = useState(false);
  const [sending, setSending] = useState(false);
  useGoKeys();
  useHotkeys([['shift+?', () => setKeys(true)]]);
  useHotkeys([['mod+K', () => setFinding(true)]], []);
  if (me.isPending)
    return (
      <div className="page">
        <Loading />
      </div>
    );
  if (me.isError && !me.data)
    return (
      <div className="page">
        <Failed sentence={me.error.message} again={() => void me.refetch()} />
      </div>
    );
  if (!me.data.shop || !me.data.person)
    return (
      <Suspense fallback={<Loading />}>
        {me.data.shop ? <Tablet shopName={me.data.shop.name} /> : <Door needsSetup={me.data.needsSetup} />}
      </Suspense>
    );
  const { person } = me.data;
  return (
    <>
      <a className="skip" href="#main">
        To the content
      </a>
      <header className={styles['top']}>
        <NavLink to="/" className={styles['brand']} aria-label="Veteran Bay, to the Floor">
          <Mark />
          <span>Veteran Bay</span>
        </NavLink>
        <button type="button" className={styles['find-button']} onClick={() => setFinding(true)}>
          Find or do <kbd>Ctrl K</kbd>
        </button>
        <nav aria-label="Places">
          {places
            .filter(([, to]) => to !== '/waiting' && to !== '/logbook')
            .map(([key, to, name]) => (
              <NavLink key={key} to={to} end={to === '/'}>
                {name}
              </NavLink>
            ))}
        </nav>
        {waiting > 0 && (
          <NavLink to="/waiting" className={styles['waits-for-you']}>
            {waiting} {waiting === 1 ? 'waits' : 'wait'} for you
          </NavLink>
        )}
        <OutboxButton open={() => setSending(true)} />
        <button
          type="button"
          className={styles['who']}
          onClick={() => setWho(true)}
          aria-label={`${person.name} is at this device. Change`}
        >
          <span className="disc">{person.initials}</span>
          <span className={styles['who-name']}>{person.name}</span>
        </button>
      </header>
      {!up && (
        <div className={styles['offline']} role="status">
          No line to the server. What you write is kept on this device and sent when it is back; what others do shows
          then.
        </div>
      )}
      <WrongClock />
      <main id="main">
        <Suspense
          fallback={
            <div className="page">
              <Loading />
            </div>
          }
        >
          <Outlet />
        </Suspense>
      </main>
      <Suspense fallback={null}>
        <Notes />
      </Suspense>
      <Suspense fallback={null}>
        {finding && <Finder close={() => setFinding(false)} />}
        {keys && <Keys close={() => setKeys(false)} />}
        {who && <Whoami close={() => setWho(false)} />}
        {sending && <OutboxList close={() => setSending(false)} />}
      </Suspense>
    </>
  );
}
