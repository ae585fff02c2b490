import type { Cleaning } from "../../../../core/words/hygiene.ts";
import type { FieldFormProps } from "./fieldForm.ts";
import { LinesField } from "./LinesField.tsx";
import { KEPT } from "./useWordsBox.ts";

/** Tabs and dashes part cells here. */
const KEPT_IN_ROWS: readonly Cleaning[] = [...KEPT, "spaces", "dashes"];

export function RowsField(props: FieldFormProps) {
  return <LinesField {...props} kept={KEPT_IN_ROWS} />;
}
