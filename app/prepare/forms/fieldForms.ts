import type { FieldKindName } from "../../../core/scene/fieldKinds.ts";
import { ClipField } from "./fields/ClipField.tsx";
import { ColorField } from "./fields/ColorField.tsx";
import type { FieldForm } from "./fields/fieldForm.ts";
import { LineField } from "./fields/LineField.tsx";
import { LinesField } from "./fields/LinesField.tsx";
import { PictureField } from "./fields/PictureField.tsx";
import { RowsField } from "./fields/RowsField.tsx";

/** The form of each kind of field. */
export const FIELD_FORMS: Readonly<Record<FieldKindName, FieldForm>> = {
  line: LineField,
  lines: LinesField,
  rows: RowsField,
  picture: PictureField,
  clip: ClipField,
  color: ColorField,
};
