import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { lineKind } from "./line.ts";

/** Words on several lines. */
export const linesKind: FieldKind = { ...lineKind, name: t`Several lines` };
