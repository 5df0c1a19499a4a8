import '@fontsource-variable/archivo/wght.css';
import '@fontsource-variable/rokkitt/wght.css';
import { createTheme } from '@mui/material/styles';

/** The one place colours, type and component habits are set. */
const data = '"Archivo Variable", system-ui, sans-serif';
const heading = '"Rokkitt Variable", Georgia, serif';

/** What the parts of a piece are drawn in, on bone white and on slate black. */
const parts = {
  light: {
    steak: '#7a1f22',
    trim: '#8a5a3c',
    fat: '#d9b04c',
    bone: '#cfc6b4',
    discard: '#4a3a30',
    water: '#8fa3a6',
  },
  dark: {
    steak: '#b5484a',
    trim: '#b08260',
    fat: '#dcbd6a',
    bone: '#d8d0c0',
    discard: '#7c6a5d',
    water: '#5f777c',
  },
};

declare module '@mui/material/styles' {
  interface Palette {
    part: typeof parts.light;
    rail: string;
  }
  interface PaletteOptions {
    part: typeof parts.light;
    rail: string;
  }
}

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: {
        background: { default: '#efe9dd', paper: '#f8f4ec' },
        text: { primary: '#241918', secondary: '#5c4f49' },
        primary: { main: '#1f5a50', contrastText: '#ffffff' },
        secondary: { main: '#7a1f22', contrastText: '#ffffff' },
        warning: { main: '#ad3f0d', contrastText: '#ffffff' },
        error: { main: '#96201b', contrastText: '#ffffff' },
        success: { main: '#1f5a50', contrastText: '#ffffff' },
        info: { main: '#3c4d55', contrastText: '#ffffff' },
        divider: '#c9bfad',
        rail: '#56646a',
        part: parts.light,
      },
    },
    dark: {
      palette: {
        // `dark` is what a button under the pointer has: here a lighter one, to be read.
        background: { default: '#14191b', paper: '#1d2427' },
        text: { primary: '#f0e9dd', secondary: '#b7b1a6' },
        primary: { main: '#7cc4b2', dark: '#9dd6c8', contrastText: '#0d1a17' },
        secondary: { main: '#e08a84', dark: '#eba8a3', contrastText: '#210a0a' },
        warning: { main: '#f29a5c', dark: '#f7b483', contrastText: '#261204' },
        error: { main: '#f08e86', dark: '#f5aba5', contrastText: '#2a0907' },
        success: { main: '#7cc4b2', dark: '#9dd6c8', contrastText: '#0d1a17' },
        info: { main: '#a9bcc4', dark: '#c2d0d6', contrastText: '#10181c' },
        divider: '#3b464a',
        rail: '#8b9aa0',
        part: parts.dark,
      },
    },
  },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: data,
    h1: {
      fontFamily: heading,
      fontWeight: 700,
      fontSize: '2.1rem',
      lineHeight: 1.1,
      letterSpacing: '-0.01em',
    },
    h2: { fontFamily: heading, fontWeight: 650, fontSize: '1.45rem', lineHeight: 1.15 },
    h3: { fontFamily: heading, fontWeight: 650, fontSize: '1.15rem', lineHeight: 1.2 },
    button: { textTransform: 'none', fontWeight: 620, letterSpacing: 0 },
    body2: { fontSize: '0.9rem' },
    caption: { fontSize: '0.8rem' },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums lining-nums' },
        ':focus-visible': { outline: '3px solid var(--mui-palette-warning-main)', outlineOffset: 2 },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': { animation: 'none !important', transition: 'none !important' },
        },
        '@media print': { '.no-print': { display: 'none !important' } },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)' } } },
    MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: { minHeight: 44 } } },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiIconButton: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: { color: 'var(--mui-palette-text-primary)', textTransform: 'none', minHeight: 48 },
      },
    },
    MuiTextField: { defaultProps: { fullWidth: true } },
    MuiLink: { defaultProps: { color: 'secondary' } },
  },
});
