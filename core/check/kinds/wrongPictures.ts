import { wrongMedia } from "../../findings/kinds/wrongMedia.ts";
import { t } from "../../language/t.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const wrongPictures = saidByLayout(
  wrongMedia.code,
  t`Pictures where clips belong, or clips where pictures do`,
);
