import { z } from "zod";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { songKind } from "../../stored/kinds/song.ts";
import type { Part } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";

const schema = z.strictObject({
  id: nameSchema(60),
  doc: storedDoc(songKind),
  changedAtMs: z.number().int().min(0),
});
export type CarriedSong = z.infer<typeof schema>;

const firstLine = (text: string): string =>
  text
    .split("\n")
    .find((line) => line.trim() !== "")
    ?.trim() ?? "";

export const songPart: Part<CarriedSong> = {
  one: t`song`,
  many: t`songs`,
  schema,
  nameOf: ({ doc: { title, version } }) => `${title}${version === "" ? "" : ` (${version})`}`,
  aboutOf: ({ doc: { text } }) => {
    const lines = text.split("\n").filter((line) => line.trim() !== "").length;
    return `${lines} ${lines === 1 ? t`line` : t`lines`}`;
  },
  essenceOf: ({ doc }) => doc,
  twinOf: ({ doc }) => JSON.stringify([doc.title, doc.version, doc.text, doc.credits, doc.second]),
  differences: ({ doc: here }, { doc: there }) => [
    ...(here.title !== there.title ? [t`called “${there.title}” there`] : []),
    ...(here.text !== there.text ? [t`other words there: “${firstOther(here.text, there.text)}”`] : []),
    ...(JSON.stringify(here.credits) !== JSON.stringify(there.credits) ? [t`other credits there`] : []),
  ],
  another: ({ doc, ...song }, { id }) => ({
    ...song,
    id,
    doc: { ...doc, version: t`${doc.version} brought`.trim().slice(0, 80) },
  }),
};

/** The first line of what comes that does not stand in what is here. */
function firstOther(here: string, there: string): string {
  const ours = new Set(here.split("\n").map((line) => line.trim()));
  return (
    there
      .split("\n")
      .find((line) => line.trim() !== "" && !ours.has(line.trim()))
      ?.trim() ?? firstLine(there)
  ).slice(0, 60);
}
