import { counted } from '@bay/core/units';
import dayjs from 'dayjs';
import { nowMs } from '../api/now.ts';

const now = (): dayjs.Dayjs => dayjs(nowMs());

/** "Thu 26 Nov" */
export const dayWords = (at: string): string => dayjs(at).format('ddd D MMM');
export const timeWords = (at: string): string => dayjs(at).format('HH:mm');
export const exactWords = (at: string): string => dayjs(at).format('dddd D MMMM YYYY, HH:mm:ss');

/** A date as people say it from today: "today", "in 3 days", "4 days ago". */
export function fromToday(date: string): string {
  const days = dayjs(date).startOf('day').diff(now().startOf('day'), 'day');
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `in ${days} days` : `${-days} days ago`;
}

/** How long since: "0:38", "2 days". */
export function sinceWords(at: string): string {
  const minutes = Math.max(0, now().diff(dayjs(at), 'minute'));
  if (minutes >= 2880) return `${Math.floor(minutes / 1440)} days`;
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A length of time as people say it: "12 minutes", "3 hours", "1 day". */
export function spanWords(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  const [n, unit] =
    minutes < 120
      ? [minutes, 'minute']
      : minutes < 2880 && minutes % 1440 !== 0
        ? [Math.round(minutes / 60), 'hour']
        : [Math.round(minutes / 1440), 'day'];
  return counted(n, unit);
}

export const today = (): string => now().format('YYYY-MM-DD');

const dateInside = /\b\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}:[\d.]+Z)?\b/g;

/** A day, with its hour where it has one. */
export const dueWords = (at: string): string => (at.includes('T') ? `${dayWords(at)} ${timeWords(at)}` : dayWords(at));

/** Dates inside a sentence as people say them. */
export const withDayWords = (sentence: string): string => sentence.replace(dateInside, (date) => dueWords(date));

/** The day so many days from now, ISO. */
export const dayAfter = (days: number): string => now().add(days, 'day').format('YYYY-MM-DD');
