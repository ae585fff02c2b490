import { t } from "../../language/t.ts";
import type { ColumnKind } from "./columnKind.ts";

const YES = /^(yes|y|true|x|✓|✔)$/i;
const NO = /^(no|n|false|-|–)$/i;

export const isYes = (text: string): boolean => YES.test(text.trim());

/** Yes or no; what is empty is no. */
export const yesNoColumn: ColumnKind = {
  name: t`Yes or no`,
  one: t`yes or no`,
  fits: (text) => isYes(text) || NO.test(text.trim()),
  compare: (first, second) => Number(isYes(second)) - Number(isYes(first)),
  isFound: true,
};
