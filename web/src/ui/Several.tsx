import '@mantine/core/styles/Pill.css';
import '@mantine/core/styles/PillsInput.css';
import { MultiSelect } from '@mantine/core';
import type { MultiSelectProps } from '@mantine/core';

/** Several of a list: what is chosen stands in the field. */
export const Several = (props: MultiSelectProps) => <MultiSelect size="md" searchable {...props} />;
