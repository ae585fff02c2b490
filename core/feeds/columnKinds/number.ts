import { parseNumber } from "../../figures/number.ts";
import { t } from "../../language/t.ts";
import type { ColumnKind } from "./columnKind.ts";

const numberIn = (text: string): number => parseNumber(text)?.value ?? 0;

/** A currency or a sign; a unit of a few letters. */
const BEFORE = /^[\p{Sc}\s~≈±]*$/u;
const AFTER = /^[\s\p{Sc}%‰°′″]*(?:\p{L}{1,8}[²³]?\.?)?\s*$/u;

/** A number, with what stands around it: "1,250", "£ 40", "12.5 %". */
export const numberColumn: ColumnKind = {
  name: t`Number`,
  one: t`a number`,
  // "Lane 4" is a name that ends in a number, "<b>4</b>" is rubbish.
  fits: (text) => {
    const number = parseNumber(text);
    return number !== undefined && BEFORE.test(number.before) && AFTER.test(number.after);
  },
  compare: (first, second) => numberIn(first) - numberIn(second),
  isFound: true,
};
