import { tooLongText } from "../../findings/kinds/tooLongText.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const cutTexts = saidByLayout(tooLongText.code, "Texts too long to be set");
