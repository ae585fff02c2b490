import { noGlyph } from "../../findings/kinds/noGlyph.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingLetters = saidByLayout(noGlyph.code, t`Letters that no font has`);
