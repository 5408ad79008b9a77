'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import type { Drawing } from '@/core/gauges/gauge';
import { fromBase } from '@/core/units/units';
import { shownIn, unitFor, type UnitSystem } from '@/core/units/unitSystem';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

type Props = Extract<Drawing, { draw: 'chart' }> & { units: UnitSystem };

/** Curves and points in the shop's units, the other system under the pointer: lines are drawn full, limits and what is healthy dashed, readings as rings. */
export function CurveDrawing({ label, x, y, series, units }: Props) {
  const dates = x === 'date';
  const option = useCallback(
    (colours: BenchColours) => {
      const strokes = [colours.lines.drive, colours.lines.air, colours.lines.power];
      let line = 0;
      const along = (q: typeof x, value: number) =>
        q === 'date' ? value : Number(fromBase(q, value, unitFor(q, units)).toPrecision(6));
      const other = units === 'inch' ? 'metric' : 'inch';
      const axis = (name: string, middle: boolean) => ({
        type: 'value',
        name,
        nameLocation: middle ? 'middle' : 'end',
        nameGap: middle ? 26 : 10,
        nameTextStyle: { color: colours.soft },
        axisLabel: { color: colours.soft, fontFamily: fonts.reading, hideOverlap: true },
        splitLine: { lineStyle: { color: colours.rule } },
      });
      return {
        textStyle: { fontFamily: fonts.text, color: colours.ink },
        grid: { left: 52, right: 18, top: 44, bottom: 42 },
        legend: { top: 0, left: 0, itemGap: 14, textStyle: { color: colours.ink, fontFamily: fonts.text } },
        tooltip: {
          trigger: 'item',
          formatter: ({ seriesIndex, dataIndex }: { seriesIndex: number; dataIndex: number }) => {
            const [px, py] = series[seriesIndex]!.points[dataIndex]!;
            const at = x === 'date' ? new Date(px).toISOString().slice(0, 10) : shownIn(x, px, units);
            const both = unitFor(y, units) === unitFor(y, other) ? '' : ` (${shownIn(y, py, other)})`;
            return `${at}: ${shownIn(y, py, units)}${both}`;
          },
        },
        xAxis: dates ? { ...axis('', true), type: 'time' } : { ...axis(unitFor(x, units), true), min: 'dataMin' },
        yAxis: { ...axis(unitFor(y, units), false), scale: true },
        series: series.map((s) => {
          const data = s.points.map(([px, py]) => [along(x, px), along(y, py)]);
          if (s.as === 'points')
            return {
              name: s.name,
              type: 'scatter',
              data,
              symbol: 'circle',
              symbolSize: 11,
              z: 5,
              itemStyle: { color: colours.sheet, borderColor: colours.ink, borderWidth: 2.5 },
            };
          if (s.as === 'limit')
            return {
              name: s.name,
              type: 'line',
              data,
              symbol: 'none',
              lineStyle: { color: colours.soft, width: 1.5, type: 'dashed' },
              itemStyle: { color: colours.soft },
            };
          const stroke = strokes[line++ % strokes.length]!;
          return {
            name: s.name,
            type: 'line',
            data,
            symbol: 'none',
            lineStyle: { color: stroke, width: 2.5 },
            itemStyle: { color: stroke },
          };
        }),
      };
    },
    [x, y, series, dates, units],
  );
  const words = series.map((s) => `${s.name}, ${s.points.length} points`).join('; ');
  return (
    <Box>
      <Typography component="h2" variant="body2" sx={{ fontWeight: 600 }}>
        {label}
      </Typography>
      <Chart option={option} height={30} label={`${label}: ${words}`} />
    </Box>
  );
}
