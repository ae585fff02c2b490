import { type Outfit, outfitSchema } from "../../venue/outfit.ts";
import type { StoredKind } from "../storedKind.ts";

export const outfitKind: StoredKind<Outfit> = { name: "outfit", schema: outfitSchema, steps: [] };
