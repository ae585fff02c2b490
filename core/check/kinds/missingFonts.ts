import { missingFont } from "../../findings/kinds/missingFont.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingFonts = saidByLayout(missingFont.code, t`Fonts that are missing`);
