import '@fontsource-variable/archivo/wght.css';
import '@fontsource-variable/rokkitt/wght.css';
import { createTheme } from '@mui/material/styles';
import palette from './palette.json';

/** The one place type and component habits are set; colours are in palette.json, from which paper is drawn too. */
const data = '"Archivo Variable", system-ui, sans-serif';
const heading = '"Rokkitt Variable", Georgia, serif';

declare module '@mui/material/styles' {
  interface Palette {
    part: typeof palette.light.part;
    rail: string;
  }
  interface PaletteOptions {
    part: typeof palette.light.part;
    rail: string;
  }
}

/** Where fingers point, in gloves or not. */
const PHONE = '@media (max-width: 899.95px)';
const gloves = { [PHONE]: { minHeight: 48 } };

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: palette.light,
    },
    dark: {
      // `dark` in it is what a button under the pointer has: here a lighter one, to be read.
      palette: palette.dark,
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
        // A long word in large letters breaks before it pushes a phone's page sideways.
        [PHONE]: { body: { overflowWrap: 'anywhere' }, 'th, td': { overflowWrap: 'normal' } },
        'a:not([class])': { color: 'var(--mui-palette-secondary-main)' },
        ':focus-visible': { outline: '3px solid var(--mui-palette-warning-main)', outlineOffset: 2 },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': { animation: 'none !important', transition: 'none !important' },
        },
        '@media print': { '.no-print': { display: 'none !important' } },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: {
      // What is closed is gone at once: the next key or touch is for the page.
      defaultProps: { transitionDuration: { enter: 120, exit: 0 } },
      styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)' } },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 44, ...gloves } },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiIconButton: {
      styleOverrides: { root: { minWidth: 44, minHeight: 44, [PHONE]: { minWidth: 48, minHeight: 48 } } },
    },
    MuiMenuItem: { styleOverrides: { root: gloves } },
    MuiOutlinedInput: { styleOverrides: { root: gloves } },
    // Small fields are higher on a phone, and what stands in them lies in their middle.
    MuiInputLabel: {
      styleOverrides: {
        sizeSmall: { [PHONE]: { '&:not(.MuiInputLabel-shrink)': { transform: 'translate(14px, 13px)' } } },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: { color: 'var(--mui-palette-text-primary)', textTransform: 'none', minHeight: 48 },
      },
    },
    MuiTextField: { defaultProps: { fullWidth: true } },
    MuiLink: { defaultProps: { color: 'secondary' } },
  },
});
