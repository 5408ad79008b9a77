'use client';

import Box from '@mui/material/Box';
import TableSortLabel from '@mui/material/TableSortLabel';
import { columnVisibilityFeature, rowSortingFeature, tableFeatures, useTable } from '@tanstack/react-table';
import type { Sort } from '@/shop/lists/dto';
import { ColumnChoice, useColumnChoice } from './ColumnChoice';
import type { ListColumn } from './listColumn';
import { SaveCsv } from './SaveCsv';
import styles from './table.module.css';

interface Props<Row> {
  /** Under this name the choice of columns is kept, and the file is saved. */
  name: string;
  label: string;
  columns: ListColumn<Row>[];
  rows: Row[];
  keyOf: (row: Row) => string | number;
  sort: Sort | null;
  onSort: (sort: Sort | null) => void;
}

const features = tableFeatures({ columnVisibilityFeature, rowSortingFeature });

/** A list as a table: sorted by the server, with the columns that this person wants, and as a file of what is seen. */
export function ListTable<Row extends object>({ name, label, columns, rows, keyOf, sort, onSort }: Props<Row>) {
  const [visible, choose] = useColumnChoice(name, columns);
  const table = useTable({
    features,
    data: rows,
    columns: columns.map((c) => ({ id: c.id, header: c.label, enableSorting: c.sorts === true })),
    getRowId: (row: Row) => String(keyOf(row)),
    manualSorting: true,
    state: { columnVisibility: visible, sorting: sort ? [{ id: sort.by, desc: sort.desc }] : [] },
  });
  const byId = new Map(columns.map((c) => [c.id, c]));
  const shown = table.getVisibleLeafColumns().map((c) => byId.get(c.id)!);
  const turn = (by: string) => onSort(sort?.by !== by ? { by, desc: false } : sort.desc ? null : { by, desc: true });
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label={label}>
        <table className={styles.table}>
          <thead>
            <tr>
              {shown.map((c) => (
                <th
                  key={c.id}
                  scope="col"
                  aria-sort={sort?.by === c.id ? (sort.desc ? 'descending' : 'ascending') : undefined}
                >
                  {c.sorts ? (
                    <TableSortLabel
                      active={sort?.by === c.id}
                      direction={sort?.by === c.id && sort.desc ? 'desc' : 'asc'}
                      onClick={() => turn(c.id)}
                    >
                      {c.label}
                    </TableSortLabel>
                  ) : (
                    c.label
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.getRowModel().rows.map((row) => (
              <tr key={row.id}>
                {shown.map((c) => (
                  <td key={c.id}>{c.cell(row.original)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Box className="no-print" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mt: 1 }}>
        <ColumnChoice columns={columns} visible={visible} onChoose={choose} />
        <SaveCsv name={name} columns={shown} rows={rows} />
      </Box>
    </Box>
  );
}
