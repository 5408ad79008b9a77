'use client';

import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import { day, fonts, night } from '../theme/palette';

/** Points of one quantity along time. */
export interface TimeSeries {
  name: string;
  unit: string;
  points: { at: string; value: number }[];
}

/** One or two quantities along time; the chart library is fetched only when there is something to draw. */
export function TimeChart({ series, label }: { series: TimeSeries[]; label: string }) {
  const box = useRef<HTMLDivElement>(null);
  const { mode, systemMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  const { spacing } = useTheme();
  useEffect(() => {
    let disposed = false;
    let dispose = () => {};
    void draw();
    async function draw() {
      const [
        { init, use: register },
        { LineChart },
        { GridComponent, LegendComponent, TooltipComponent },
        { SVGRenderer },
      ] = await Promise.all([
        import('echarts/core'),
        import('echarts/charts'),
        import('echarts/components'),
        import('echarts/renderers'),
      ]);
      if (disposed || !box.current) return;
      register([LineChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);
      const colours = dark ? night : day;
      const chart = init(box.current, null, { renderer: 'svg' });
      chart.setOption({
        animation: false,
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
      });
      const resize = new ResizeObserver(() => chart.resize());
      resize.observe(box.current);
      dispose = () => {
        resize.disconnect();
        chart.dispose();
      };
    }
    return () => {
      disposed = true;
      dispose();
    };
  }, [series, dark]);
  const words = series
    .flatMap((q) => q.points.map((p) => `${p.at.slice(0, 10)} ${q.name} ${p.value} ${q.unit}`))
    .join('; ');
  return <Box ref={box} role="img" aria-label={`${label}: ${words}`} sx={{ height: spacing(28), width: '100%' }} />;
}
