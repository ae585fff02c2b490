import { unknownToken } from "../../findings/kinds/unknownToken.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingTokens = saidByLayout(unknownToken.code, "Colours or fonts that the house style lacks");
