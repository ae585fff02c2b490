import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";

/** Whatever has letters may be sung. */
export const weighWords: Weigh = ({ text }) => {
  if (!/[\p{L}\p{N}]/u.test(text)) return { kind: "words", weight: -4, why: t`has no letters` };
  return { kind: "words", weight: 4, why: t`is sung` };
};
