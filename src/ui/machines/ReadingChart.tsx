'use client';

import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import type { MachineCardView } from '@/shop/machines/dto';
import { day, fonts, night } from '../theme/palette';

const LABELS: Record<string, string> = { 'roll-speed': 'Roll speed', 'sealed-vacuum': 'Sealed vacuum' };

/** Measured before and after each repair, along time; the chart library is fetched only when there is something to draw. */
export function ReadingChart({ readings }: { readings: MachineCardView['readings'] }) {
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
      const items = [...new Set(readings.map((r) => r.item))];
      const chart = init(box.current, null, { renderer: 'svg' });
      chart.setOption({
        animation: false,
        textStyle: { fontFamily: fonts.text, color: colours.ink },
        grid: { left: 52, right: 52, top: 36, bottom: 28 },
        tooltip: { trigger: 'axis' },
        legend: { top: 0, textStyle: { color: colours.ink } },
        xAxis: { type: 'time', axisLabel: { color: colours.soft }, axisLine: { lineStyle: { color: colours.soft } } },
        yAxis: items.map((item, i) => ({
          type: 'value',
          name: readings.find((r) => r.item === item)!.unit,
          position: i === 0 ? 'left' : 'right',
          nameTextStyle: { color: colours.soft },
          axisLabel: { color: colours.soft, fontFamily: fonts.reading },
          splitLine: { show: i === 0, lineStyle: { color: colours.rule } },
          scale: true,
        })),
        series: items.map((item, i) => ({
          type: 'line',
          name: LABELS[item] ?? item,
          yAxisIndex: i,
          symbol: i === 0 ? 'circle' : 'rect',
          symbolSize: 8,
          lineStyle: { type: i === 0 ? 'solid' : 'dashed' },
          color: i === 0 ? colours.lines.drive : colours.lines.air,
          data: readings.filter((r) => r.item === item).map((r) => [r.at, r.after]),
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
  }, [readings, dark]);
  const words = readings
    .map((r) => `${r.at.slice(0, 10)} ${LABELS[r.item] ?? r.item} ${r.before ?? '–'} to ${r.after} ${r.unit}`)
    .join('; ');
  return (
    <Box
      ref={box}
      role="img"
      aria-label={`Measured after repairs: ${words}`}
      sx={{ height: spacing(28), width: '100%' }}
    />
  );
}
