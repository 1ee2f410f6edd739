import { createTheme, type Theme } from '@mui/material/styles';
import { fonts, tokens, type ThemeName } from './tokens';

const radius = 6;
/** What moves by itself stands still for whoever asked their device for that. */
const still = { '@media (prefers-reduced-motion: reduce)': { animation: 'none', transition: 'none' } };

/** The interface library in our shape: flat, ink for actions, our type, targets large enough for a finger. */
export function makeTheme(name: ThemeName): Theme {
  const t = tokens[name];
  return createTheme({
    palette: {
      mode: name === 'day' ? 'light' : 'dark',
      primary: { main: t.action, contrastText: t.onAction },
      error: { main: t.jasper },
      text: { primary: t.ink, secondary: t.muted },
      background: { default: t.ground, paper: t.surface },
      divider: t.rule,
    },
    shape: { borderRadius: radius },
    typography: {
      fontFamily: fonts.text,
      h1: {
        fontFamily: fonts.heading,
        fontSize: '2.3rem',
        fontWeight: 600,
        lineHeight: 1.15,
        letterSpacing: '-0.01em',
      },
      h2: { fontFamily: fonts.heading, fontSize: '1.2rem', fontWeight: 600, lineHeight: 1.2 },
      h3: { fontFamily: fonts.heading, fontSize: '1.05rem', fontWeight: 600, lineHeight: 1.2 },
      button: { textTransform: 'none', fontWeight: 600, fontSize: '1rem' },
    },
    transitions: { create: () => 'none' },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: {
            minHeight: 48,
            padding: '8px 18px',
            '&.Mui-focusVisible': { outline: `3px solid ${t.slate}`, outlineOffset: 2 },
          },
          outlined: { borderWidth: 1.5, borderColor: t.ink, color: t.ink },
          text: {
            color: t.ink,
            textDecoration: 'underline',
            textUnderlineOffset: 4,
            '&:hover': { textDecoration: 'underline' },
          },
        },
      },
      MuiCircularProgress: { styleOverrides: { root: still, circle: still } },
      MuiLinearProgress: { styleOverrides: { bar1: still, bar2: still } },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiDialog: { styleOverrides: { paper: { border: `1px solid ${t.rule}` } } },
      MuiDialogActions: { styleOverrides: { root: { padding: '8px 24px 20px' } } },
      MuiOutlinedInput: {
        styleOverrides: {
          root: {
            backgroundColor: t.surface,
            '&.Mui-focused:not(.Mui-error) .MuiOutlinedInput-notchedOutline': { borderColor: t.ink },
          },
          notchedOutline: { borderColor: t.muted },
        },
      },
      MuiInputLabel: { styleOverrides: { root: { color: t.muted, '&.Mui-focused': { color: t.ink } } } },
      MuiFormLabel: { styleOverrides: { root: { '&.Mui-focused': { color: t.ink } } } },
      MuiRadio: { styleOverrides: { root: { color: t.muted, '&.Mui-checked': { color: t.ink } } } },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            minHeight: 48,
            padding: '8px 16px',
            color: t.ink,
            borderColor: t.muted,
            '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: t.action, color: t.onAction },
          },
        },
      },
      MuiSwitch: {
        styleOverrides: {
          switchBase: {
            '&.Mui-checked': { color: t.ink },
            '&.Mui-checked + .MuiSwitch-track': { backgroundColor: t.muted, opacity: 1 },
          },
        },
      },
    },
  });
}
