'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo } from 'react';
import { costAt } from '@/core/service/replacementAge';
import type { CumulativePoint } from '@/core/service/meanCumulative';
import type { LifeView } from '@/shop/lives/dto';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

const MONTH_DAYS = 30.4375;
const months = (days: number) => Math.round((10 * days) / MONTH_DAYS) / 10;

function frame(colours: BenchColours, y: string, max?: number) {
  return {
    textStyle: { fontFamily: fonts.text, color: colours.ink },
    grid: { left: 58, right: 16, top: 30, bottom: 42 },
    xAxis: {
      type: 'value',
      name: 'months',
      nameLocation: 'middle',
      nameGap: 26,
      min: 0,
      ...(max === undefined ? {} : { max: Math.ceil(months(max)) }),
      nameTextStyle: { color: colours.soft },
      axisLabel: { color: colours.soft, fontFamily: fonts.reading },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      name: y,
      min: 0,
      nameTextStyle: { color: colours.soft, align: 'left' },
      axisLabel: { color: colours.soft, fontFamily: fonts.reading },
      splitLine: { lineStyle: { color: colours.rule } },
    },
  };
}

/** The share still whole: as it was seen, failure by failure; the fitted life within its band; the usual one. */
export function LifeCurve({ life }: { life: LifeView }) {
  const option = useCallback(
    (colours: BenchColours) => {
      const { band, steps, usual } = life;
      const most = band.at(-1)?.age ?? Math.max(400, ...steps.map((s) => 1.2 * s.time));
      const plain = { type: 'line', symbol: 'none', silent: true };
      const at = (age: number, share: number) => [months(age), Math.round(1000 * share) / 10];
      const ages = Array.from({ length: 61 }, (_, i) => (most * i) / 60);
      return {
        ...frame(colours, 'still whole, %', most),
        legend: { top: 0, right: 0, textStyle: { color: colours.ink }, data: ['seen', 'fitted', 'usual'] },
        series: [
          { ...plain, stack: 'band', lineStyle: { opacity: 0 }, data: band.map((b) => at(b.age, b.low)) },
          {
            ...plain,
            stack: 'band',
            lineStyle: { opacity: 0 },
            areaStyle: { color: colours.lines.drive, opacity: 0.14 },
            data: band.map((b) => at(b.age, b.high - b.low)),
          },
          { ...plain, name: 'fitted', color: colours.lines.drive, data: band.map((b) => at(b.age, b.whole)) },
          {
            ...plain,
            name: 'usual',
            color: colours.soft,
            lineStyle: { type: 'dashed', width: 1.5 },
            data: ages.map((a) => at(a, Math.exp(-((a / usual.scaleDays) ** usual.shape)))),
          },
          {
            type: 'line',
            name: 'seen',
            step: 'end',
            symbol: 'rect',
            symbolSize: 5,
            color: colours.ink,
            lineStyle: { width: 1.5 },
            data: [at(0, 1), ...steps.map((s) => at(s.time, s.whole))],
          },
        ],
      };
    },
    [life],
  );
  const words = life.steps.map((s) => `${months(s.time)} months ${Math.round(100 * s.whole)} %`).join(', ');
  return <Chart option={option} height={32} label={`Share still whole: ${words}`} />;
}

/** How likely one that is whole fails in the next month, by its age: rising, it wears out; level, it does not age. */
export function HazardCurve({ life }: { life: LifeView }) {
  const points = useMemo(() => {
    const { fit, band } = life;
    if (!fit) return [];
    const sum = (t: number) => (t / fit.scale) ** fit.shape;
    return band.map((b): [number, number] => [
      months(b.age),
      Math.round(10_000 * -Math.expm1(sum(b.age) - sum(b.age + MONTH_DAYS))) / 100,
    ]);
  }, [life]);
  const option = useCallback(
    (colours: BenchColours) => ({
      ...frame(colours, 'fail in the next month, %', life.band.at(-1)?.age),
      series: [{ type: 'line', symbol: 'none', silent: true, color: colours.hazard, data: points }],
    }),
    [points, life],
  );
  const last = points.at(-1);
  return (
    <Chart
      option={option}
      height={24}
      label={`Chance to fail within a month, by age: ${points[0]?.[1]} % new, ${last?.[1]} % at ${last?.[0]} months`}
    />
  );
}

/** What a year costs when the part is replaced at an age, and when every failure is waited for. */
export function CostCurve({
  life,
  planned,
  failure,
  best,
  money,
}: {
  life: LifeView;
  planned: number;
  failure: number;
  best: number;
  money: (minor: number) => string;
}) {
  const points = useMemo(() => {
    const { fit, band } = life;
    if (!fit) return [];
    return costAt(
      fit,
      { planned, failure },
      band.slice(2).map((b) => b.age),
    ).map((c): [number, number] => [months(c.age), Math.round(c.costRate * 365.25)]);
  }, [life, planned, failure]);
  const option = useCallback(
    (colours: BenchColours) => {
      const base = frame(colours, 'a year costs', life.band.at(-1)?.age);
      return {
        ...base,
        yAxis: {
          ...base.yAxis,
          axisLabel: { ...base.yAxis.axisLabel, formatter: (v: number) => money(v) },
        },
        grid: { ...base.grid, left: 78 },
        series: [
          {
            type: 'line',
            symbol: 'none',
            silent: true,
            color: colours.lines.power,
            data: points.filter(([, y]) => y < 4 * Math.min(...points.map((p) => p[1]))),
            ...(Number.isFinite(best)
              ? {
                  markLine: {
                    silent: true,
                    symbol: 'none',
                    label: { formatter: 'least', color: colours.ink },
                    lineStyle: { color: colours.brass, width: 2 },
                    data: [{ xAxis: months(best) }],
                  },
                }
              : {}),
          },
        ],
      };
    },
    [points, best, money, life],
  );
  return (
    <Chart
      option={option}
      height={24}
      label={`Cost of a year by the age of replacement: ${points
        .filter((_, i) => i % 12 === 0)
        .map(([m, c]) => `${m} months ${money(c)}`)
        .join(', ')}`}
    />
  );
}

/** How many failures a machine has had up to an age, on the average, with twice the standard error. */
export function FleetCurve({ points, machines }: { points: CumulativePoint[]; machines: number }) {
  const option = useCallback(
    (colours: BenchColours) => {
      const plain = { type: 'line', step: 'end', symbol: 'none', silent: true };
      const round = (x: number) => Math.round(100 * x) / 100;
      return {
        ...frame(colours, 'failures of a machine so far'),
        series: [
          {
            ...plain,
            stack: 'band',
            lineStyle: { opacity: 0 },
            data: points.map((p) => [months(p.age), round(Math.max(0, p.failures - 2 * p.error))]),
          },
          {
            ...plain,
            stack: 'band',
            lineStyle: { opacity: 0 },
            areaStyle: { color: colours.lines.air, opacity: 0.14 },
            data: points.map((p) => [
              months(p.age),
              round(p.failures + 2 * p.error - Math.max(0, p.failures - 2 * p.error)),
            ]),
          },
          {
            ...plain,
            color: colours.lines.air,
            data: points.map((p) => [months(p.age), round(p.failures)]),
          },
        ],
      };
    },
    [points],
  );
  const last = points.at(-1);
  if (!last) return null;
  return (
    <Box>
      <Chart
        option={option}
        height={28}
        label={`Failures of a machine: ${last.failures.toFixed(2)} after ${months(last.age)} months`}
      />
      <Typography variant="caption" sx={{ color: 'text.secondary' }}>
        {machines} machines, counted from their first visit here; the band is two standard errors.
      </Typography>
    </Box>
  );
}
