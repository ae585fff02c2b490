import { useEffect, useMemo, useState } from "react";
import { fieldKind } from "../../core/scene/fieldKinds.ts";
import { type FieldSets, fieldNamesOf } from "../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { layOut } from "../../core/scene/layOut.ts";
import type { Template } from "../../core/scene/template.ts";
import { sampleValues } from "../../designs/samples.ts";
import type { Samples } from "../api/loaded.ts";
import type { Drawing } from "../live/drawing.ts";
import { fallbackFonts } from "../live/shaper.ts";

const NO_SAMPLES: Samples = { picture: null, clip: null };

/** Long after everything has arrived, and in the middle of what passes by. */
export const RESTING_MS = 9_000;

/** Templates with sample words, laid out in a style. */
export function useLaidOut(
  templates: readonly Template[],
  style: HouseStyle,
  drawing: Drawing,
  fieldSets: FieldSets,
  samples = NO_SAMPLES,
) {
  // Late and added fonts come when they come: what was laid out without them is laid out again.
  const [laidOutAnew, setLaidOutAnew] = useState(0);
  useEffect(() => drawing.onChange(() => setLaidOutAnew((count) => count + 1)), [drawing]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a font lays everything out again
  return useMemo(() => {
    const { picture, clip } = samples;
    const shown = (fieldSet: string): Record<string, string> => {
      const fields = fieldSets.get(fieldSet)?.fields ?? [];
      return Object.fromEntries(
        fields.flatMap(({ name, kind, hasStandIn }) => {
          const { media } = fieldKind(kind);
          const sample = media === "picture" ? picture : media === "video" ? clip : null;
          return sample && !hasStandIn ? [[name, sample.hash]] : [];
        }),
      );
    };
    const media = (hash: string) => [picture, clip].find((sample) => sample?.hash === hash)?.info;
    return templates.map((template) => {
      const fields = fieldSets.get(template.fieldSet);
      return layOut(
        template,
        { ...sampleValues(template.fieldSet), ...shown(template.fieldSet) },
        style,
        template.canvas,
        {
          media,
          shaper: drawing.shaper,
          fallbackFonts: fallbackFonts(),
          ...(fields && { fields: fieldNamesOf(fields) }),
          timeZone: drawing.timeZone,
        },
      );
    });
  }, [templates, style, drawing, fieldSets, samples, laidOutAnew]);
}
