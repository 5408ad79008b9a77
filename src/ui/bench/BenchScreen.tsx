'use client';

import { DndContext, PointerSensor, useDroppable, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useEffect, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { BenchStrip, BenchView } from '@/shop/bench/dto';
import { Empty, Notice } from '../parts/Notice';
import { Key } from '../parts/Key';
import { useNow } from '../parts/useNow';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { BenchStripRow, STRIP_COLUMNS } from './BenchStripRow';
import { benchGroups, type BenchGroup } from './benchGroups';
import { dayScale } from './dayScale';
import { MoveMenu } from './MoveMenu';
import { useBench, type Move } from './useBench';

const MINE_KEY = 'bench-mine';

/** The day: one strip per machine on the premises, grouped by the place where it lies. Alive. */
export function BenchScreen({ view: told, me }: { view: BenchView; me: number }) {
  const { view, move, live, refusal } = useBench(told);
  const now = useNow(view.now);
  const [mine, setMine] = useState(false);
  useEffect(() => {
    // Kept per browser, read after the first picture so that server and browser draw the same.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setMine(window.localStorage.getItem(MINE_KEY) === 'yes');
  }, []);
  const [menu, setMenu] = useState<{ strip: BenchStrip; anchor: HTMLElement } | null>(null);
  const [dragged, setDragged] = useState<BenchStrip | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const groups = benchGroups(view, mine ? me : null);
  const order = groups.flatMap((g) => g.strips);
  const choose = (only: boolean) => {
    window.localStorage.setItem(MINE_KEY, only ? 'yes' : 'no');
    setMine(only);
  };
  useKeys(
    order,
    () => choose(!mine),
    (strip, anchor) => setMenu({ strip, anchor }),
  );

  const drop = ({ active, over }: DragEndEvent) => {
    const strip = dragged;
    setDragged(null);
    const to = over?.data.current as Move | undefined;
    if (!strip || !to || active.id !== strip.job) return;
    const stays =
      to.personId === undefined
        ? to.place === strip.place && (to.benchNo ?? strip.benchNo) === strip.benchNo
        : to.personId === (strip.person?.id ?? null);
    if (!stays) void move(strip, to);
  };

  return (
    <DndContext
      id="bench"
      sensors={sensors}
      onDragStart={({ active }) => setDragged(order.find((s) => s.job === active.id) ?? null)}
      onDragCancel={() => setDragged(null)}
      onDragEnd={drop}
    >
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', columnGap: 2, rowGap: 0.5, flexWrap: 'wrap' }}>
          <Typography component="h1" variant="h1">
            Bench
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {view.strips.length + view.more} machine{view.strips.length + view.more === 1 ? '' : 's'} on the premises
            {view.more > 0 && `; the ${view.more} promised last are not drawn here`}
          </Typography>
          <ToggleButton value="mine" size="small" selected={mine} onChange={() => choose(!mine)}>
            Mine only &nbsp;<Key>n</Key>
          </ToggleButton>
          <Typography variant="body2" role="status" sx={{ color: 'bench.brass', fontWeight: 600 }}>
            {live ? '' : 'The line to the shop is lost: what stands here may be old.'}
          </Typography>
          <Box sx={{ ml: { md: 'auto' }, display: 'flex', gap: 1 }}>
            <Button component={NextLink} href="/wall" size="small">
              For the wall
            </Button>
            <Button component={NextLink} href="/take-in" variant="contained" size="small">
              Take a machine in
            </Button>
          </Box>
        </Box>
        {refusal && (
          <Notice live title={refusal.title}>
            {refusal.fields.map((f) => (
              <Typography key={f.field} variant="body2">
                {f.message}
              </Typography>
            ))}
          </Notice>
        )}
        {view.strips.length === 0 && <Empty>No machine is here. Take one in: g, then t.</Empty>}
        {view.strips.length > 0 && order.length === 0 && (
          <Empty>Nothing here is given to you. Take one: focus its strip, then m.</Empty>
        )}
        {dragged && <People view={view} />}
        {view.strips.length > 0 && <DayHeads view={view} now={now} />}
        {groups.map((g) => (
          <Place key={g.id} group={g} dragging={dragged !== null}>
            {g.strips.map((s) => {
              const at = order.indexOf(s);
              return (
                <BenchStripRow
                  key={s.job}
                  strip={s}
                  view={view}
                  now={now}
                  digit={at < 9 ? String(at + 1) : null}
                  onMenu={(strip, anchor) => setMenu({ strip, anchor })}
                />
              );
            })}
          </Place>
        ))}
        <Typography variant="caption" sx={{ color: 'text.secondary', display: { xs: 'none', md: 'block' } }}>
          <Key>1</Key> to <Key>9</Key> start the action of that strip; <Key>↓</Key> <Key>↑</Key> walk the strips,{' '}
          <Key>m</Key> moves the one in focus; or drag it by its grip.
        </Typography>
      </Box>
      {menu && (
        <MoveMenu
          strip={menu.strip}
          view={view}
          anchor={menu.anchor}
          onClose={() => setMenu(null)}
          onMove={(to) => void move(menu.strip, to)}
        />
      )}
    </DndContext>
  );
}

/** Digits start, arrows walk, m moves, n shows only mine. */
function useKeys(
  order: BenchStrip[],
  onMine: () => void,
  onMove: (strip: BenchStrip, anchor: HTMLElement) => void,
): void {
  const start = (job: number) => document.querySelector<HTMLElement>(`[data-start="${job}"]`);
  const focused = () => {
    const row = document.activeElement?.closest<HTMLElement>('[data-strip]');
    return order.findIndex((s) => String(s.job) === row?.dataset.strip);
  };
  useHotkeys('1,2,3,4,5,6,7,8,9', (event) => {
    const strip = order[Number(event.key) - 1];
    if (strip) start(strip.job)?.click();
  });
  useHotkeys('down,up', (event) => {
    const at = focused();
    const next = order[event.key === 'ArrowDown' ? Math.min(at + 1, order.length - 1) : Math.max(at - 1, 0)];
    if (!next) return;
    event.preventDefault();
    start(next.job)?.focus();
  });
  useHotkeys('m', (event) => {
    const strip = order[focused()];
    const anchor = strip && document.querySelector<HTMLElement>(`[data-move="${strip.job}"]`);
    if (!strip || !anchor) return;
    event.preventDefault();
    onMove(strip, anchor);
  });
  useHotkeys('n', onMine);
}

function Place({ group, dragging, children }: { group: BenchGroup; dragging: boolean; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({
    id: group.id,
    data: { place: group.place, ...(group.benchNo ? { benchNo: group.benchNo } : {}) },
  });
  return (
    <Box
      component="section"
      ref={setNodeRef}
      aria-label={group.label}
      sx={{
        bgcolor: isOver ? 'bench.well' : undefined,
        outline: dragging ? '1px dashed' : undefined,
        outlineColor: 'bench.soft',
        minHeight: dragging ? 44 : undefined,
      }}
    >
      <Typography
        component="h2"
        variant="h3"
        sx={{
          borderBottom: '2px solid',
          borderColor: 'text.primary',
          pb: 0.25,
          color: group.strips.length === 0 ? 'text.secondary' : undefined,
        }}
      >
        {group.label}
        {group.strips.length === 0 && (
          <Box component="span" sx={{ fontWeight: 400, fontFamily: fonts.text, fontSize: '0.88rem', ml: 1 }}>
            empty
          </Box>
        )}
      </Typography>
      {children}
    </Box>
  );
}

function People({ view }: { view: BenchView }) {
  return (
    <Box
      sx={{ display: 'flex', gap: 1, position: 'sticky', top: 0, zIndex: 3, bgcolor: 'background.default', py: 0.5 }}
    >
      {view.people.map((p) => (
        <Person key={p.id} id={p.id} label={`Give to ${p.name}`} />
      ))}
      <Person id={null} label="Give to nobody" />
    </Box>
  );
}

function Person({ id, label }: { id: number | null; label: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: `person-${id}`, data: { personId: id } });
  return (
    <Box
      ref={setNodeRef}
      sx={{
        px: 2,
        py: 1,
        border: '2px dashed',
        borderColor: isOver ? 'bench.action' : 'bench.soft',
        bgcolor: isOver ? 'bench.well' : 'background.paper',
        fontFamily: fonts.label,
        fontWeight: 600,
      }}
    >
      {label}
    </Box>
  );
}

const WEEKDAY = new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' });

function DayHeads({ view, now }: { view: BenchView; now: number }) {
  const days = view.days.map((d) => Date.parse(d.startsAt));
  const scale = dayScale(days, now);
  const marks = [
    ...scale.hours.map(({ at, hour }) => ({ at: scale.x(at), label: String(hour), isHour: true })),
    ...scale.days.map((i) => ({
      at: scale.x(days[i]!),
      label: `${WEEKDAY.format(new Date(`${view.days[i]!.date}T12:00:00Z`))} ${Number(view.days[i]!.date.slice(8))}`,
      isHour: false,
    })),
  ];
  return (
    <Box
      aria-hidden
      sx={{
        display: { xs: 'none', md: 'grid' },
        gridTemplateColumns: STRIP_COLUMNS,
        columnGap: 2,
        mb: -3.2,
        height: 24,
      }}
    >
      <span />
      <span />
      <Box sx={{ position: 'relative', fontFamily: fonts.label, color: 'text.secondary', fontSize: '0.9rem' }}>
        {marks.map((m) => (
          <Box
            key={m.label}
            component="span"
            sx={{
              position: 'absolute',
              bottom: 0,
              whiteSpace: 'nowrap',
              transform: m.isHour ? 'translateX(-50%)' : 'none',
              pl: m.isHour ? 0 : 0.5,
            }}
            style={{ left: `${m.at * 100}%` }}
          >
            {m.label}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
