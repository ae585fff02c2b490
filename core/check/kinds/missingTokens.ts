import { unknownToken } from "../../findings/kinds/unknownToken.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingTokens = saidByLayout(unknownToken.code, t`Colours or fonts that the house style lacks`);
