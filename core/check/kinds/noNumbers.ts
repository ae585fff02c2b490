import { notANumber } from "../../findings/kinds/notANumber.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const noNumbers = saidByLayout(notANumber.code, "Figures that are no numbers");
