import type { ReactNode } from 'react';

/** One column of a list: how it looks, and how it reads as plain text. */
export interface ListColumn<Row> {
  id: string;
  label: string;
  cell: (row: Row) => ReactNode;
  /** For the file of what is seen. */
  text: (row: Row) => string;
  /** The server sorts by it. */
  sorts?: boolean;
  /** Not shown until somebody chooses it. */
  isExtra?: boolean;
}
