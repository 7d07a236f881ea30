import { theme as antd, type ThemeConfig } from 'antd';
import tokens from './tokens.json';

const asked = (): MediaQueryList => window.matchMedia('(prefers-color-scheme: dark)');

export const dark = (): boolean => asked().matches;

/** Tells when the person's system turns light or dark. */
export function onTurned(listener: () => void): () => void {
  const media = asked();
  media.addEventListener('change', listener);
  return () => media.removeEventListener('change', listener);
}

/** Sets the colour variables that every drawing and style uses. */
export function applyColours(isDark: boolean): void {
  const set = isDark ? tokens.dark.css : tokens.light.css;
  for (const [name, value] of Object.entries(set)) document.documentElement.style.setProperty(name, value);
}

/** The theme for Ant Design's controls, from the same tokens. */
export function theme(isDark: boolean): ThemeConfig {
  const set = (isDark ? tokens.dark.antd : tokens.light.antd) as ThemeConfig;
  return isDark ? { ...set, algorithm: antd.darkAlgorithm } : set;
}

export interface TemperStep {
  step: number;
  word: string;
  fill: string;
  text: string;
  patternInk: string | null;
}

/** The five steps of severity, by the oxide colours of heated steel. */
export const temper: readonly TemperStep[] = tokens.temper;
