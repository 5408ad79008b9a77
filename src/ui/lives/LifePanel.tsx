'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo, useRef, useState } from 'react';
import { moneyText } from '@/core/money/currency';
import { replacementAge } from '@/core/service/replacementAge';
import type { LifeView } from '@/shop/lives/dto';
import { allRead } from '../parts/allRead';
import { MoneyField } from '../parts/MoneyField';
import { Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { Reading } from '../parts/Reading';
import { CostCurve, HazardCurve, LifeCurve } from './LifeCharts';

const YEAR_DAYS = 365.25;

/** One part's life: what was seen, what follows for when to replace it, and the number behind every proposal. */
export function LifePanel({
  life,
  isOwn,
  mayTake,
  onTaken,
}: {
  life: LifeView;
  isOwn: boolean;
  mayTake: boolean;
  onTaken: () => void;
}) {
  const [planned, setPlanned] = useState<number | null>(life.plannedMinor);
  const [failure, setFailure] = useState<number | null>(life.failureMinor);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const money = useCallback((minor: number) => moneyText(minor, life.currency, life.locale), [life]);
  const { fit } = life;
  const prices = planned && failure ? { planned, failure } : null;
  const plan = useMemo(
    () => (fit && prices ? replacementAge(fit, prices) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the two prices are what it hangs on
    [fit, planned, failure],
  );
  const panel = useRef<HTMLElement>(null);
  const put = async (path: string, body: object) => {
    // What is proposed goes by prices that may not be those that stand there.
    if (!allRead(panel.current)) return;
    const sent = await send('POST', `/api/v1/lives/${path}`, { key: crypto.randomUUID(), kind: life.kind, ...body });
    if (sent.ok) onTaken();
    else setRefusal(sent.refusal);
  };
  const range = ([low, high]: [number, number], unit: number, places: number) =>
    `${(low / unit).toFixed(places)} to ${Number.isFinite(high) ? (high / unit).toFixed(places) : 'any'}`;
  return (
    <Box ref={panel} component="section" aria-label={life.label} sx={{ display: 'grid', gap: 1.25 }}>
      <Typography component="h2" variant="h2">
        {life.label}
      </Typography>
      {fit === null ? (
        <Notice title="Fewer than two failures were seen: the usual life holds." />
      ) : (
        <Typography variant="body2">
          {fit.failures} failed, {fit.stillWhole} were whole when last seen. Shape{' '}
          <Reading strong>{fit.shape.toFixed(2)}</Reading> ({range(fit.shapeRange, 1, 2)}): {ageing(fit.shapeRange)}.
          Scale <Reading strong>{(fit.scale / YEAR_DAYS).toFixed(1)}</Reading> years (
          {range(fit.scaleRange, YEAR_DAYS, 1)}), with 95 %.
          {life.few && ' So few tell too little to go by.'}
        </Typography>
      )}
      <LifeCurve life={life} />
      {life.groups.length > 1 && (
        <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 28 } }}>
          <Typography component="summary" variant="body2">
            By model and by use
          </Typography>
          {life.groups.map((g) => (
            <Typography key={g.name} variant="body2" sx={{ display: 'flex', gap: 1.5 }}>
              <Box component="span" sx={{ flex: 1 }}>
                {g.name}
              </Box>
              <Reading>{g.failures} failed</Reading>
              {g.scale === null ? (
                <Box component="span" sx={{ color: 'text.secondary', width: 190 }}>
                  too few: goes by the whole kind
                </Box>
              ) : (
                <Box component="span" sx={{ width: 190 }}>
                  <Reading strong>{(g.scale / YEAR_DAYS).toFixed(1)}</Reading> years (
                  {range(g.scaleRange!, YEAR_DAYS, 1)})
                </Box>
              )}
            </Typography>
          ))}
        </Box>
      )}
      {fit && (
        <>
          <Box
            sx={{
              display: 'grid',
              gap: 1,
              gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' },
            }}
          >
            <HazardCurve life={life} />
            {prices && plan && <CostCurve life={life} {...prices} best={plan.age} money={money} />}
          </Box>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
            <MoneyField
              size="small"
              sx={{ width: 150 }}
              label="Planned"
              currency={life.currency}
              minor={planned}
              onMinor={setPlanned}
            />
            <MoneyField
              size="small"
              sx={{ width: 150 }}
              label="When it fails"
              currency={life.currency}
              minor={failure}
              onMinor={setFailure}
            />
          </Box>
          {plan && (
            <Typography variant="body2">
              {Number.isFinite(plan.age) ? (
                <>
                  Replaced at <Reading strong>{Math.round(plan.age)} days</Reading> a year costs{' '}
                  {money(Math.round(plan.costRate * YEAR_DAYS))}; waiting for every failure{' '}
                  {money(Math.round(plan.runToFailureRate * YEAR_DAYS))}.
                </>
              ) : (
                <>
                  Nothing is gained by replacing it early: waiting for the failure costs{' '}
                  {money(Math.round(plan.runToFailureRate * YEAR_DAYS))} a year.
                </>
              )}
            </Typography>
          )}
          {refusal && <Notice live title={refusal.fields[0]?.message ?? refusal.title} />}
          {mayTake && !life.few && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {plan &&
                Number.isFinite(plan.age) &&
                life.items.map((i) => (
                  <Button
                    key={i.item}
                    size="small"
                    onClick={() =>
                      void put('interval', {
                        item: i.item,
                        days: Math.max(7, Math.round(plan.age)),
                        why: `Least cost: ${fit.failures} failures, ${fit.stillWhole} whole; shape ${fit.shape.toFixed(2)}, scale ${(fit.scale / YEAR_DAYS).toFixed(1)} years`,
                      })
                    }
                  >
                    {i.label}: every {Math.round(plan.age)} days{i.days !== null && ` in place of ${i.days}`}
                  </Button>
                ))}
              <Button size="small" onClick={() => void put('life', { fault: life.fault, take: !isOwn })}>
                {isOwn ? 'Reckon with the usual life again' : 'Reckon with this life'}
              </Button>
            </Box>
          )}
        </>
      )}
    </Box>
  );
}

/** What its shape says, as far as it is known. */
function ageing([low, high]: [number, number]): string {
  if (low > 1) return 'it wears out';
  if (high < 1) return 'it fails early or not at all';
  return 'whether it ages is not known';
}
