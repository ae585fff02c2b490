import { missingFont } from "../../findings/kinds/missingFont.ts";
import { missingMedia } from "../../findings/kinds/missingMedia.ts";
import { noGlyph } from "../../findings/kinds/noGlyph.ts";
import { notANumber } from "../../findings/kinds/notANumber.ts";
import { tooLongText } from "../../findings/kinds/tooLongText.ts";
import { unknownToken } from "../../findings/kinds/unknownToken.ts";
import { wrongMedia } from "../../findings/kinds/wrongMedia.ts";
import type { Check } from "../check.ts";

/** What laying a page out says by itself, each a check of its own. */
const said = (code: string, name: string): Check => ({
  code,
  name,
  page: ({ page }) =>
    page.findings
      .filter((finding) => finding.code === code)
      .map((finding) => {
        const box = [...page.words, ...page.boxes].find(({ objectId }) => objectId === finding.subject.id);
        return {
          finding: { ...finding, place: finding.subject.id },
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id },
          ...(box && { rect: box.rect }),
        };
      }),
});

export const missingPictures = said(missingMedia.code, "Pictures or clips that are missing");
export const wrongPictures = said(wrongMedia.code, "Pictures where clips belong, or clips where pictures do");
export const missingFonts = said(missingFont.code, "Fonts that are missing");
export const missingLetters = said(noGlyph.code, "Letters that no font has");
export const missingTokens = said(unknownToken.code, "Colours or fonts that the house style lacks");
export const cutTexts = said(tooLongText.code, "Texts too long to be set");
export const noNumbers = said(notANumber.code, "Figures that are no numbers");
