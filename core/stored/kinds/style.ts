import { type HouseStyle, houseStyleSchema } from "../../scene/houseStyle.ts";
import type { StoredKind } from "../storedKind.ts";

export const styleKind: StoredKind<HouseStyle> = { name: "house style", schema: houseStyleSchema, steps: [] };
