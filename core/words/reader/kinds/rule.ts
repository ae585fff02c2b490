import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";

/** Lines of marks that part a text: "-----", "* * *", "♪". */
export const weighRule: Weigh = ({ text, typed }) =>
  !/[\p{L}\p{N}]/u.test(text) && !/^[?!.…'’"”]+$/.test(typed.trim())
    ? { kind: "rule", weight: 8, why: t`has no words, only marks` }
    : undefined;
