'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { GROUP_TITLES, LINE_GROUPS, type LineGroup } from '@/core/agree/offers';
import type { LineSort } from '@/core/money/bill';
import type { ProposalView } from '@/shop/agree/dto';
import { CountField } from '../parts/CountField';
import { MoneyField } from '../parts/MoneyField';
import type { Refusal } from '../parts/post';
import { Empty } from '../parts/Notice';
import { callOutLine, moved, ownLine, type DraftLine } from './offerDraft';
import type { OfferDesk } from './useOffer';

const SAYS: Record<LineGroup, string> = {
  must: 'it does not work, or not safely, without it',
  now: 'worn, and nearly free now',
  wait: 'with its likely month',
  not: 'and why',
};

/** The lines of the offer in their four groups; 1 to 4 move the line under the hand, Delete takes it out. */
export function OfferLines({
  offer,
  proposal,
  disabled,
  problems,
}: {
  offer: OfferDesk;
  proposal: ProposalView;
  disabled: boolean;
  /** What the server would not take, by field. */
  problems: Refusal['fields'];
}) {
  const { draft, change } = offer;
  if (!draft) return null;
  const set = (id: string, more: Partial<DraftLine>) =>
    change({ lines: draft.lines.map((l) => (l.id === id ? { ...l, ...more } : l)) });
  return (
    <Box component="section" aria-label="Lines of the offer">
      {LINE_GROUPS.map((group) => {
        const lines = draft.lines.filter((l) => l.group === group);
        if (lines.length === 0 && group !== 'must') return null;
        return (
          <Box key={group} sx={{ mb: 1.25 }}>
            <Typography component="h3" variant="h3" sx={{ borderBottom: '2px solid', borderColor: 'bench.soft' }}>
              {GROUP_TITLES[group]}{' '}
              <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400, fontSize: '0.85em' }}>
                {SAYS[group]}
              </Box>
            </Typography>
            {lines.length === 0 && <Empty>Nothing is proved yet: add what you stand behind, or go back to Find.</Empty>}
            {lines.map((line) => (
              <Row
                key={line.id}
                line={line}
                proposal={proposal}
                disabled={disabled}
                problem={problems.find((p) => p.field.startsWith(`lines[${draft.lines.indexOf(line)}]`))?.message}
                onMove={(to) => change({ lines: moved(draft.lines, line.id, to) })}
                onDrop={() => change({ lines: draft.lines.filter((l) => l.id !== line.id) })}
                onSet={(more) => set(line.id, more)}
              />
            ))}
          </Box>
        );
      })}
      {!disabled && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {(['labour', 'part', 'material', 'fee'] as LineSort[]).map((sort) => (
            <Button key={sort} size="small" onClick={() => change({ lines: [...draft.lines, ownLine(sort)] })}>
              Add {sort}
            </Button>
          ))}
          {proposal.charges.callOutMinor > 0 && (
            <Button
              size="small"
              onClick={() => change({ lines: [...draft.lines, callOutLine(proposal.charges.callOutMinor)] })}
            >
              Add coming there
            </Button>
          )}
          <Button size="small" variant="text" color="inherit" onClick={offer.afresh}>
            As proposed
          </Button>
        </Box>
      )}
    </Box>
  );
}

interface RowProps {
  line: DraftLine;
  proposal: ProposalView;
  disabled: boolean;
  problem: string | undefined;
  onMove: (to: LineGroup) => void;
  onDrop: () => void;
  onSet: (more: Partial<DraftLine>) => void;
}

function Row({ line, proposal, disabled, problem, onMove, onDrop, onSet }: RowProps) {
  const { currency, labourMinor } = proposal;
  const what = line.label || 'new line';
  return (
    <Box
      onKeyDown={(e) => {
        if (disabled || e.target instanceof HTMLInputElement || e.target instanceof HTMLSelectElement) return;
        const at = ['1', '2', '3', '4'].indexOf(e.key);
        if (at >= 0) onMove(LINE_GROUPS[at]!);
        else if (e.key === 'Delete') onDrop();
        else return;
        e.preventDefault();
      }}
      tabIndex={0}
      role="group"
      aria-label={what}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 148px 96px 26px' },
        columnGap: 1,
        alignItems: 'start',
        py: 0.5,
        borderBottom: '1px solid',
        borderColor: 'divider',
        opacity: line.group === 'not' ? 0.75 : 1,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        {line.id.startsWith('own-') ? (
          <InputBase
            value={line.label}
            disabled={disabled}
            placeholder="What it is"
            onChange={(e) => onSet({ label: e.target.value })}
            inputProps={{ 'aria-label': 'What it is', maxLength: 160 }}
            sx={{ borderBottom: '1px solid', borderColor: 'bench.soft', width: '100%' }}
          />
        ) : (
          <Typography variant="body2" sx={{ fontWeight: line.sort === 'labour' ? 400 : 600 }}>
            {line.label}
            {line.safety && (
              <Box component="span" sx={{ color: 'bench.hazard', fontWeight: 600 }}>
                {' '}
                safety
              </Box>
            )}
          </Typography>
        )}
        {(line.reason || line.until) && line.group !== 'not' && (
          <Typography variant="body2" sx={{ color: 'text.secondary', fontSize: '0.86em' }}>
            {line.sort === 'labour' && line.until && `by ${line.until}. `}
            {line.reason}
          </Typography>
        )}
        {line.group === 'not' && (
          <InputBase
            value={line.reason}
            disabled={disabled}
            placeholder="Why it is not worth it"
            onChange={(e) => onSet({ reason: e.target.value })}
            inputProps={{ 'aria-label': `Why not: ${what}`, maxLength: 300 }}
            sx={{ borderBottom: '1px solid', borderColor: 'bench.soft', width: '100%', fontSize: '0.9em' }}
          />
        )}
        {problem && (
          <Typography variant="body2" role="alert" sx={{ color: 'bench.hazard', fontSize: '0.86em' }}>
            {problem}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center', justifyContent: 'flex-end' }}>
        {line.minutes !== null ? (
          <LineNumber
            value={line.minutes}
            most={6000}
            label={`Minutes: ${what}`}
            unit={labourMinor === null ? 'min, no rate' : 'min'}
            disabled={disabled}
            onValue={(minutes) => onSet({ minutes: Math.round(minutes * 10) / 10 })}
          />
        ) : (
          <>
            <LineNumber
              value={line.thousandths / 1000}
              most={1000}
              label={`How many: ${what}`}
              unit="×"
              disabled={disabled}
              onValue={(n) => onSet({ thousandths: Math.round(n * 1000) })}
            />
            <MoneyField
              variant="standard"
              minor={line.eachMinor}
              currency={currency}
              disabled={disabled}
              error={line.eachMinor === null}
              placeholder="price?"
              onMinor={(eachMinor) => onSet({ eachMinor })}
              slotProps={{ htmlInput: { 'aria-label': `Price: ${what}`, style: { textAlign: 'right', width: 62 } } }}
            />
          </>
        )}
      </Box>
      <Box
        component="select"
        aria-label={`Group: ${what}`}
        title={`Group of ${what}, keys 1 to 4`}
        value={line.group}
        disabled={disabled}
        onChange={(e) => onMove(e.target.value as LineGroup)}
        sx={{
          font: 'inherit',
          fontSize: '0.9em',
          color: 'text.primary',
          bgcolor: 'background.paper',
          border: '1px solid',
          borderColor: 'bench.rule',
          borderRadius: '3px',
          minHeight: 30,
        }}
      >
        <option value="must">must</option>
        <option value="now">now</option>
        <option value="wait">can wait</option>
        <option value="not">not worth it</option>
      </Box>
      <Button
        size="small"
        variant="text"
        color="inherit"
        disabled={disabled}
        aria-label={`Take out: ${what}`}
        onClick={onDrop}
        sx={{ minWidth: 0, px: 0.5 }}
      >
        ×
      </Button>
    </Box>
  );
}

/** A number of a line, with its unit; nothing typed is nought. */
function LineNumber({
  value,
  most,
  label,
  unit,
  disabled,
  onValue,
}: {
  value: number;
  most: number;
  label: string;
  unit: string;
  disabled: boolean;
  onValue: (value: number) => void;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.5 }}>
      <CountField
        variant="standard"
        value={value}
        least={0}
        most={most}
        whole={false}
        disabled={disabled}
        onValue={(n) => onValue(n ?? 0)}
        slotProps={{ htmlInput: { 'aria-label': label, style: { textAlign: 'right', width: 36 } } }}
      />
      <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
        {unit}
      </Typography>
    </Box>
  );
}
