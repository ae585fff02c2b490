import { noGlyph } from "../../findings/kinds/noGlyph.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingLetters = saidByLayout(noGlyph.code, "Letters that no font has");
