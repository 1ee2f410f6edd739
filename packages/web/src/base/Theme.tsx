import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import './base.css';
import { ThemeProvider } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useAppSelector } from './hooks';
import { makeTheme } from './theme';
import { fonts, tokens, type ThemeName } from './tokens';

/** The theme in force: the one chosen, or the device's. */
export function useThemeName(): ThemeName {
  const choice = useAppSelector((state) => state.settings.theme);
  const deviceIsDark = useMediaQuery('(prefers-color-scheme: dark)');
  return choice === 'device' ? (deviceIsDark ? 'night' : 'day') : choice;
}

/** On paper the day's colours hold, on white. */
const paper = { ...tokens.day, ground: '#FFFFFF', surface: '#FFFFFF' };
const asProperties = (colours: Readonly<Record<string, string>>) =>
  `:root { ${Object.entries(colours)
    .map(([token, value]) => `--${token}: ${value};`)
    .join(' ')} }`;

/** Gives everything below the colours, both to the interface library and as custom properties. */
export function Theme({ children }: { readonly children: ReactNode }) {
  const name = useThemeName();
  const theme = useMemo(() => makeTheme(name), [name]);
  useEffect(() => {
    const root = document.documentElement;
    root.dataset['theme'] = name;
    root.style.colorScheme = name === 'day' ? 'light' : 'dark';
    root.style.setProperty('--font-heading', fonts.heading);
    root.style.setProperty('--font-text', fonts.text);
    document.querySelector('meta[name=theme-color]')?.setAttribute('content', tokens[name].ground);
  }, [name]);
  return (
    <ThemeProvider theme={theme}>
      <style>{`${asProperties(tokens[name])} @media print { ${asProperties(paper)} }`}</style>
      {children}
    </ThemeProvider>
  );
}
