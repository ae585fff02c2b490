import { z } from "zod";
import { t } from "../../language/t.ts";
import type { WhenKind } from "./whenKind.ts";

/** An address as OSC has it: parts between slashes, without the characters that patterns use. */
export const oscAddressSchema = z
  .string()
  .max(120)
  .regex(/^\/[^\s#*,?[\]{}]+$/, "an address begins with / and has no spaces");

const schema = z.strictObject({
  kind: z.literal("message"),
  address: oscAddressSchema,
  /** Only with this first value, as it is typed; empty: with any. */
  value: z.string().max(80).default(""),
});
type When = z.infer<typeof schema>;

export const messageWhen: WhenKind<When> = {
  schema,
  name: t`a message comes, by OSC or HTTP`,
  sets: ({ address, value }, happening) =>
    happening.kind === "message" &&
    happening.address === address &&
    (value === "" || String(happening.args[0] ?? "") === value),
  ends: () => false,
  endSays: () => null,
  says: ({ address, value }) => t`${address}${value === "" ? "" : ` ${value}`} comes`,
};
