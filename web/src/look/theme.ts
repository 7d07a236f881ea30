import { theme as antd, type ThemeConfig } from 'antd';
import tokens from './tokens.json';

const dark = (): boolean => window.matchMedia('(prefers-color-scheme: dark)').matches;

/** Sets the colour variables that every drawing and style uses. */
export function applyColours(): void {
  const set = dark() ? tokens.dark.css : tokens.light.css;
  for (const [name, value] of Object.entries(set)) document.documentElement.style.setProperty(name, value);
}

/** The theme for Ant Design's controls, from the same tokens. */
export function theme(): ThemeConfig {
  const set = (dark() ? tokens.dark.antd : tokens.light.antd) as ThemeConfig;
  return dark() ? { ...set, algorithm: antd.darkAlgorithm } : set;
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
