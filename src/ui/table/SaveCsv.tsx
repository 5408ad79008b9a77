'use client';

import Button from '@mui/material/Button';
import type { ListColumn } from './listColumn';

/** Saves what is seen, this page in these columns, as a file of rows. */
export function SaveCsv<Row>({ name, columns, rows }: { name: string; columns: ListColumn<Row>[]; rows: Row[] }) {
  const save = async () => {
    // Only who saves a file needs its writer.
    const { csvOf } = await import('./csvOf');
    const url = URL.createObjectURL(new Blob([csvOf(columns, rows)], { type: 'text/csv;charset=utf-8' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = `${name}.csv`;
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <Button size="small" variant="text" color="inherit" onClick={() => void save()} disabled={rows.length === 0}>
      CSV of what is seen
    </Button>
  );
}
