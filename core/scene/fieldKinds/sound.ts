import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { pictureKind } from "./picture.ts";

/** A sound of the library, by its id there. */
export const soundKind: FieldKind = { ...pictureKind, name: t`Sound`, media: "sound" };
