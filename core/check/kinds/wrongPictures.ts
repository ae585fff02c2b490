import { wrongMedia } from "../../findings/kinds/wrongMedia.ts";
import { saidByLayout } from "../saidByLayout.ts";

export const wrongPictures = saidByLayout(
  wrongMedia.code,
  "Pictures where clips belong, or clips where pictures do",
);
