'use client';

import { useCallback } from 'react';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

/** Points of one quantity along time. */
export interface TimeSeries {
  name: string;
  unit: string;
  points: { at: string; value: number }[];
}

/** One or two quantities along time. */
export function TimeChart({ series, label }: { series: TimeSeries[]; label: string }) {
  const option = useCallback(
    (colours: BenchColours) => ({
      textStyle: { fontFamily: fonts.text, color: colours.ink },
      grid: { left: 52, right: 52, top: 36, bottom: 28 },
      tooltip: { trigger: 'axis' },
      legend: { top: 0, textStyle: { color: colours.ink } },
      xAxis: { type: 'time', axisLabel: { color: colours.soft }, axisLine: { lineStyle: { color: colours.soft } } },
      yAxis: series.map((item, i) => ({
        type: 'value',
        name: item.unit,
        position: i === 0 ? 'left' : 'right',
        nameTextStyle: { color: colours.soft },
        axisLabel: { color: colours.soft, fontFamily: fonts.reading },
        splitLine: { show: i === 0, lineStyle: { color: colours.rule } },
        scale: true,
      })),
      series: series.map((item, i) => ({
        type: 'line',
        name: item.name,
        yAxisIndex: i,
        symbol: i === 0 ? 'circle' : 'rect',
        symbolSize: 8,
        lineStyle: { type: i === 0 ? 'solid' : 'dashed' },
        color: i === 0 ? colours.lines.drive : colours.lines.air,
        data: item.points.map((p) => [p.at, p.value]),
      })),
    }),
    [series],
  );
  const words = series
    .flatMap((q) => q.points.map((p) => `${p.at.slice(0, 10)} ${q.name} ${p.value} ${q.unit}`))
    .join('; ');
  return <Chart option={option} label={`${label}: ${words}`} />;
}
