import type { FieldKind } from "./fieldKind.ts";
import { pictureKind } from "./picture.ts";

/** A sound of the library, by its id there. */
export const soundKind: FieldKind = { ...pictureKind, name: "Sound", media: "sound" };
