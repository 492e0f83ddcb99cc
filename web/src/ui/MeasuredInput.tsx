import { TextInput } from '@mantine/core';
import { useId } from 'react';
import { parseMeasure } from '@bay/core/units';

interface Props {
  label: string;
  /** The unit the field keeps; '' for a plain number. */
  unit: string;
  value: string;
  onChange: (typed: string) => void;
  onBlur?: () => void;
  error?: string | undefined;
  autoFocus?: boolean;
  description?: string;
  placeholder?: string;
  disabled?: boolean;
}

/** A field for a measured value: takes what people type and shows at once what it understood, in both systems. */
export function MeasuredInput({
  label,
  unit,
  value,
  onChange,
  onBlur,
  error,
  autoFocus,
  description,
  placeholder,
  disabled,
}: Props) {
  const id = useId();
  const read = value.trim() === '' ? undefined : parseMeasure(value, unit);
  const sentence = error ?? (read && !read.ok ? read.sentence : undefined);
  return (
    <div className="measured">
      <TextInput
        id={id}
        label={unit === '' ? label : `${label}, ${unit}`}
        value={value}
        onChange={(e) => onChange(e.currentTarget.value)}
        {...(onBlur ? { onBlur } : {})}
        error={sentence}
        inputMode="text"
        autoComplete="off"
        {...(autoFocus ? { 'data-autofocus': true, autoFocus: true } : {})}
        {...(description ? { description } : {})}
        {...(placeholder ? { placeholder } : {})}
        {...(disabled ? { disabled } : {})}
        classNames={{ input: 'mono' }}
      />
      <div className="understood" aria-live="polite">
        {read?.ok ? read.measure.understood : ''}
      </div>
    </div>
  );
}
