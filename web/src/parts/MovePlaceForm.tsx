import { TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { movePlace } from '@bay/contract/parts';
import { command, keys } from '../api/index.ts';
import { FormDialog, useForm } from '../ui/index.ts';

/** All that lies in one place goes to another. */
export function MovePlaceForm({ from, close }: { from: string; close: (to?: string) => void }) {
  const client = useQueryClient();
  const form = useForm({
    draft: `store:move:${from}`,
    initial: { to: '' },
    command: movePlace,
    sent: (v) => ({ from, to: v.to }),
  });
  return (
    <FormDialog
      title={`All of ${from} moves`}
      submit="It lies there now"
      of={form}
      close={() => close()}
      send={async (body) => {
        await command(movePlace, { body }, { label: `all of ${from} moved` });
        await client.invalidateQueries({ queryKey: keys.store() });
        close(form.values.to.trim());
      }}
    >
      <TextInput label="To" placeholder="shelf D1" data-autofocus {...form.field('to')} />
    </FormDialog>
  );
}
