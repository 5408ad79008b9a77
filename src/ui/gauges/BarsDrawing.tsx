'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import type { Drawing } from '@/core/gauges/gauge';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

type Props = Extract<Drawing, { draw: 'bars' }>;

/** Bars against a limit; the odd ones are filled dark and hatched, so that they stand out without colour. */
export function BarsDrawing({ label, y, bars, limit }: Props) {
  const option = useCallback(
    (colours: BenchColours) => ({
      textStyle: { fontFamily: fonts.text, color: colours.ink },
      grid: { left: 52, right: 14, top: 26, bottom: bars.length > 12 ? 26 : 46 },
      tooltip: { trigger: 'item' },
      xAxis: {
        type: 'category',
        data: bars.map((b) => b.name),
        axisTick: { show: false },
        axisLabel: {
          color: colours.soft,
          interval: bars.length > 12 ? 'auto' : 0,
          width: 92,
          overflow: 'break',
          fontFamily: fonts.label,
        },
      },
      yAxis: {
        type: 'value',
        name: y,
        // Only bars that all stand close to the limit may begin elsewhere than at nothing: others would lie about their height.
        scale: limit !== undefined && bars.every((b) => b.value > 0.7 * limit && b.value < 1.3 * limit),
        nameTextStyle: { color: colours.soft, align: 'left', padding: [0, 0, 0, -40] },
        axisLabel: { color: colours.soft, fontFamily: fonts.reading },
        splitLine: { lineStyle: { color: colours.rule } },
      },
      series: [
        {
          type: 'bar',
          barMaxWidth: 46,
          data: bars.map((b) => ({
            value: Number(b.value.toPrecision(4)),
            ...(b.over && {
              label: { show: true, position: 'top', formatter: b.over, color: colours.ink, fontFamily: fonts.reading },
              tooltip: { formatter: `${b.name}: ${b.over}` },
            }),
            itemStyle: b.odd
              ? {
                  color: colours.lines.drive,
                  decal: {
                    symbol: 'rect',
                    dashArrayX: [1, 0],
                    dashArrayY: [3, 4],
                    rotation: -0.7,
                    color: colours.sheet,
                  },
                }
              : { color: colours.rule, borderColor: colours.soft, borderWidth: 1 },
          })),
          ...(limit === undefined
            ? {}
            : {
                markLine: {
                  silent: true,
                  symbol: 'none',
                  label: { show: false },
                  lineStyle: { color: colours.ink, type: 'dashed', width: 1.5 },
                  data: [{ yAxis: limit }],
                },
              }),
        },
      ],
    }),
    [y, bars, limit],
  );
  const odd = bars.filter((b) => b.odd).map((b) => b.name);
  return (
    <Box>
      <Typography component="h2" variant="body2" sx={{ fontWeight: 600 }}>
        {label}
      </Typography>
      <Chart
        option={option}
        height={26}
        label={`${label}: ${odd.length ? `${odd.join(', ')} stand out` : 'none stands out'}`}
      />
    </Box>
  );
}
