import { type Clip, clipSchema } from "../../clips/clip.ts";
import type { StoredKind } from "../storedKind.ts";

export const clipKind: StoredKind<Clip> = { name: "clip", schema: clipSchema, steps: [] };
