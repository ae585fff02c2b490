import { t } from "../../../core/language/t.ts";
/** What the colours that every shipped template asks for are called, in the order in which they are set. */
export const COLOR_WORDS: Readonly<Record<string, string>> = {
  accent: t`Main colour`,
  second: t`Second colour`,
  panel: t`Bars`,
  onPanel: t`Words on bars`,
  quietPanel: t`Small words on bars`,
  panelAccent: t`Marks on bars`,
  words: t`Words on the ground`,
  quiet: t`Small words on the ground`,
  onAccent: t`Words on the main colour`,
  ground: t`Ground`,
  rise: t`Ground, its other end`,
  shade: t`Shade`,
};

export const MEASURE_WORDS: Readonly<Record<string, string>> = {
  radius: t`Round corners`,
  shadow: t`Strength of shadows`,
  rule: t`Thickness of lines`,
};

export const colorName = (token: string): string =>
  Object.hasOwn(COLOR_WORDS, token) ? (COLOR_WORDS[token] as string) : token;
