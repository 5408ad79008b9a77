'use client';

import { useCallback } from 'react';
import { digitsOf, moneyText } from '@/core/money/currency';
import type { Worth } from '@/core/money/worth';
import { Chart } from '../parts/Chart';
import { fonts, type BenchColours } from '../theme/palette';

/** Told apart by their marks and dashes, not by colour alone. */
const MARKS = [
  { symbol: 'circle', dash: 'solid' },
  { symbol: 'rect', dash: 'dashed' },
  { symbol: 'triangle', dash: 'dotted' },
  { symbol: 'diamond', dash: [12, 4, 2, 4] },
  { symbol: 'emptyCircle', dash: [2, 6] },
] as const;

/** What a year costs against the years that it is kept; the band holds four lives in five of the first way. */
export function WorthChart({ worth, currency, locale }: { worth: Worth[]; currency: string; locale: string }) {
  const option = useCallback(
    (colours: BenchColours) => {
      const unit = 10 ** digitsOf(currency);
      const tints = [colours.action, colours.lines.drive, colours.lines.air, colours.lines.power, colours.soft];
      const [first] = worth;
      const band = first
        ? [
            { stack: 'band', data: first.course.map((c) => [c.years, c.lowMinor / unit]), areaStyle: { opacity: 0 } },
            {
              stack: 'band',
              data: first.course.map((c) => [c.years, (c.highMinor - c.lowMinor) / unit]),
              areaStyle: { color: tints[0], opacity: 0.12 },
            },
          ].map((s) => ({
            ...s,
            type: 'line',
            symbol: 'none',
            lineStyle: { opacity: 0 },
            silent: true,
            tooltip: { show: false },
          }))
        : [];
      // Above this a line says only that one year is no time to pay for anything.
      const top = 3 * Math.max(...worth.map((w) => w.perYearMinor / unit));
      return {
        textStyle: { fontFamily: fonts.text, color: colours.ink },
        grid: { left: 66, right: 16, top: 58, bottom: 40 },
        legend: { top: 0, textStyle: { color: colours.ink }, data: worth.map((w) => w.label) },
        tooltip: { trigger: 'axis' },
        xAxis: {
          type: 'value',
          name: 'years kept',
          nameLocation: 'middle',
          nameGap: 24,
          max: 10,
          axisLabel: { color: colours.soft },
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          name: `${currency} a year`,
          nameLocation: 'middle',
          nameGap: 46,
          max: Math.ceil(top / 10) * 10,
          axisLabel: { color: colours.soft, fontFamily: fonts.reading },
          nameTextStyle: { color: colours.soft },
          splitLine: { lineStyle: { color: colours.rule } },
        },
        series: [
          ...band,
          ...worth.map((w, i) => ({
            type: 'line',
            name: w.label,
            symbol: MARKS[i % MARKS.length]!.symbol,
            symbolSize: 7,
            color: tints[i % tints.length],
            lineStyle: { type: MARKS[i % MARKS.length]!.dash, width: 2 },
            data: w.course.map((c) => [c.years, Math.round(c.perYearMinor) / unit]),
          })),
        ],
      };
    },
    [worth, currency],
  );
  const words = worth
    .map((w) => `${w.label} ${moneyText(Math.round(w.perYearMinor), currency, locale)} a year`)
    .join('; ');
  return <Chart option={option} label={`What a year costs against the years that it is kept: ${words}`} height={30} />;
}
