import { Kbd } from '@mantine/core';
import { Dialog } from '../ui/index.ts';
import { places } from './places.ts';
import styles from './app.module.css';

const keys: readonly (readonly [key: string, what: string])[] = [
  ['Ctrl K', 'Find anything or do anything'],
  ['/', 'To the log bar'],
  ['1 … 8', 'The stations of the open job'],
  ['j k', 'In a list of steps: down and up'],
  ['x', 'Tick the step, or take the tick back'],
  ['s', 'Start the step'],
  ['Ctrl Z', 'Take the last thing back'],
  ['Tab', 'In the log bar: the next piece of the line'],
  ...places.map((p): [string, string] => [`g ${p.key}`, p.name]),
  ['Esc', 'Close what is open'],
  ['?', 'These keys'],
];

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
