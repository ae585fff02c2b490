import { missingMedia } from "../../findings/kinds/missingMedia.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingPictures = saidByLayout(missingMedia.code, t`Pictures or clips that are missing`);
