import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { renderToStaticMarkup } from 'react-dom/server';
import { theme } from './theme';

/**
 * What the component library would say again in every page (the colours of both benches, the ground of every element), said
 * once: the text of theme.css, which browsers keep.
 */
export function staticStyles(): string {
  const page = renderToStaticMarkup(
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
    </ThemeProvider>,
  );
  const sheets = [...page.matchAll(/<style[^>]*>([^<]*)<\/style>/g)].map((m) => m[1]!);
  return `/* Made from theme.ts: node --import tsx scripts/themeCss.ts */\n${sheets.join('\n').replaceAll('}', '}\n')}`;
}
