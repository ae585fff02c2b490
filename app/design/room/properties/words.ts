import { t } from "../../../../core/language/t.ts";

/** Words for what the format calls by a name of one word: a name parted at its capitals says itself, but for these. */
const WORDS: Readonly<Record<string, string>> = {
  none: t`none`,
  solid: t`one colour`,
  linear: t`gradient, straight`,
  radial: t`gradient, round`,
  picture: t`picture`,
  field: "a field",
  fixed: t`these words`,
  written: t`words with fields`,
  color: "colour",
  media: t`of the library`,
  library: t`of the library, by name`,
  asTyped: t`as typed`,
  upper: t`CAPITALS`,
  lower: t`small letters`,
  title: t`Every Word`,
  fit: t`shrink to fit`,
  wrap: t`wrap, keep the size`,
  condense: t`narrow the letters`,
  clip: t`cut at the box`,
  start: t`start`,
  center: t`middle`,
  end: t`end`,
  soFar: t`those so far`,
  ofStep: t`those of the step`,
  always: t`always`,
  empty: t`a field is empty`,
  notEmpty: t`a field is not empty`,
  equals: t`a field says`,
  contains: t`a field has in it`,
  longerThan: t`a field is longer than`,
  number: t`a number is`,
  drawn: t`another object is shown`,
  notDrawn: t`another object is not shown`,
  all: t`all of these`,
  any: t`any of these`,
  atMost: t`at most`,
  atLeast: t`at least`,
  below: t`below`,
  above: t`over`,
  equal: t`equal to`,
};

export const wordFor = (name: string): string =>
  Object.hasOwn(WORDS, name)
    ? (WORDS[name] as string)
    : name.replace(/([a-z])([A-Z])/g, "$1 $2").toLowerCase();
