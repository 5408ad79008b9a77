'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { SUPPLY_VOLTS } from '@/core/units/supplyVolts';
import { knowledge } from '@/knowledge';
import { planItemsOn } from '@/knowledge/plans';
import type { ModelView } from '@/shop/models/dto';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { plateLines, readPlates } from './plateLines';
import { readStations, stationLines } from './stationLines';

const kindLabel = (id: string) => knowledge.kinds.find((k) => k.id === id)?.label ?? id;
const stationLabel = (kind: string, id: string) =>
  knowledge.kinds
    .find((k) => k.id === kind)
    ?.lines.flatMap((l) => l.stations)
    .find((s) => s.id === id)?.label ?? id;

const values = (m: ModelView) => ({
  maker: m.maker,
  name: m.name,
  kind: m.kind,
  mainsV: String(m.mainsV),
  warrantyMonths: String(m.warrantyMonths),
  belts: m.belts,
  bearings: m.bearings,
  filters: m.filters,
  droppedStations: m.droppedStations,
  addedStations: stationLines(m.addedStations),
  plates: plateLines(m.plates),
  sealedBattery: m.sealedBattery === null ? '' : m.sealedBattery ? 'yes' : 'no',
  note: m.note,
});

const EMPTY_MODEL: ModelView = {
  id: 0,
  version: 0,
  maker: '',
  name: '',
  kind: knowledge.kinds[0]!.id,
  mainsV: 120,
  warrantyMonths: 24,
  belts: [],
  bearings: [],
  filters: [],
  droppedStations: [],
  addedStations: [],
  note: '',
  plates: [],
  sealedBattery: null,
  machines: 0,
};

function fields(kindId: string): EditField[] {
  const kind = knowledge.kinds.find((k) => k.id === kindId);
  const optional = kind?.lines.flatMap((l) => l.stations.filter((s) => s.optional).map((s) => s.id)) ?? [];
  return [
    { name: 'maker', label: 'Maker', span: 3 },
    { name: 'name', label: 'Model', span: 3 },
    {
      name: 'kind',
      label: 'Kind',
      sort: 'choice',
      choices: knowledge.kinds.map((k) => ({ value: k.id, label: k.label })),
    },
    {
      name: 'mainsV',
      label: 'Supply',
      sort: 'choice',
      choices: SUPPLY_VOLTS.map((v) => ({ value: String(v), label: `${v} V` })),
      span: 3,
    },
    { name: 'warrantyMonths', label: 'Warranty, months', sort: 'number', span: 3 },
    { name: 'belts', label: 'Belts, one a line', sort: 'lines', span: 2 },
    { name: 'bearings', label: 'Bearings', sort: 'lines', span: 2 },
    { name: 'filters', label: 'Filters', sort: 'lines', span: 2 },
    {
      name: 'droppedStations',
      label: 'Parts of the kind that it does not have',
      sort: 'lines',
      help: `one a line, such as ${optional.slice(0, 3).join(', ')}`,
      span: 3,
    },
    {
      name: 'addedStations',
      label: 'Parts that it has besides',
      sort: 'lines',
      help: 'one a line: power, after cord: leakage switch',
      span: 3,
    },
    {
      name: 'plates',
      label: 'What its plate says of its service',
      sort: 'lines',
      help: `one a line, such as ${planItemsOn(kindId)[0]?.id ?? 'safety-test'}: 90 days, 50 h, 25 uses`,
      ...(kind?.supply === 'lead-acid' ? { span: 3 as const } : {}),
    },
    ...(kind?.supply === 'lead-acid'
      ? [
          {
            name: 'sealedBattery',
            label: 'Its batteries are closed',
            sort: 'choice' as const,
            choices: [
              { value: '', label: 'not known' },
              { value: 'yes', label: 'yes: no water' },
              { value: 'no', label: 'no: they are watered' },
            ],
            span: 3 as const,
          },
        ]
      : []),
    { name: 'note', label: 'Note', sort: 'long' },
  ];
}

const lines = (v: unknown) => (v as string[]).map((l) => l.trim()).filter(Boolean);

/** The shop's own list of models: what belongs to each. */
export function ModelsScreen({ models, mayPut }: { models: ModelView[]; mayPut: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState<ModelView | null>(null);
  const [merging, setMerging] = useState<ModelView | null>(null);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography component="h1" variant="h2">
          Models
        </Typography>
        {mayPut && (
          <Button size="small" variant="contained" onClick={() => setOpen(EMPTY_MODEL)}>
            Add a model
          </Button>
        )}
      </Box>
      {models.length === 0 ? (
        <Empty>No model yet: add the first, then take a machine in.</Empty>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Models of the shop">
          <Table size="small">
            <TableHead>
              <TableRow>
                {[
                  'Model',
                  'Kind',
                  'Supply',
                  'Warranty',
                  'Belts',
                  'Bearings',
                  'Filters',
                  'Without',
                  'Machines',
                  'Change',
                ].map((h) => (
                  <TableCell key={h}>{h}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {models.map((m) => (
                <TableRow key={m.id}>
                  <TableCell>
                    <strong>
                      {m.maker} {m.name}
                    </strong>
                  </TableCell>
                  <TableCell>{kindLabel(m.kind)}</TableCell>
                  <TableCell>
                    <Reading>{m.mainsV} V</Reading>
                  </TableCell>
                  <TableCell>
                    <Reading>{m.warrantyMonths} mo</Reading>
                  </TableCell>
                  <TableCell>{m.belts.join(', ')}</TableCell>
                  <TableCell>{m.bearings.join(', ')}</TableCell>
                  <TableCell>{m.filters.join(', ')}</TableCell>
                  <TableCell>{m.droppedStations.map((s) => stationLabel(m.kind, s)).join(', ')}</TableCell>
                  <TableCell>
                    <Reading>{m.machines}</Reading>
                  </TableCell>
                  <TableCell>
                    {mayPut && (
                      <Button size="small" onClick={() => setOpen(m)} aria-label={`Change ${m.maker} ${m.name}`}>
                        Change
                      </Button>
                    )}
                    <Button
                      component={NextLink}
                      size="small"
                      href={`/shop/models/${m.id}`}
                      aria-label={`The way into ${m.maker} ${m.name}`}
                    >
                      Way in
                    </Button>
                    {mayPut && models.some((x) => x.id !== m.id && x.kind === m.kind) && (
                      <Button size="small" onClick={() => setMerging(m)} aria-label={`Merge into ${m.maker} ${m.name}`}>
                        Merge
                      </Button>
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      {merging && (
        <EditSheet<unknown>
          title={`The same as ${merging.maker} ${merging.name}`}
          fields={[
            {
              name: 'other',
              label: 'Which model is this one too?',
              sort: 'choice',
              choices: models
                .filter((m) => m.id !== merging.id && m.kind === merging.kind)
                .map((m) => ({ value: String(m.id), label: `${m.maker} ${m.name}, ${m.machines} machines` })),
              help: 'Its machines and what was learned go over to this one; its name is gone.',
            },
          ]}
          values={{ other: '' }}
          version={merging.version}
          dto={async () => (await import('@/shop/models/dto')).MergeModelsDto}
          url={`/api/v1/models/${merging.id}/merge-models`}
          saveLabel="Make one of them"
          body={(v) => ({ other: Number(v.other) })}
          onDone={() => {
            setMerging(null);
            router.refresh();
          }}
          onClose={() => setMerging(null)}
        />
      )}
      {open && (
        <EditSheet<unknown>
          title={open.id === 0 ? 'A new model' : `${open.maker} ${open.name}`}
          fields={fields(open.kind)}
          values={values(open)}
          {...(open.id === 0 ? {} : { version: open.version })}
          dto={async () => (await import('@/shop/models/dto')).PutModelDto}
          url={open.id === 0 ? '/api/v1/models' : `/api/v1/models/${open.id}`}
          draft={`model-${open.id === 0 ? 'new' : open.id}`}
          body={({ sealedBattery, ...v }) => ({
            ...v,
            plates: readPlates(lines(v.plates)),
            sealedBattery: sealedBattery === 'yes' ? true : sealedBattery === 'no' ? false : null,
            mainsV: Number(v.mainsV),
            warrantyMonths: Number(v.warrantyMonths),
            belts: lines(v.belts),
            bearings: lines(v.bearings),
            filters: lines(v.filters),
            droppedStations: lines(v.droppedStations),
            addedStations: readStations(lines(v.addedStations)),
          })}
          current={(m) => ({ values: values(m as ModelView), version: (m as ModelView).version })}
          onDone={() => {
            setOpen(null);
            router.refresh();
          }}
          onClose={() => setOpen(null)}
        />
      )}
    </Box>
  );
}
