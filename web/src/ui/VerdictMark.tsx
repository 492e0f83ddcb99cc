import type { FitWord } from '@bay/core/fit';

export const verdictWords: Record<FitWord, string> = {
  'bolts-up': 'Bolts up',
  adapt: 'Adapt',
  clash: 'Clash',
  'not-measured': 'Not measured',
};

const shapes: Record<FitWord, React.ReactNode> = {
  'bolts-up': (
    <>
      <circle cx="12" cy="12" r="9" fill="none" strokeWidth="2.4" />
      <path d="M12 7.4l4 2.3v4.6l-4 2.3-4-2.3V9.7z" stroke="none" fill="currentColor" />
    </>
  ),
  adapt: (
    <>
      <circle cx="12" cy="12" r="9" fill="none" strokeWidth="2.4" />
      <path d="M7 15.5L17 9.5v6z" stroke="none" fill="currentColor" />
    </>
  ),
  clash: (
    <>
      <rect x="2.5" y="5" width="11" height="6.5" stroke="none" fill="currentColor" />
      <rect x="10" y="10.5" width="11.5" height="7.5" fill="none" strokeWidth="2.2" />
    </>
  ),
  'not-measured': (
    <>
      <circle cx="12" cy="12" r="9.5" fill="none" strokeWidth="2" strokeDasharray="3.4 2.6" />
      <path d="M6.5 12h11M7 9.6v4.8M17 9.6v4.8M12 10.4v3.2" fill="none" strokeWidth="1.7" />
    </>
  ),
};

/** The mark of a verdict, legible in one colour; the word stands beside it. */
export function VerdictMark({ word, size = 24 }: { word: FitWord; size?: 24 | 40 }) {
  return (
    <svg
      className={`verdict-mark verdict-${word}`}
      width={size}
      height={size}
      viewBox="0 0 24 24"
      stroke="currentColor"
      aria-hidden="true"
    >
      {shapes[word]}
    </svg>
  );
}
