'use client';

import Divider from '@mui/material/Divider';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { places } from '@/knowledge/counter';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import type { Move } from './useBench';

interface Props {
  strip: BenchStrip;
  view: BenchView;
  anchor: HTMLElement;
  onMove: (to: Move) => void;
  onClose: () => void;
}

/** Where to put a machine and whom to give it: the way by keys, and for a thumb. */
export function MoveMenu({ strip, view, anchor, onMove, onClose }: Props) {
  const targets = places.flatMap<{ label: string; to: Move; here: boolean }>((p) =>
    p.id === 'bench'
      ? Array.from({ length: view.benches }, (_, i) => ({
          label: view.benches === 1 ? 'Bench' : `Bench ${i + 1}`,
          to: { place: 'bench', benchNo: i + 1 },
          here: strip.place === 'bench' && strip.benchNo === i + 1,
        }))
      : [{ label: p.label, to: { place: p.id }, here: strip.place === p.id }],
  );
  const choose = (to: Move) => {
    onClose();
    onMove(to);
  };
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{ list: { dense: true, 'aria-label': `Move ${strip.tag}` } }}
    >
      <ListSubheader sx={{ lineHeight: 2, bgcolor: 'transparent' }}>Put it</ListSubheader>
      {targets.map((t) => (
        <MenuItem key={t.label} disabled={t.here} onClick={() => choose(t.to)}>
          {t.label}
        </MenuItem>
      ))}
      <Divider />
      <ListSubheader sx={{ lineHeight: 2, bgcolor: 'transparent' }}>Give it to</ListSubheader>
      {view.people.map((p) => (
        <MenuItem key={p.id} disabled={strip.person?.id === p.id} onClick={() => choose({ personId: p.id })}>
          {p.name}
        </MenuItem>
      ))}
      <MenuItem disabled={strip.person === null} onClick={() => choose({ personId: null })}>
        nobody
      </MenuItem>
    </Menu>
  );
}
