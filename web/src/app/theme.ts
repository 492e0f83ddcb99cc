import { createTheme } from '@mantine/core';
import type { MantineColorsTuple } from '@mantine/core';

// Shades 8 (light) and 5 (dark) carry text on them at WCAG AA.
const bay: MantineColorsTuple = [
  '#E7F2F1',
  '#CFE4E3',
  '#A3CBC9',
  '#77B3B0',
  '#4FB3AE',
  '#4FB3AE',
  '#2C7F80',
  '#186B6E',
  '#0E5A5E',
  '#0A4548',
];
const oxide: MantineColorsTuple = [
  '#FBEDE9',
  '#F4DAD3',
  '#E9B8AC',
  '#E2725B',
  '#E2725B',
  '#E2725B',
  '#C4523A',
  '#B44229',
  '#A93A22',
  '#872C18',
];

export const theme = createTheme({
  primaryColor: 'bay',
  primaryShade: { light: 8, dark: 5 },
  autoContrast: true,
  luminanceThreshold: 0.32,
  colors: { bay, oxide },
  fontFamily: "'IBM Plex Sans Variable', system-ui, sans-serif",
  fontFamilyMonospace: "'IBM Plex Mono', ui-monospace, monospace",
  headings: { fontFamily: "'Barlow Semi Condensed', 'IBM Plex Sans Variable', sans-serif", fontWeight: '600' },
  defaultRadius: 4,
  respectReducedMotion: true,
  components: {
    Button: { defaultProps: { size: 'md', variant: 'filled' } },
    TextInput: { defaultProps: { size: 'md' } },
    Select: { defaultProps: { size: 'md', allowDeselect: false, checkIconPosition: 'right' } },
    Textarea: { defaultProps: { size: 'md', autosize: true, minRows: 2 } },
    Modal: { defaultProps: { centered: true } },
  },
});
