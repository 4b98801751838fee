import { createTheme } from '@mui/material/styles';
import { BoxOpen, BoxTicked, ChevronDown } from './icons';

declare module '@mui/material/styles' {
  interface Palette {
    sheet: { line: string; faint: string; ink: string; soft: string; raised: string; paper: string };
    state: Record<'fine' | 'watch' | 'service' | 'replace' | 'unsafe' | 'notLookedAt', string>;
  }
  interface PaletteOptions {
    sheet: Palette['sheet'];
    state: Palette['state'];
  }
}

const family = '"Archivo Variable", "Archivo", system-ui, sans-serif';

/** Where the keys are: a ring in the accent, apart from what it is round, so that it shows on the accent’s colour too. */
const FOCUS = {
  outline: '3px solid var(--mui-palette-primary-main)',
  outlineOffset: '2px',
};

/** The quietest of the buttons: a hairline round it. */
const QUIET = {
  border: '1px solid color-mix(in srgb, var(--mui-palette-text-secondary) 55%, transparent)',
  color: 'var(--mui-palette-text-primary)',
  fontWeight: 560,
};

/** The edge of what lies above the page. */
const ABOVE = {
  border: '1.5px solid var(--mui-palette-text-primary)',
  boxShadow: '0 6px 24px rgb(0 0 0 / 22%)',
};

/** A drawing-office sheet under a workshop lamp: calm ground, ink, one strong accent. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#1d45b8', contrastText: '#ffffff' },
        error: { main: '#b3141c', contrastText: '#ffffff' },
        background: { default: '#f1efe8', paper: '#fbfaf6' },
        text: { primary: '#16212b', secondary: '#4a5762' },
        divider: '#d3cfc2',
        sheet: {
          line: '#16212b',
          faint: '#9aa3a8',
          ink: '#16212b',
          soft: '#e7e4d9',
          raised: '#ffffff',
          paper: '#fbfaf6',
        },
        state: {
          fine: '#1f6b3f',
          watch: '#7d5a00',
          service: '#0f6674',
          replace: '#a2440c',
          unsafe: '#b3141c',
          notLookedAt: '#5d6870',
        },
      },
    },
    dark: {
      palette: {
        primary: { main: '#9db4ff', contrastText: '#0c1430' },
        error: { main: '#ff8a86', contrastText: '#2a0506' },
        background: { default: '#12171c', paper: '#1a2129' },
        text: { primary: '#eceadf', secondary: '#a9b4bb' },
        divider: '#34404a',
        sheet: {
          line: '#dcd9cb',
          faint: '#66737c',
          ink: '#eceadf',
          soft: '#232c35',
          raised: '#202832',
          paper: '#1a2129',
        },
        state: {
          fine: '#74cf97',
          watch: '#e5bd5a',
          service: '#6cc9d8',
          replace: '#f29b62',
          unsafe: '#ff8a86',
          notLookedAt: '#99a5ad',
        },
      },
    },
  },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: family,
    fontSize: 15,
    h1: { fontSize: '1.75rem', fontWeight: 640, letterSpacing: '-0.012em', fontStretch: '96%' },
    h2: { fontSize: '1.2rem', fontWeight: 640, letterSpacing: '-0.006em' },
    h3: { fontSize: '1rem', fontWeight: 640 },
    body1: { fontSize: '1rem', lineHeight: 1.45 },
    body2: { fontSize: '0.9rem', lineHeight: 1.45 },
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.95rem' },
    caption: { fontSize: '0.82rem', lineHeight: 1.35 },
    overline: { fontSize: '0.75rem', fontWeight: 620, letterSpacing: '0.05em', textTransform: 'none', lineHeight: 1.4 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums', WebkitFontSmoothing: 'antialiased' },
        // What is scrolled or tabbed to never lies under the bar at a phone's foot.
        '@media (max-width: 899.95px)': { html: { scrollPaddingBottom: '104px' } },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
        '.visually-hidden': { position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' },
        ':focus-visible': FOCUS,
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      // Its own rule takes the outline away; where the keys are has to be the first thing that is seen.
      styleOverrides: {
        root: {
          '&:focus-visible, &.Mui-focusVisible': {
            ...FOCUS,
            boxShadow: '0 0 0 2px var(--mui-palette-background-paper)',
            zIndex: 2,
          },
        },
      },
    },
    MuiSlider: {
      styleOverrides: {
        rail: { height: 2, opacity: 1, borderRadius: 0, backgroundColor: 'var(--mui-palette-text-secondary)' },
        track: { height: 4, borderRadius: 0 },
        thumb: {
          width: 12,
          height: 26,
          borderRadius: 2,
          border: '2px solid var(--mui-palette-background-paper)',
          '&::before': { boxShadow: 'none' },
          '&:hover, &.Mui-active': { boxShadow: 'none' },
          '&.Mui-focusVisible': { ...FOCUS, boxShadow: 'none' },
        },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, paddingInline: 16, borderRadius: 3 },
        outlined: { borderColor: 'currentcolor' },
        // A thumb needs the full height; a mouse does not.
        sizeSmall: { minHeight: 36, paddingInline: 10, '@media (pointer: coarse)': { minHeight: 44 } },
      },
      // Three ranks and no fourth look: filled, outlined in the accent, and a hairline; none of them is bold text.
      variants: [
        { props: { variant: 'text' }, style: QUIET },
        { props: { variant: 'outlined', color: 'inherit' }, style: QUIET },
      ],
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 44,
          textTransform: 'none',
          paddingInline: 12,
          fontWeight: 560,
          color: 'var(--mui-palette-text-primary)',
          borderColor: 'var(--mui-palette-divider)',
          '&.Mui-selected, &.Mui-selected:hover': {
            backgroundColor: 'var(--mui-palette-primary-main)',
            color: 'var(--mui-palette-primary-contrastText)',
          },
        },
      },
    },
    MuiIconButton: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    // A field is a ruled line with its name above, as on a printed form.
    MuiTextField: { defaultProps: { variant: 'standard' } },
    MuiFormControl: {
      defaultProps: { variant: 'standard' },
      styleOverrides: { root: { '& > .MuiInputLabel-root + .MuiInput-root.MuiInput-root': { marginTop: 3 } } },
    },
    MuiInputLabel: {
      defaultProps: { shrink: true },
      styleOverrides: {
        root: {
          position: 'static',
          transform: 'none',
          maxWidth: 'none',
          whiteSpace: 'normal',
          fontSize: '0.86rem',
          lineHeight: 1.3,
          color: 'var(--mui-palette-text-secondary)',
        },
      },
    },
    MuiInput: {
      styleOverrides: {
        root: {
          minHeight: 42,
          paddingInline: 10,
          backgroundColor: 'var(--mui-palette-sheet-raised)',
          '&::before, &:hover:not(.Mui-disabled, .Mui-error)::before': {
            borderBottom: '1.5px solid var(--mui-palette-text-primary)',
          },
          '&.Mui-focused': { outline: '3px solid var(--mui-palette-primary-main)', outlineOffset: 1 },
          '&.Mui-disabled': { backgroundColor: 'transparent' },
        },
        // The whole height is the field's, for a thumb.
        input: { minHeight: 42, boxSizing: 'border-box', '&:focus-visible': { outline: 'none' } },
      },
    },
    MuiSelect: {
      defaultProps: { IconComponent: ChevronDown },
      styleOverrides: {
        select: {
          '&&': { minHeight: 42, boxSizing: 'border-box', display: 'flex', alignItems: 'center' },
          '&:focus': { backgroundColor: 'transparent' },
        },
      },
    },
    // Paper is paper in the dark too: what lies above it is told by its edge, not by a lighter grey.
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: ABOVE } },
    MuiPopover: { styleOverrides: { paper: ABOVE } },
    MuiAutocomplete: {
      defaultProps: { popupIcon: <ChevronDown fontSize="small" /> },
      styleOverrides: { paper: ABOVE },
    },
    MuiDialogActions: { styleOverrides: { root: { padding: '8px 24px 20px' } } },
    MuiSwitch: {
      styleOverrides: {
        root: { width: 58, height: 44, padding: 10 },
        track: {
          borderRadius: 3,
          opacity: 1,
          backgroundColor: 'var(--mui-palette-sheet-raised)',
          border: '1.5px solid var(--mui-palette-text-primary)',
        },
        switchBase: {
          padding: 14,
          color: 'var(--mui-palette-text-primary)',
          '&.Mui-checked': { transform: 'translateX(14px)', color: 'var(--mui-palette-primary-contrastText)' },
          '&.Mui-checked + .MuiSwitch-track': { opacity: 1, backgroundColor: 'var(--mui-palette-primary-main)' },
        },
        thumb: { width: 16, height: 16, borderRadius: 2, boxShadow: 'none' },
      },
    },
    MuiCheckbox: { defaultProps: { icon: <BoxOpen />, checkedIcon: <BoxTicked /> } },
    MuiAlert: { styleOverrides: { root: { borderRadius: 3, alignItems: 'center' } } },
  },
});
