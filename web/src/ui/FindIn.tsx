import { Select, TextInput } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import type { Group } from './groups.ts';

/** Above a long list: words to look for in it, and a way to each of its groups. */
export function FindIn({
  label,
  value,
  set,
  groups,
}: {
  label: string;
  value: string;
  set: (next: string) => void;
  groups: readonly Group<unknown>[];
}) {
  return (
    <div className="find-in no-print">
      <TextInput
        aria-label={label}
        placeholder={label}
        type="search"
        leftSection={<IconSearch size={18} aria-hidden="true" />}
        value={value}
        onChange={(e) => set(e.currentTarget.value)}
      />
      {groups.length > 1 && (
        <Select
          aria-label="Jump to"
          placeholder="Jump to"
          data={groups.map((g) => ({ value: g.id, label: `${g.name}, ${g.items.length}` }))}
          value={null}
          onChange={(id) => id && document.getElementById(id)?.scrollIntoView({ block: 'start' })}
        />
      )}
    </div>
  );
}
