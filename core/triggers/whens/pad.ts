import { z } from "zod";
import { nameOfKey, padKeySchema } from "../../keys/keyMap.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({ kind: z.literal("pad"), key: padKeySchema });
type When = z.infer<typeof schema>;

export const padWhen: WhenKind<When> = {
  schema,
  name: "a key of a pad is pressed",
  sets: (when, happening) => happening.kind === "pad" && happening.key === when.key,
  ends: () => false,
  endSays: () => null,
  says: ({ key }) => `${nameOfKey(key)} is pressed`,
};
