import '@mantine/dates/styles.css';
import type { DateInputProps } from '@mantine/dates';
import { DateInput, DateTimePicker } from '@mantine/dates';
import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat.js';

dayjs.extend(customParseFormat);

interface Props {
  label: string;
  /** ISO day ("2026-11-26"), or minute ("2026-11-26T09:30") in the device's own time; empty where none is chosen. */
  value: string;
  onChange: (next: string) => void;
  onBlur?: () => void;
  error?: string | undefined;
  description?: string;
  /** Of a day that is behind us: one without a year is the last that was. */
  past?: boolean;
}

const typedForms = ['YYYY-MM-DD', 'D MMM YYYY', 'D MMM', 'D.M.YYYY', 'D.M.', 'D/M/YYYY'];

/**
 * "26 Nov", "26.11.2026" and "2026-11-26" are the same day; a day without a year is the next one that comes, or the last that
 * was.
 * The name of a weekday before it, as the field itself shows it, is passed over: who changes the number changes the
 * weekday with it.
 */
export function readDay(typed: string, today: string, past = false): string | null {
  const said = typed.trim().replace(/^\p{L}+\.?,?\s+(?=\d)/u, '');
  for (const form of typedForms) {
    const day = dayjs(said, form, true);
    if (!day.isValid()) continue;
    if (form.includes('YYYY')) return day.format('YYYY-MM-DD');
    const here = day.year(dayjs(today).year());
    const other = past ? here.isAfter(today, 'day') : here.isBefore(today, 'day');
    return (other ? here.add(past ? -1 : 1, 'year') : here).format('YYYY-MM-DD');
  }
  return null;
}

/** The week begins on Monday; red is for what harms, not for Sundays. */
const calendar: Pick<DateInputProps, 'firstDayOfWeek' | 'weekendDays' | 'highlightToday'> = {
  firstDayOfWeek: 1,
  weekendDays: [],
  highlightToday: true,
};

/** A day, typed as people say it or picked. */
export function DateField({ value, onChange, past, ...rest }: Props) {
  return (
    <DateInput
      size="md"
      clearable
      clearButtonProps={{ 'aria-label': 'Clear the day' }}
      {...calendar}
      valueFormat="ddd D MMM YYYY"
      placeholder="26 Nov"
      dateParser={(typed) => readDay(typed, dayjs().format('YYYY-MM-DD'), past)}
      value={value || null}
      onChange={(day) => onChange(day ?? '')}
      {...rest}
    />
  );
}

/** A day and a time of it. */
export function MinuteField({ value, onChange, ...rest }: Props) {
  return (
    <DateTimePicker
      size="md"
      clearable
      clearButtonProps={{ 'aria-label': 'Clear the time' }}
      {...calendar}
      valueFormat="ddd D MMM YYYY HH:mm"
      value={value ? value.replace('T', ' ') : null}
      onChange={(minute) => onChange((minute ?? '').replace(' ', 'T').slice(0, 16))}
      {...rest}
    />
  );
}
