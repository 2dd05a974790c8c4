import { createTheme } from '@mui/material/styles'
import type { Theme } from '@mui/material/styles'

export type Look = 'day' | 'dusk'

const colours = {
  day: {
    paper: '#F5F0E6',
    raised: '#FBF8F1',
    ink: '#23201B',
    soft: '#5A5347',
    rule: '#C9BFAC',
    accent: '#9C4513',
    lichen: '#4F6153',
    stop: '#9E1B1B',
  },
  dusk: {
    paper: '#14181C',
    raised: '#1C2227',
    ink: '#E9E4D8',
    soft: '#B3AFA5',
    rule: '#3D454B',
    accent: '#E58A4B',
    lichen: '#9DB3A2',
    stop: '#FF8F80',
  },
} as const

const text = "'Atkinson Hyperlegible Next Variable', sans-serif"

/** Addresses, bytes and passwords, where I, l, 1, O and 0 must differ. */
export const mono = "'Atkinson Hyperlegible Mono Variable', monospace"

/** The one place for colours, shapes and density: a field notebook by day or at dusk. */
export function notebook(look: Look): Theme {
  const c = colours[look]
  return createTheme({
    palette: {
      mode: look === 'day' ? 'light' : 'dark',
      background: { default: c.paper, paper: c.raised },
      text: { primary: c.ink, secondary: c.soft },
      divider: c.rule,
      primary: { main: c.accent, contrastText: look === 'day' ? '#FFFFFF' : '#14181C' },
      secondary: { main: c.lichen, contrastText: look === 'day' ? '#FFFFFF' : '#14181C' },
      error: { main: c.stop, contrastText: look === 'day' ? '#FFFFFF' : '#14181C' },
    },
    // Who asks the system for less motion gets none of ours.
    motion: { reducedMotion: 'system' },
    shape: { borderRadius: 6 },
    typography: {
      fontFamily: text,
      fontSize: 15,
      h1: { fontSize: '1.55rem', fontWeight: 650 },
      h2: { fontSize: '1.15rem', fontWeight: 650 },
      button: { textTransform: 'none', fontWeight: 600 },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { overflow: 'hidden' },
          a: { color: c.accent },
          '[data-pointed]': { outline: `3px solid ${c.accent}`, outlineOffset: -3 },
          '.sheet-cell': {
            padding: '7px 10px',
            fontSize: '0.95rem',
            lineHeight: 1.43,
            borderBottom: `1px solid ${c.rule}`,
          },
          // Of what is in every row: no styles are worked out for each.
          '.change-button, .facts-button': {
            display: 'inline-flex',
            alignItems: 'center',
            verticalAlign: 'middle',
            padding: 0,
            border: 0,
            background: 'none',
            color: 'inherit',
            font: 'inherit',
            letterSpacing: 'inherit',
            textAlign: 'left',
            cursor: 'pointer',
            '&:focus-visible': { outline: `2px solid ${c.accent}`, outlineOffset: 2 },
          },
          '.change-button': { borderBottom: `1px dashed ${c.soft}` },
          // At dusk a white box would be the brightest thing on the page.
          'input[type=checkbox]': { colorScheme: look === 'day' ? 'light' : 'dark' },
          '.tick': { width: 18, height: 18, margin: 0, accentColor: c.accent, verticalAlign: 'middle' },
          'kbd, code, .mono, .sheet-cell.mono, .MuiTableCell-root.mono, input.mono.MuiInputBase-input, textarea.mono.MuiInputBase-input':
            { fontFamily: mono },
        },
      },
      MuiPaper: {
        defaultProps: { elevation: 0 },
        styleOverrides: { root: { backgroundImage: 'none', border: `1px solid ${c.rule}` } },
      },
      MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: { minHeight: 38 } } },
      MuiDialog: { defaultProps: { slotProps: { paper: { elevation: 0 } } } },
      MuiTableCell: {
        styleOverrides: {
          root: { borderColor: c.rule, padding: '7px 10px', fontSize: '0.95rem' },
          head: { color: c.soft, fontWeight: 600, whiteSpace: 'nowrap' },
        },
      },
      MuiTextField: { defaultProps: { size: 'small' } },
      MuiTooltip: { styleOverrides: { tooltip: { fontSize: '0.85rem' } } },
      MuiButtonBase: { defaultProps: { disableRipple: true } },
    },
  })
}
