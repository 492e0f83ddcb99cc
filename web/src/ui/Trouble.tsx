import { sentenceOf } from '../api/index.ts';

/** What went wrong with a write, in the server's sentence; nothing while nothing did. */
export function Trouble({ of }: { of: { error: unknown } }) {
  return of.error ? (
    <p role="alert" className="oxide">
      {sentenceOf(of.error)}
    </p>
  ) : null;
}
