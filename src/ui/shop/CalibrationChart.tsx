'use client';

import type { CustomSeriesRenderItemAPI } from 'echarts/types/dist/shared';
import { useCallback } from 'react';
import type { LearningView } from '@/shop/learning/dto';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

/** What the finder said against how often it was so, with the 95 % interval; on the thin line it is honest. */
export function CalibrationChart({ bins }: { bins: LearningView['bins'] }) {
  const option = useCallback(
    (colours: BenchColours) => {
      const axis = (name: string) => ({
        type: 'value',
        name,
        nameLocation: 'middle',
        nameGap: 30,
        min: 0,
        max: 100,
        interval: 20,
        nameTextStyle: { color: colours.soft },
        axisLabel: { color: colours.soft, fontFamily: fonts.reading },
        splitLine: { lineStyle: { color: colours.rule } },
      });
      return {
        textStyle: { fontFamily: fonts.text, color: colours.ink },
        grid: { left: 56, right: 16, top: 12, bottom: 44 },
        tooltip: {
          trigger: 'item',
          formatter: ({ dataIndex }: { dataIndex: number }) => {
            const b = bins[dataIndex];
            return b ? `said ${percent(b.said)}, so ${percent(b.was)} of ${b.forecasts} times` : '';
          },
        },
        xAxis: axis('said, %'),
        yAxis: axis('was so, %'),
        series: [
          {
            type: 'line',
            data: [
              [0, 0],
              [100, 100],
            ],
            symbol: 'none',
            silent: true,
            lineStyle: { color: colours.soft, width: 1, type: 'dashed' },
          },
          {
            type: 'custom',
            silent: true,
            data: bins.map((b) => [b.said * 100, b.low * 100, b.high * 100]),
            renderItem: (_: unknown, api: CustomSeriesRenderItemAPI) => {
              const [x, low] = api.coord([api.value(0), api.value(1)]) as [number, number];
              const [, high] = api.coord([api.value(0), api.value(2)]) as [number, number];
              return {
                type: 'line',
                shape: { x1: x, y1: low, x2: x, y2: high },
                style: { stroke: colours.soft, lineWidth: 3 },
              };
            },
          },
          {
            type: 'scatter',
            symbolSize: 12,
            color: colours.lines.drive,
            data: bins.map((b) => [b.said * 100, b.was * 100]),
          },
        ],
      };
    },
    [bins],
  );
  const words = bins.map((b) => `said ${percent(b.said)}, so ${percent(b.was)} of ${b.forecasts} times`).join('; ');
  return <Chart option={option} height={42} label={`Said against how often it was so: ${words}`} />;
}

function percent(x: number): string {
  return `${Math.round(x * 100)} %`;
}
