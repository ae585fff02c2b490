import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const finding = defineFinding<{ readonly clip: string }>(
  "opaqueClip",
  "warning",
  ({ clip }) =>
    t`The clip “${clip}” has no transparency and lies over the picture, which nobody sees beneath it. Choose a clip with alpha, or key its colour in the library.`,
);

/** Most of a screen that a clip may cover and still be meant to lie over it. */
const PART = 0.9;

/** A clip without alpha over a picture. One that fills the screen is the picture itself. */
export const opaqueClip: Check = {
  code: finding.code,
  name: t`Clips without transparency`,
  stack: ({ pages, moment, evening }) =>
    pages.flatMap((page, at) => {
      if (page.cue.cueId !== moment.cue.cueId) return [];
      const { widthPx, heightPx, backdrop } = page.output;
      const hasPicture =
        backdrop === "transparent" || pages.slice(0, at).some((below) => below.boxes.length > 0);
      if (!hasPicture) return [];
      return page.videos.flatMap(({ hasAlpha, box, hash }) => {
        const isWhole = box.width >= widthPx * PART && box.height >= heightPx * PART;
        const isOver = page.layerId !== evening.layers[0]?.id;
        if (hasAlpha || !isOver || (isWhole && backdrop !== "transparent")) return [];
        const media = evening.documents.get(hash);
        const clip = media?.kind === "media" ? media.name : page.cue.title;
        return [
          {
            finding: finding(cueSubject(page.cue.cueId), { clip }),
            ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect: box },
          },
        ];
      });
    }),
};
