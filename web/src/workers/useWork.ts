import { useEffect, useState } from 'react';
import { Desk, GivenUp } from './desk.ts';
import type { InputOf, OutputOf, TaskName } from './tasks.ts';

interface State<K extends TaskName> {
  /** The last result; it stays while the next is computed. */
  result: OutputOf<K> | undefined;
  share: number | undefined;
  error: Error | undefined;
}

export interface Work<K extends TaskName> extends State<K> {
  cancel: () => void;
  again: () => void;
}

/** Computes beside the screen whenever its input changes; what was under way for the input before is given up. */
export function useWork<K extends TaskName>(name: K, input: InputOf<K>): Work<K> {
  const [desk] = useState(() => new Desk());
  const [turn, setTurn] = useState(0);
  const [state, setState] = useState<State<K>>({ result: undefined, share: 0, error: undefined });
  useEffect(() => {
    let wanted = true;
    desk.cancel();
    // What was given up ends before the next begins.
    void Promise.resolve().then(async () => {
      if (!wanted) return;
      setState((now) => ({ ...now, share: 0, error: undefined }));
      // How far it was may still be on its way when the result is there already.
      let under = true;
      try {
        const result = await desk.start(name, input, (share) => {
          if (wanted && under) setState((now) => ({ ...now, share }));
        });
        under = false;
        if (wanted) setState({ result, share: undefined, error: undefined });
      } catch (error) {
        under = false;
        if (!wanted) return;
        const given = error instanceof GivenUp ? undefined : (error as Error);
        setState((now) => ({ ...now, share: undefined, error: given }));
      }
    });
    return () => {
      wanted = false;
    };
  }, [desk, name, input, turn]);
  useEffect(() => () => desk.dispose(), [desk]);
  return { ...state, cancel: () => desk.cancel(), again: () => setTurn((t) => t + 1) };
}
