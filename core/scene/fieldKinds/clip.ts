import type { FieldKind } from "./fieldKind.ts";
import { pictureKind } from "./picture.ts";

/** A clip of the library, by its id there. */
export const clipKind: FieldKind = { ...pictureKind, name: "Clip", media: "video" };
