import { missingFont } from "../../findings/kinds/missingFont.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingFonts = saidByLayout(missingFont.code, "Fonts that are missing");
