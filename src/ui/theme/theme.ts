'use client';

import { createTheme, type Theme } from '@mui/material/styles';
// What the pickers of days may be given besides.
import type {} from '@mui/x-date-pickers/themeAugmentation';
import { day, fonts, night, SIZES, type BenchColours } from './palette';

declare module '@mui/material/styles' {
  interface CssThemeVariables {
    enabled: true;
  }
  interface Palette {
    bench: BenchColours;
  }
  interface PaletteOptions {
    bench?: BenchColours;
  }
}

function scheme(c: BenchColours) {
  return {
    palette: {
      primary: { main: c.action, contrastText: c.onAction },
      secondary: { main: c.brass, contrastText: c.sheet },
      error: { main: c.hazard, contrastText: c.sheet },
      warning: { main: c.brass },
      success: { main: c.action },
      background: { default: c.paper, paper: c.sheet },
      text: { primary: c.ink, secondary: c.soft },
      divider: c.rule,
      bench: c,
    },
  };
}

/** A field to type into, whatever is typed there. */
const filled = (t: Theme) => ({
  backgroundColor: t.vars!.palette.background.paper,
  borderRadius: '3px 3px 0 0',
  border: `1px solid ${t.vars!.palette.bench.rule}`,
  borderBottom: 0,
  '&:hover, &.Mui-focused': { backgroundColor: t.vars!.palette.background.paper },
  '&::before': { borderBottom: `2px solid ${t.vars!.palette.bench.soft}` },
});

/** One place for the type, the ground, the buttons, the fields and the tables. */
export const makeTheme = (): Theme =>
  createTheme({
    cssVariables: { colorSchemeSelector: 'data-bench' },
    colorSchemes: { light: scheme(day), dark: scheme(night) },
    shape: { borderRadius: 3 },
    spacing: 8,
    typography: {
      fontFamily: fonts.text,
      fontSize: 15,
      h1: { fontFamily: fonts.label, fontWeight: 600, fontSize: SIZES.title, lineHeight: 1.15 },
      h2: { fontFamily: fonts.label, fontWeight: 600, fontSize: SIZES.head, lineHeight: 1.2 },
      h3: { fontFamily: fonts.label, fontWeight: 600, fontSize: SIZES.label, lineHeight: 1.25 },
      overline: {
        fontFamily: fonts.label,
        fontWeight: 600,
        fontSize: SIZES.small,
        letterSpacing: '0.06em',
        lineHeight: 1.4,
        textTransform: 'none',
      },
      button: {
        fontFamily: fonts.label,
        fontWeight: 600,
        fontSize: SIZES.label,
        textTransform: 'none',
        letterSpacing: '0.01em',
      },
      body1: { fontSize: SIZES.label },
      body2: { fontSize: SIZES.text, lineHeight: 1.4 },
      caption: { fontSize: SIZES.small, lineHeight: 1.35 },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: (t) => ({
          body: { backgroundColor: t.vars!.palette.background.default, fontVariantNumeric: 'tabular-nums' },
          '*:focus-visible': { outline: `3px solid ${t.vars!.palette.bench.brassFill}`, outlineOffset: 2 },
          '@media print': {
            body: { backgroundColor: '#fff', color: '#000' },
            '.no-print': { display: 'none !important' },
          },
          '@media (prefers-reduced-motion: reduce)': {
            '*': { animation: 'none !important', transition: 'none !important' },
          },
        }),
      },
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true, variant: 'outlined' },
        styleOverrides: {
          root: ({ theme: t }) => ({
            minHeight: 44,
            paddingInline: 16,
            borderRadius: 3,
            boxShadow: `inset 0 -2px 0 ${t.vars!.palette.bench.rule}`,
            variants: [
              { props: { variant: 'contained' }, style: { boxShadow: 'inset 0 -3px 0 rgb(0 0 0 / 28%)' } },
              {
                props: { variant: 'outlined', color: 'primary' },
                style: {
                  borderColor: t.vars!.palette.bench.soft,
                  color: t.vars!.palette.text.primary,
                  backgroundColor: t.vars!.palette.background.paper,
                },
              },
              {
                props: { variant: 'text' },
                style: { boxShadow: 'none', textDecoration: 'underline', textUnderlineOffset: 3 },
              },
              { props: { size: 'small' }, style: { minHeight: 36, fontSize: SIZES.text, paddingInline: 12 } },
            ],
          }),
        },
      },
      MuiTextField: { defaultProps: { variant: 'filled', size: 'small', fullWidth: true } },
      MuiFilledInput: {
        defaultProps: { disableUnderline: false },
        styleOverrides: { root: ({ theme: t }) => filled(t) },
      },
      // A day is typed into a field like any other.
      MuiPickersTextField: { defaultProps: { variant: 'filled', size: 'small', fullWidth: true } },
      MuiPickersFilledInput: {
        styleOverrides: {
          root: ({ theme: t }) => filled(t),
          sectionsContainer: { fontFamily: fonts.reading, fontSize: '0.98rem' },
        },
      },
      MuiInputLabel: {
        styleOverrides: {
          root: ({ theme: t }) => ({ fontFamily: fonts.label, fontWeight: 600, color: t.vars!.palette.text.secondary }),
        },
      },
      MuiFormHelperText: {
        styleOverrides: {
          root: ({ theme: t }) => ({
            marginLeft: 2,
            fontSize: '0.84rem',
            '&.Mui-disabled': { color: t.vars!.palette.text.secondary },
          }),
        },
      },
      MuiTableCell: {
        styleOverrides: {
          root: ({ theme: t }) => ({
            padding: '7px 10px',
            borderColor: t.vars!.palette.bench.rule,
            fontSize: '0.92rem',
          }),
          head: ({ theme: t }) => ({
            fontFamily: fonts.label,
            fontWeight: 600,
            color: t.vars!.palette.text.secondary,
            borderBottom: `2px solid ${t.vars!.palette.text.primary}`,
            backgroundColor: 'transparent',
          }),
        },
      },
      MuiPaper: {
        defaultProps: { elevation: 0 },
        styleOverrides: {
          root: ({ theme: t }) => ({ backgroundImage: 'none', border: `1px solid ${t.vars!.palette.bench.rule}` }),
        },
      },
      MuiTooltip: { defaultProps: { arrow: false } },
      MuiLink: { defaultProps: { underline: 'always', color: 'textPrimary' } },
      MuiToggleButton: {
        styleOverrides: {
          root: ({ theme: t }) => ({
            fontFamily: fonts.label,
            fontSize: '0.98rem',
            fontWeight: 500,
            textTransform: 'none',
            minHeight: 40,
            padding: '6px 12px',
            color: t.vars!.palette.text.primary,
            borderColor: t.vars!.palette.bench.rule,
            backgroundColor: t.vars!.palette.background.paper,
            '&.Mui-selected, &.Mui-selected:hover': {
              backgroundColor: t.vars!.palette.text.primary,
              color: t.vars!.palette.background.paper,
            },
          }),
        },
      },
    },
  });
