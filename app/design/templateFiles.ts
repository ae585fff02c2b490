import { t } from "../../core/language/t.ts";
import type { Template } from "../../core/scene/template.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Answered } from "../api/call.ts";
import { sendFile } from "../api/sendFile.ts";

export interface Brought {
  readonly kind: "template" | "style";
  readonly name: string;
  /** What could not be read in it, or is missing here. */
  readonly problems: readonly string[];
}

/**
 * Sends the file of a template or house style, alone or packed with its pictures and fonts.
 * @param outfitId offers it, where it is a template
 * @param replaces key of the template in whose place it comes
 */
export async function bringDesign(
  outfitId: string,
  file: File,
  actor: string,
  replaces: string | null = null,
): Promise<Answered<Brought>> {
  const about = { outfit: outfitId, actor, ...(replaces !== null && { replaces }) };
  const answer = await sendFile<Brought>("/files/design", about, file).answer;
  return (
    answer ??
    problemOf(
      "unreachable",
      t`“${file.name}” could not be sent: the server cannot be reached, or the file is larger than 96 MB. Nothing was changed.`,
    )
  );
}

/** Where a template or house style lies with its pictures, clips and fonts. */
export const packAddress = (kind: "template" | "style", id: string): string =>
  `/files/design/${kind}/${encodeURIComponent(id)}`;

/** A template as a file in the open format. */
export const templateFile = (template: Template): { readonly name: string; readonly address: string } => ({
  name: `${template.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.template.json`,
  address: `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(template, null, 1))}`,
});
