import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { Part } from "../part.ts";

const schema = z.strictObject({
  id: nameSchema(80),
  name: z.string().max(200),
  /** SHA-256 of its file. */
  file: z.string().regex(/^[0-9a-f]{64}$/),
});
export type CarriedFont = z.infer<typeof schema>;

export const fontPart: Part<CarriedFont> = {
  one: t`font`,
  many: t`fonts`,
  schema,
  nameOf: ({ name }) => name,
  aboutOf: () => t`added by file`,
  twinOf: ({ file }) => file,
  differences: () => [t`another file there`],
};
