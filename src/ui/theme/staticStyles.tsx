import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { renderToStaticMarkup } from 'react-dom/server';
import { fonts } from './palette';
import { makeTheme } from './theme';

/**
 * What the component library would say again in every page (the colours of both benches, the ground of every element), said
 * once, with the names of the three letters for the other style sheets: the text of theme.css, which browsers keep.
 */
export function staticStyles(): string {
  const page = renderToStaticMarkup(
    <ThemeProvider theme={makeTheme()} defaultMode="system">
      <CssBaseline />
    </ThemeProvider>,
  );
  const sheets = [...page.matchAll(/<style[^>]*>([^<]*)<\/style>/g)].map((m) => m[1]!);
  const letters = Object.entries(fonts).map(([use, stack]) => `--font-${use}:${stack};`);
  const all = [`:root{${letters.join('')}}`, ...sheets];
  return `/* Made from theme.ts: node --import tsx scripts/themeCss.ts */\n${all.join('\n').replaceAll('}', '}\n')}`;
}
