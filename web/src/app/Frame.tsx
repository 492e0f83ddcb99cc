import { Suspense, lazy, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { useHotkeys } from '@mantine/hooks';
import { IconMenu2, IconSearch } from '@tabler/icons-react';
import { useLive, useMe } from '../api/index.ts';
import { Failed, Loading } from '../ui/index.ts';
import { useWaiting } from '../crew/useWaiting.ts';
import { hereId } from './here.ts';
import { places } from './places.ts';
import { Mark } from './Mark.tsx';
import { OutboxButton, useDraining } from './Outbox.tsx';
import { WrongClock } from './WrongClock.tsx';
import { endFirstSight } from '../floor/first-sight-place.ts';
import styles from './app.module.css';

// Forms are loaded where somebody is to type, not before the Floor.
const Door = lazy(async () => ({ default: (await import('../crew/Door.tsx')).Door }));
const Tablet = lazy(async () => ({ default: (await import('../crew/Tablet.tsx')).Tablet }));
const Finder = lazy(() => import('./Finder.tsx'));
const Notes = lazy(() => import('./Notes.tsx'));
const Places = lazy(() => import('./Places.tsx'));
const Keys = lazy(() => import('./Keys.tsx'));
const OutboxList = lazy(() => import('./OutboxList.tsx'));
const Whoami = lazy(() => import('../crew/Whoami.tsx'));

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** `g` and then a letter goes places. */
function useGoKeys(): void {
  const navigate = useNavigate();
  useEffect(() => {
    let armedUntil = 0;
    const listen = (event: KeyboardEvent): void => {
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = event.timeStamp < armedUntil ? places.find((p) => p.key === event.key) : undefined;
      armedUntil = event.key === 'g' ? event.timeStamp + 1500 : 0;
      if (!place) return;
      event.preventDefault();
      void navigate(place.to);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [navigate]);
}

/** On a phone the head makes room while somebody reads on, and is back with the first move up. */
function useHeadAway(): boolean {
  const [away, set] = useState(false);
  useEffect(() => {
    const least = 8;
    let last = window.scrollY;
    const scrolled = (): void => {
      const now = window.scrollY;
      if (Math.abs(now - last) < least) return;
      set(now > last && now > 160);
      last = now;
    };
    window.addEventListener('scroll', scrolled, { passive: true });
    return () => window.removeEventListener('scroll', scrolled);
  }, []);
  return away;
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
  const [choosing, setChoosing] = useState(false);
  const headAway = useHeadAway();
  // What stood there before the application is of the Floor, and of who is signed in.
  const { pathname } = useLocation();
  const elsewhere = pathname !== '/' || me.isError || (me.data !== undefined && !me.data.person);
  useEffect(() => {
    if (elsewhere) endFirstSight();
  }, [elsewhere]);
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
    <div className={styles['shell']}>
      <a className="skip" href="#main">
        To the content
      </a>
      <header className={styles['top']} data-away={headAway || undefined}>
        <NavLink to="/" className={styles['brand']} aria-label="Veteran Bay, to the Floor">
          <Mark />
          <span>Veteran Bay</span>
        </NavLink>
        <div id={hereId} className={styles['here']} />
        <button
          type="button"
          className={styles['find-button']}
          aria-label="Find or do"
          onClick={() => setFinding(true)}
        >
          <IconSearch size={20} aria-hidden="true" />
          <span>Find or do</span> <kbd>Ctrl K</kbd>
        </button>
        <nav aria-label="Places">
          {places
            .filter((p) => p.inHead)
            .map(({ to, name }) => (
              <NavLink key={to} to={to} end={to === '/'}>
                {name}
              </NavLink>
            ))}
        </nav>
        {waiting > 0 && (
          <NavLink
            to="/waiting"
            className={styles['waits-for-you']}
            aria-label={`${waiting} ${waiting === 1 ? 'waits' : 'wait'} for you`}
          >
            <span>
              {waiting} {waiting === 1 ? 'waits' : 'wait'} for you
            </span>
            <b>{waiting}</b>
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
        <button type="button" className={styles['menu']} aria-label="Places" onClick={() => setChoosing(true)}>
          <IconMenu2 size={24} aria-hidden="true" />
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
        {choosing && <Places close={() => setChoosing(false)} />}
        {keys && <Keys close={() => setKeys(false)} />}
        {who && <Whoami close={() => setWho(false)} />}
        {sending && <OutboxList close={() => setSending(false)} />}
      </Suspense>
    </div>
  );
}
