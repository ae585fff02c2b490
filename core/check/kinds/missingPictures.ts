import { missingMedia } from "../../findings/kinds/missingMedia.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const missingPictures = saidByLayout(missingMedia.code, "Pictures or clips that are missing");
