import type { FieldKindName } from "../../../core/scene/fieldKinds.ts";
import { ChoiceField } from "./fields/ChoiceField.tsx";
import { ClipField } from "./fields/ClipField.tsx";
import { ColorField } from "./fields/ColorField.tsx";
import type { FieldForm } from "./fields/fieldForm.ts";
import { LineField } from "./fields/LineField.tsx";
import { LinesField } from "./fields/LinesField.tsx";
import { NumberField } from "./fields/NumberField.tsx";
import { PictureField } from "./fields/PictureField.tsx";
import { RowsField } from "./fields/RowsField.tsx";
import { SoundField } from "./fields/SoundField.tsx";
import { TimeField } from "./fields/TimeField.tsx";
import { YesNoField } from "./fields/YesNoField.tsx";

/** The form of each kind of field. */
export const FIELD_FORMS: Readonly<Record<FieldKindName, FieldForm>> = {
  line: LineField,
  lines: LinesField,
  rows: RowsField,
  picture: PictureField,
  clip: ClipField,
  sound: SoundField,
  color: ColorField,
  number: NumberField,
  choice: ChoiceField,
  yesNo: YesNoField,
  time: TimeField,
};
