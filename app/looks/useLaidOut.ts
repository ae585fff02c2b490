import { useMemo } from "react";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { layOut } from "../../core/scene/layOut.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { Template } from "../../core/scene/template.ts";
import { sampleValues } from "../../designs/samples.ts";
import type { Drawing } from "../live/drawing.ts";
import { fallbackFonts } from "../live/shaper.ts";

/** A picture and a clip of the library, to show templates with; null where it has none. */
export interface Samples {
  readonly picture: Sample | null;
  readonly clip: Sample | null;
}
interface Sample {
  readonly hash: string;
  readonly info: MediaInfo;
}

const NO_SAMPLES: Samples = { picture: null, clip: null };

/** Long after everything has arrived, and in the middle of what passes by. */
export const RESTING_MS = 9_000;

/** Templates with sample words, laid out in a style. */
export function useLaidOut(
  templates: readonly Template[],
  style: HouseStyle,
  drawing: Drawing,
  samples = NO_SAMPLES,
) {
  return useMemo(() => {
    const { picture, clip } = samples;
    // The corner mark has a lamp of its own; these have nothing without a picture.
    const shown = (fieldSet: string): Record<string, string> =>
      fieldSet === "picture"
        ? { picture: picture?.hash ?? "" }
        : fieldSet === "clip" || fieldSet === "loop"
          ? { clip: clip?.hash ?? "" }
          : {};
    const media = (hash: string) => [picture, clip].find((sample) => sample?.hash === hash)?.info;
    return templates.map((template) =>
      layOut(
        template,
        { ...sampleValues(template.fieldSet), ...shown(template.fieldSet) },
        style,
        template.canvas,
        {
          media,
          shaper: drawing.shaper,
          fallbackFonts: fallbackFonts(),
          timeZone: drawing.timeZone,
        },
      ),
    );
  }, [templates, style, drawing, samples]);
}
