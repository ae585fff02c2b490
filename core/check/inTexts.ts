import { t } from "../language/t.ts";
import { replaceInCue } from "../rundown/replaceWords.ts";
import type { FieldSets } from "../scene/fieldSet.ts";
import type { Found } from "./check.ts";
import type { CheckedCue } from "./checkedCue.ts";
import { changing } from "./mend.ts";
import { textsOf } from "./textsOf.ts";

/** What a text of a cue has, with its mend where there is one. */
export function inTexts(
  cue: CheckedCue,
  fieldSets: FieldSets,
  look: (text: string) => readonly { finding: Found["finding"]; find?: string; by?: string }[],
): Found[] {
  return textsOf(cue, fieldSets).flatMap(({ text, where }) =>
    look(text).map(({ finding, find, by }): Found => {
      const query = { find: find ?? "", matchCase: true, wholeWords: false };
      const mended =
        find !== undefined && by !== undefined ? replaceInCue(cue.doc, query, by, fieldSets) : undefined;
      return {
        finding: { ...finding, place: where },
        cueId: cue.cueId,
        mends: mended && mended.count > 0 ? [changing(cue, t`Write “${by}”`, mended.doc)] : [],
      };
    }),
  );
}
