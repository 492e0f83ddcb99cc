import { z } from 'zod';
import './sentences.ts';
import type { Stamp } from '@bay/core/rules';
import type { RecordData, RecordKind } from '@bay/core/records';

/**
 * Kinds of records. A kind declares once what people may send of it (`input`), which of its fields are acts, and what its
 * signature stands under; what is stored is derived from that by putting the server's stamps on. So no name and no time is
 * ever in a schema of what comes in.
 */

type Plain<V> = V extends Stamp & { byId?: unknown } ? Omit<V, keyof Stamp | 'stoodOn' | 'forecastMm'> : V;
/** What is sent of stored data: without anybody's name, time, or second signature. */
export type InputOf<T> = { [F in keyof Omit<T, keyof Stamp | 'second' | 'toName' | 'handedTo'>]: Plain<T[F]> };
export type RecordInput<K extends RecordKind> = InputOf<RecordData<K>>;

export interface KindSchema<K extends RecordKind = RecordKind> {
  input: z.ZodType<RecordInput<K>> & { shape: Record<string, z.ZodType> };
  /** Fields that say somebody did something: each carries who and when of its own. */
  acts: readonly string[];
  /** When the name under the whole is set: at the first writing only, or whenever one of these fields changes (all, if none are named). */
  signed: 'once' | 'each-change' | readonly string[];
  /** Fields that hold the id of a person, and the field in which their name of today is shown. */
  people: Readonly<Record<string, string>>;
  /** The field that holds an amount of money: kept by itself, where only those see it who may. */
  money: string | undefined;
}

/** Declares a kind; what is left out is nobody and nothing. */
export const kind = <K extends RecordKind>(
  input: KindSchema<K>['input'],
  more: Partial<Omit<KindSchema, 'input'>> = {},
): KindSchema<K> => ({
  input,
  acts: [],
  signed: 'each-change',
  people: {},
  money: undefined,
  ...more,
});

const stamp = { byId: z.uuid().optional(), by: z.string().optional(), at: z.string().optional() };

/** What is stored and shown of a kind: its input with the server's stamps. */
export function storedSchema({ input, acts, people }: KindSchema): z.ZodObject {
  const withStamp = Object.fromEntries(
    acts.map((act) => {
      const sent = input.shape[act];
      const signed = (inner: unknown) =>
        (inner as z.ZodObject).extend({
          ...stamp,
          stoodOn: z.record(z.string(), z.unknown()).optional(),
          forecastMm: z.number().optional(),
        });
      return [act, sent instanceof z.ZodOptional ? signed(sent.unwrap()).optional() : signed(sent)];
    }),
  );
  const names = Object.fromEntries(Object.values(people).map((shown) => [shown, z.string().optional()]));
  return z.object({ ...input.shape, ...names, ...withStamp, ...stamp, second: z.object(stamp).optional() });
}

export const text = (max: number): z.ZodString => z.string().trim().max(max, `At most ${max} characters.`);
export const amount = z.number().finite();
/** An act of which nothing needs to be said but that it was done. */
export const act = z.object({}).optional();
