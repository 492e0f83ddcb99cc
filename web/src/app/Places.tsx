import { NavLink } from 'react-router';
import { Dialog } from '../ui/index.ts';
import { places } from './places.ts';
import styles from './app.module.css';

/** Where one can go, on screens whose head has no room for it. */
export default function Places({ close }: { close: () => void }) {
  return (
    <Dialog close={close} title="Where to">
      <nav className={styles['places']} aria-label="All places">
        {places.map(({ to, name }) => (
          <NavLink key={to} to={to} end={to === '/'} onClick={close}>
            {name}
          </NavLink>
        ))}
      </nav>
    </Dialog>
  );
}
