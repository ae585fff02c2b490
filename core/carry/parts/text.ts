import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { Part } from "../part.ts";

const schema = z.strictObject({
  /** Its code. */
  id: nameSchema(40),
  name: z.string().max(200),
  language: z.string().max(40),
  /** What its owner wants said. */
  rights: z.string().max(2_000),
  /** The verses that are read in the evenings: book, chapter, verse, words. */
  verses: z
    .array(
      z.tuple([
        z.string().max(10),
        z.number().int().min(1).max(200),
        z.number().int().min(0).max(250),
        z.string().max(8_000),
      ]),
    )
    .max(40_000),
});
export type CarriedText = z.infer<typeof schema>;

/** A scripture text that the other machine may not have: of it only what is read goes along, with its rights. */
export const textPart: Part<CarriedText> = {
  one: t`text`,
  many: t`texts`,
  schema,
  nameOf: ({ name }) => name,
  aboutOf: ({ verses, rights }) =>
    t`${verses.length} verses that are read${rights === "" ? "" : `, ${rights}`}`.slice(0, 160),
  // A text that is here already has these verses, and more.
  essenceOf: ({ id }) => id,
};
