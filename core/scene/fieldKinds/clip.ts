import { t } from "../../language/t.ts";
import type { FieldKind } from "./fieldKind.ts";
import { pictureKind } from "./picture.ts";

/** A clip of the library, by its id there. */
export const clipKind: FieldKind = { ...pictureKind, name: t`Clip`, media: "video" };
