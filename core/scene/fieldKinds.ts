import { choiceKind } from "./fieldKinds/choice.ts";
import { clipKind } from "./fieldKinds/clip.ts";
import { colorKind } from "./fieldKinds/color.ts";
import type { FieldKind } from "./fieldKinds/fieldKind.ts";
import { lineKind } from "./fieldKinds/line.ts";
import { linesKind } from "./fieldKinds/lines.ts";
import { numberKind } from "./fieldKinds/number.ts";
import { pictureKind } from "./fieldKinds/picture.ts";
import { rowsKind } from "./fieldKinds/rows.ts";
import { soundKind } from "./fieldKinds/sound.ts";
import { timeKind } from "./fieldKinds/time.ts";
import { yesNoKind } from "./fieldKinds/yesNo.ts";

/** Every kind of field. Another is a file in `fieldKinds/`, a line here, and its form in `app/prepare/forms/fields/`. */
export const FIELD_KINDS = {
  line: lineKind,
  lines: linesKind,
  rows: rowsKind,
  picture: pictureKind,
  clip: clipKind,
  sound: soundKind,
  color: colorKind,
  number: numberKind,
  choice: choiceKind,
  yesNo: yesNoKind,
  time: timeKind,
} as const satisfies Readonly<Record<string, FieldKind>>;

export type FieldKindName = keyof typeof FIELD_KINDS;
export const fieldKind = (name: FieldKindName): FieldKind => FIELD_KINDS[name];
