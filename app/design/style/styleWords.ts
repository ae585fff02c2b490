/** What the colours that every shipped template asks for are called, in the order in which they are set. */
export const COLOR_WORDS: Readonly<Record<string, string>> = {
  accent: "Main colour",
  second: "Second colour",
  panel: "Bars",
  onPanel: "Words on bars",
  quietPanel: "Small words on bars",
  panelAccent: "Marks on bars",
  words: "Words on the ground",
  quiet: "Small words on the ground",
  onAccent: "Words on the main colour",
  ground: "Ground",
  rise: "Ground, its other end",
  shade: "Shade",
};

export const MEASURE_WORDS: Readonly<Record<string, string>> = {
  radius: "Round corners",
  shadow: "Strength of shadows",
  rule: "Thickness of lines",
};

export const colorName = (token: string): string =>
  Object.hasOwn(COLOR_WORDS, token) ? (COLOR_WORDS[token] as string) : token;
