import { Button } from '@mantine/core';
import { useRef } from 'react';
import { fieldsOf } from '../../api/index.ts';
import { Trouble } from '../Trouble.tsx';
import { useReturnFocus } from './useReturnFocus.ts';
import type { Form as FormState, Typed } from './useForm.ts';

interface Props<V extends Typed, I> {
  of: FormState<V, I>;
  /** Sends what was typed; what it throws is shown, and everything typed stays. */
  send: (input: I) => Promise<unknown>;
  /** When it is sent. */
  after?: (() => void) | undefined;
  submit: string;
  /** Leaves the form; what was typed is kept. */
  cancel?: (() => void) | undefined;
  cancelWord?: string;
  /** What forbids sending, whatever is typed: a gate, a step before. The form says which. */
  disabled?: boolean;
  /** Nothing to send yet: the buttons stand there once there is. */
  idle?: boolean;
  className?: string | undefined;
  variant?: string;
  color?: string;
  /** Beside the button. */
  beside?: React.ReactNode;
  children: React.ReactNode;
}

/** A form: its fields, what is wrong, what was typed earlier, and the button that sends it. */
export function Form<V extends Typed, I>(props: Props<V, I>) {
  const { of, send, after, submit, cancel, cancelWord = 'Not now', disabled = false, className, children } = props;
  const saved = useRef(false);
  useReturnFocus(saved);
  const atFields = Object.keys(fieldsOf(of.error)).length > 0 && of.loose.length === 0;
  return (
    <form
      className={className}
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        if (!disabled)
          of.submit(send, () => {
            saved.current = true;
            after?.();
          })();
      }}
    >
      {of.left && (
        <p className={of.left.changed ? 'ochre' : 'quiet'} role="status">
          {of.left.changed
            ? 'You typed this before what it speaks of changed; look it over.'
            : 'You typed this earlier and did not save it.'}{' '}
          <button type="button" className="plain-button small bare" onClick={of.startAnew}>
            Start anew
          </button>
        </p>
      )}
      {children}
      {of.loose.map((sentence) => (
        <p key={sentence} role="alert" className="oxide">
          {sentence}
        </p>
      ))}
      {!atFields && of.loose.length === 0 && <Trouble of={of} />}
      <div className="row-actions" hidden={props.idle === true}>
        <Button
          type="submit"
          loading={of.busy}
          disabled={disabled}
          {...(props.variant ? { variant: props.variant } : {})}
          {...(props.color ? { color: props.color } : {})}
        >
          {submit}
        </Button>
        {cancel && (
          <Button variant="subtle" onClick={cancel}>
            {cancelWord}
          </Button>
        )}
        {props.beside}
      </div>
    </form>
  );
}
