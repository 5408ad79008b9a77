'use client';

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Popover from '@mui/material/Popover';
import { useEffect, useMemo, useRef, useState } from 'react';
import { draftKeeper } from '../parts/draftKeeper';

type Visible = Record<string, boolean>;
interface Choosable {
  id: string;
  label: string;
  isExtra?: boolean;
}

/** Which columns are shown: kept for the person, on the server and so at every bench. */
export function useColumnChoice(name: string, columns: Choosable[]): [Visible, (id: string, shown: boolean) => void] {
  const usual = useMemo(() => Object.fromEntries(columns.map((c) => [c.id, !c.isExtra])), [columns]);
  const [chosen, setChosen] = useState<Visible>({});
  const [keeper] = useState(() => draftKeeper(`columns-${name}`));
  const touched = useRef(false);
  useEffect(() => {
    let here = true;
    void keeper.restore().then((kept) => {
      if (here && kept && !touched.current) setChosen(kept as Visible);
    });
    return () => {
      here = false;
    };
  }, [keeper]);
  const visible = { ...usual, ...chosen };
  return [
    visible,
    (id, shown) => {
      touched.current = true;
      const next = { ...chosen, [id]: shown };
      // A table without columns could not be brought back by looking at it.
      if (!columns.some((c) => ({ ...usual, ...next })[c.id])) return;
      setChosen(next);
      keeper.keep(next);
    },
  ];
}

/** The columns to choose from, behind one button. */
export function ColumnChoice({
  columns,
  visible,
  onChoose,
}: {
  columns: Choosable[];
  visible: Visible;
  onChoose: (id: string, shown: boolean) => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        size="small"
        variant="text"
        color="inherit"
        aria-haspopup="dialog"
        onClick={(e) => setAnchor(e.currentTarget)}
      >
        Columns
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { 'aria-label': 'Columns', role: 'dialog', sx: { p: 1.5, display: 'grid' } } }}
      >
        {columns.map((c) => (
          <FormControlLabel
            key={c.id}
            label={c.label}
            control={
              <Checkbox
                size="small"
                checked={visible[c.id] === true}
                onChange={(e) => onChoose(c.id, e.target.checked)}
              />
            }
          />
        ))}
      </Popover>
    </>
  );
}
