import { TextInput } from '@mantine/core';
import { noCurrency, readMoney, showMoney } from '@bay/core/money';

/** An amount as it is sent: in the smallest unit, nothing where nothing is typed, and the words where they are none. */
export function money(typed: string, currency: string): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = readMoney(typed, currency);
  return read.ok ? read.amount : (typed as unknown as number);
}

/** A field for an amount of money: says what it took. */
export function MoneyInput({
  label,
  currency,
  value,
  error,
  ...rest
}: {
  label: string;
  currency: string;
  value: string;
  onChange: (next: unknown) => void;
  onBlur?: () => void;
  error?: string | undefined;
  autoFocus?: boolean;
  placeholder?: string;
}) {
  const read = value.trim() === '' ? undefined : readMoney(value, currency);
  return (
    <div className="measured">
      <TextInput
        label={currency === noCurrency ? label : `${label}, ${currency}`}
        inputMode="decimal"
        autoComplete="off"
        value={value}
        {...rest}
        error={read && !read.ok ? read.sentence : error}
        classNames={{ input: 'mono' }}
      />
      <div className="understood" aria-live="polite">
        {read?.ok ? showMoney(read.amount, currency) : ''}
      </div>
    </div>
  );
}
