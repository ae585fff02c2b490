import { z } from "zod";
import { nameOfKey, padKeySchema } from "../../keys/keyMap.ts";
import { t } from "../../language/t.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({ kind: z.literal("pad"), key: padKeySchema });
type When = z.infer<typeof schema>;

export const padWhen: WhenKind<When> = {
  schema,
  name: t`a key of a pad is pressed`,
  sets: (when, happening) => happening.kind === "pad" && happening.key === when.key,
  ends: () => false,
  endSays: () => null,
  says: ({ key }) => t`${nameOfKey(key)} is pressed`,
};
