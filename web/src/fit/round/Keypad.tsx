import styles from '../fit.module.css';

const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '−', '0', ','] as const;
const units = ['mm', 'cm', 'in'] as const;

/** Big keys for one thumb: digits, sign, fraction of an inch, unit; the field takes the keyboard of the device too. */
export function Keypad({ value, set, length }: { value: string; set: (next: string) => void; length: boolean }) {
  const press = (key: string): void => {
    if (key === '−') set(value.startsWith('-') ? value.slice(1) : `-${value}`);
    else set(`${value}${key}`);
  };
  const unit = (name: string): void => set(`${value.replace(/\s*[a-z]+$/i, '')} ${name}`);
  return (
    <div className={styles['keypad']} role="group" aria-label="Keys">
      {keys.map((key) => (
        <button key={key} type="button" onClick={() => press(key)} aria-label={key === '−' ? 'Minus' : key}>
          {key}
        </button>
      ))}
      {length &&
        units.map((name) => (
          <button key={name} type="button" onClick={() => unit(name)}>
            {name}
          </button>
        ))}
      {length && (
        <>
          <button type="button" onClick={() => press(' ')} aria-label="Space">
            ␣
          </button>
          <button type="button" onClick={() => press('/')} aria-label="Fraction">
            /
          </button>
        </>
      )}
      <button type="button" onClick={() => set(value.slice(0, -1))} aria-label="Take the last off">
        ⌫
      </button>
    </div>
  );
}
