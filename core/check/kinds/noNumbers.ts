import { notANumber } from "../../findings/kinds/notANumber.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const noNumbers = saidByLayout(notANumber.code, t`Figures that are no numbers`);
