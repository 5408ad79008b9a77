'use client';

import type { EChartsCoreOption } from 'echarts/core';
import { useEffect, useRef } from 'react';
import { useLamp } from '../theme/lamp';
import { day, night, type BenchColours } from '../theme/palette';

interface Props {
  /** Made anew when it changes; keep it steady with `useCallback`. */
  option: (colours: BenchColours) => EChartsCoreOption;
  /** What there is to see, in words. */
  label: string;
  /** Height in steps of the theme. */
  height?: number;
}

/** A chart; its library is fetched only when there is something to draw. */
export function Chart({ option, label, height = 28 }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const lamp = useLamp();
  useEffect(() => {
    let disposed = false;
    let dispose = () => {};
    void draw();
    async function draw() {
      const [
        { init, use: register },
        { BarChart, CustomChart, LineChart, ScatterChart },
        { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent },
        { SVGRenderer },
      ] = await Promise.all([
        import('echarts/core'),
        import('echarts/charts'),
        import('echarts/components'),
        import('echarts/renderers'),
      ]);
      if (disposed || !box.current) return;
      register([
        AriaComponent,
        BarChart,
        CustomChart,
        LineChart,
        ScatterChart,
        GridComponent,
        LegendComponent,
        MarkLineComponent,
        TooltipComponent,
        SVGRenderer,
      ]);
      const chart = init(box.current, null, { renderer: 'svg' });
      chart.setOption({ animation: false, ...option(lamp === 'dark' ? night : day) });
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
  }, [option, lamp]);
  return (
    <div
      ref={box}
      role="img"
      aria-label={label}
      style={{ height: `calc(${height} * var(--mui-spacing))`, width: '100%' }}
    />
  );
}
