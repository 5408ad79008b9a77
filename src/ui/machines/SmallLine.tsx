'use client';

import { useCallback } from 'react';
import { Chart } from '../parts/Chart';
import type { BenchColours } from '../theme/palette';
import styles from './card.module.css';

/** A few readings along time with the value at which the part is replaced; small enough to stand beside its number. */
export function SmallLine({
  points,
  limit,
  label,
}: {
  points: readonly { at: string; value: number }[];
  limit?: number | undefined;
  label: string;
}) {
  const option = useCallback(
    (colours: BenchColours) => ({
      grid: { left: 4, right: 6, top: 6, bottom: 6 },
      xAxis: { type: 'time', show: false },
      yAxis: {
        type: 'value',
        show: false,
        scale: true,
        ...(limit === undefined ? {} : { min: (v: { min: number }) => Math.min(v.min, limit) }),
      },
      tooltip: { trigger: 'axis', confine: true },
      series: [
        {
          type: 'line',
          symbol: 'rect',
          symbolSize: 5,
          color: colours.ink,
          lineStyle: { color: colours.soft, width: 1.5 },
          data: points.map((p) => [p.at, p.value]),
          ...(limit === undefined
            ? {}
            : {
                markLine: {
                  silent: true,
                  symbol: 'none',
                  label: { show: false },
                  lineStyle: { color: colours.brass, type: 'dashed' },
                  data: [{ yAxis: limit }],
                },
              }),
        },
      ],
    }),
    [points, limit],
  );
  return (
    <div className={styles.smallLine}>
      <Chart option={option} label={label} height={6} />
    </div>
  );
}
