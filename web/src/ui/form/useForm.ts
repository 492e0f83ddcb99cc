import { schemaResolver, useForm as useLibraryForm } from '@mantine/form';
import { useRef, useState } from 'react';
import type { z } from 'zod';
import type { Endpoint } from '@bay/contract/endpoint';
import { parseMeasure } from '@bay/core/units';
import { fieldsOf, useMe } from '../../api/index.ts';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';

/** Stands for the id that a command is given when it is sent. */
const someId = '00000000-0000-4000-8000-000000000000';

/** What is typed into a form, by field. */
export type Typed = Record<string, unknown>;

export interface FormOptions<V extends Typed, I> {
  /** What the form is about: what is typed is kept under it until it is saved. Left out, nothing is kept (PINs, passwords). */
  draft?: string | undefined;
  initial: V;
  /** What may be sent: the contract's schema, so that a rule has one sentence here and on the server. */
  schema?: z.ZodType | undefined;
  /** The command that sends it, instead of a schema: its body is what may be sent, with an id that is made when it is. */
  command?: Endpoint | undefined;
  /** What is sent of what is typed; the typed values themselves where nothing is said. */
  sent?: ((typed: V) => I) | undefined;
  /** Fields of the form whose name in the schema is another: `{ 'car.name': 'name' }`. */
  names?: Readonly<Record<string, keyof V & string>> | undefined;
  /** Revision of what the form begins from. */
  since?: number | undefined;
}

export interface Form<V extends Typed, I = V> {
  values: V;
  set: (some: Partial<V>) => void;
  /** What a field of the library takes: value, change, and its sentence if something is wrong with it. */
  field: <K extends keyof V & string>(name: K) => Field<V[K]>;
  /** What is wrong with no field in particular, or with one that is not shown. */
  loose: readonly string[];
  error: unknown;
  busy: boolean;
  /** Something typed earlier stands in the form; with `changed`, what it began from is another by now. */
  left: { changed: boolean } | undefined;
  /** Throws away what was typed. */
  startAnew: () => void;
  /** Revision of what the form was begun from, be it days ago. */
  since: number;
  /** What was begun from is this revision now. */
  wentOn: (revision: number) => void;
  submit: (send: (input: I) => Promise<unknown>, after?: () => void) => (event?: React.FormEvent) => void;
}

interface Field<T> {
  value: T;
  onChange: (next: unknown) => void;
  onBlur: () => void;
  error: string | undefined;
}

/**
 * A form of the library, held to the contract's schema. What is typed is kept for the person at the device when the form is left,
 * whatever the reason, and stands there again when it is opened.
 */
export function useForm<V extends Typed, I = V>(options: FormOptions<V, I>): Form<V, I> {
  const { draft, initial, sent, names = {} } = options;
  const schema = options.schema ?? options.command?.body;
  const person = useMe().data?.person?.id;
  const keeps = draft !== undefined && person !== undefined ? { person, form: draft } : undefined;
  const [begun] = useState(initial);
  const [left, setLeft] = useState(() => (keeps ? readDraft<V>(keeps.person, keeps.form) : undefined));
  const [since, setSince] = useState(left?.since ?? options.since ?? 0);
  const shown = useRef(new Set<string>());
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const inputOf = (values: V): I => (sent ? sent(values) : (values as unknown as I));
  const ofFields = (sentences: Record<string, unknown>): Record<string, string> =>
    Object.fromEntries(
      Object.entries(sentences).map(([path, sentence]) => {
        // The server says of a record where in its data something is wrong; a form has the data alone.
        const at = path.replace(/^data\./, '');
        return [names[path] ?? names[at] ?? (at in begun ? at : at.split('.')[0]!), String(sentence)];
      }),
    );
  const form = useLibraryForm<V>({
    initialValues: { ...begun, ...left?.values },
    validate: (values) => {
      if (!schema) return {};
      const input = options.command ? { commandId: someId, ...inputOf(values) } : inputOf(values);
      return ofFields(schemaResolver(schema, { sync: true })(input));
    },
    onValuesChange: (values) => {
      if (!keeps) return;
      if (same(values, begun)) dropDraft(keeps.person, keeps.form);
      else keepDraft(keeps.person, keeps.form, { values, before: begun, since, at: Date.now() });
    },
  });
  const forget = (): void => {
    if (keeps) dropDraft(keeps.person, keeps.form);
    setLeft(undefined);
  };
  return {
    values: form.values,
    set: (some) => form.setValues(some),
    field: (name) => {
      shown.current.add(name);
      const {
        value,
        onChange,
        onBlur,
        error: wrong,
      } = form.getInputProps(name) as Omit<Field<never>, 'error'> & {
        error: unknown;
      };
      return { value, onChange, onBlur, error: typeof wrong === 'string' ? wrong : undefined };
    },
    loose: Object.entries(form.errors).flatMap(([name, sentence]) =>
      shown.current.has(name) || typeof sentence !== 'string' ? [] : [sentence],
    ),
    since,
    wentOn: setSince,
    error,
    busy,
    left: left && { changed: !same(left.before, begun) },
    startAnew: () => {
      form.setValues(begun);
      form.clearErrors();
      setSince(options.since ?? 0);
      forget();
    },
    submit: (send, after) => (event) => {
      event?.preventDefault();
      if (busy) return;
      setError(undefined);
      if (form.validate().hasErrors) return;
      setBusy(true);
      const asSent = { ...form.getValues() };
      send(inputOf(asSent))
        .then(
          () => {
            forget();
            after?.();
          },
          (thrown: unknown) => {
            // What was wrong with a value is not wrong with the one that was typed meanwhile. A field that the form emptied is no such one.
            const now = form.getValues();
            const stands = (name: string) => same([now[name]], [asSent[name]]) || same([now[name]], [begun[name]]);
            const wrong = Object.entries(ofFields(fieldsOf(thrown)));
            form.setErrors(Object.fromEntries(wrong.filter(([name]) => stands(name))));
            setError(thrown);
          },
        )
        .finally(() => setBusy(false));
    },
  };
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A measured value as it is sent: in the unit of the field, nothing where nothing is typed, and the words where they are none. */
export function measured(typed: string, unit: string): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = parseMeasure(typed, unit);
  // What cannot be read is sent as it is: the schema refuses it, and the field itself says why.
  return read.ok ? read.measure.value : (typed as unknown as number);
}

/** Words as they are sent: nothing where nothing is typed. */
export const words = (typed: string): string | undefined => typed.trim() || undefined;
