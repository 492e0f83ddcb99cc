import { Kbd } from '@mantine/core';
import { Dialog } from '../ui/index.ts';
import styles from './app.module.css';

const keys = [
  ['Ctrl K', 'Find anything or do anything'],
  ['/', 'To the log bar'],
  ['1 … 8', 'The stations of the open job'],
  ['Ctrl Z', 'Take the last thing back'],
  ['Tab', 'In the log bar: the next piece of the line'],
  ['g f', 'The Floor'],
  ['g b', 'My bench'],
  ['g w', 'What waits for you'],
  ['g l', 'Every logbook'],
  ['g u', 'Units'],
  ['g s', 'Schools'],
  ['g m', 'Sums'],
  ['g c', 'Crew'],
  ['Esc', 'Close what is open'],
  ['?', 'These keys'],
] as const;

export default function Keys({ close }: { close: () => void }) {
  return (
    <Dialog close={close} title="Keys">
      <div className={styles['keys']}>
        {keys.map(([key, what]) => (
          <div key={key} style={{ display: 'contents' }}>
            <span>
              <Kbd>{key}</Kbd>
            </span>
            <span>{what}</span>
          </div>
        ))}
      </div>
    </Dialog>
  );
}
