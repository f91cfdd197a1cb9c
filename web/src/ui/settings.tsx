import type { Text } from '@fulcrant/core/messages';
import { type LengthUnit, say } from '@fulcrant/core/units';
import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useState,
} from 'react';

export type Theme = 'day' | 'night';
type Settings = { unit: LengthUnit; theme: Theme; setUnit(u: LengthUnit): void; setTheme(t: Theme): void };

const Context = createContext<Settings | null>(null);

function kept<T extends string>(key: string, allowed: readonly T[], otherwise: T): T {
  const value = localStorage.getItem(key);
  return allowed.find((a) => a === value) ?? otherwise;
}

/** Units of a device that was never told any: as its plant has them. */
export function beginWithUnits(unit: LengthUnit): void {
  if (localStorage.getItem('fulcrant.unit.chosen') === null && localStorage.getItem('fulcrant.unit') !== unit)
    dispatchEvent(new CustomEvent('fulcrant-units', { detail: unit }));
}

/** Units and light, kept on this device. */
export function SettingsProvider({ children }: { children: ReactNode }) {
  const [unit, show] = useState<LengthUnit>(() => kept('fulcrant.unit', ['mm', 'in'], 'mm'));
  const setUnit = useCallback((u: LengthUnit) => {
    localStorage.setItem('fulcrant.unit.chosen', 'yes');
    show(u);
  }, []);
  useEffect(() => {
    const hear = (e: Event) => show((e as CustomEvent<LengthUnit>).detail);
    addEventListener('fulcrant-units', hear);
    return () => removeEventListener('fulcrant-units', hear);
  }, []);
  const [theme, setTheme] = useState<Theme>(() =>
    kept(
      'fulcrant.theme',
      ['day', 'night'],
      matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day',
    ),
  );
  useEffect(() => localStorage.setItem('fulcrant.unit', unit), [unit]);
  // Before what is drawn from the page’s inks is drawn: those effects come later.
  useLayoutEffect(() => {
    localStorage.setItem('fulcrant.theme', theme);
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  const value = useMemo(() => ({ unit, theme, setUnit, setTheme }), [unit, theme, setUnit]);
  return <Context value={value}>{children}</Context>;
}

export function useSettings(): Settings {
  const value = useContext(Context);
  if (!value) throw new Error('Settings are not provided.');
  return value;
}

/** Texts in the reader’s units and language; what is not there is nothing. */
export function useSay(): (text: Text | null | undefined) => string {
  const { unit } = useSettings();
  return useCallback((text: Text | null | undefined) => say(text ?? '', unit), [unit]);
}

/** A text where it stands on a page. */
export function Words({ of }: { of: Text | null | undefined }) {
  return useSay()(of);
}
