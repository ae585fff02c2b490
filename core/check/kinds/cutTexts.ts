import { tooLongText } from "../../findings/kinds/tooLongText.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const cutTexts = saidByLayout(tooLongText.code, t`Texts too long to be set`);
