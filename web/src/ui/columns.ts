import type { CSSProperties } from 'react';

/** Columns of a row on a wide screen; on a phone the style sheet lets the pieces flow instead. */
export const columns = (wide: string): CSSProperties => ({ '--cols': wide }) as CSSProperties;
