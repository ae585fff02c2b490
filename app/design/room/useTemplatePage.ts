import { useEffect, useMemo, useRef, useState } from "react";
import type { Finding } from "../../../core/findings/finding.ts";
import { type FieldSet, fieldNamesOf } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { LayOutMemory, layOut } from "../../../core/scene/layOut.ts";
import type { MediaInfo } from "../../../core/scene/media.ts";
import type { LaidOutPage } from "../../../core/scene/part.ts";
import type { Template } from "../../../core/scene/template.ts";
import type { Drawing } from "../../live/drawing.ts";
import { fallbackFonts } from "../../live/shaper.ts";

/** Pictures, clips and sounds of the library, by their hashes. */
export type MediaByHash = ReadonlyMap<string, MediaInfo>;

interface Asked {
  readonly template: Template;
  readonly values: Readonly<Record<string, string>>;
  readonly style: HouseStyle;
  readonly fieldSet: FieldSet | undefined;
  readonly media: MediaByHash;
  readonly drawing: Drawing;
  /** False: nobody looks at it now, and it stays as it was. */
  readonly isWanted?: boolean;
}

/** A template as it is being made, laid out with values: only what was changed is laid out again. */
export function useTemplatePage(asked: Asked): LaidOutPage {
  const { template, values, style, fieldSet, media, drawing, isWanted = true } = asked;
  const [memory, setMemory] = useState(() => new LayOutMemory());
  // A font that comes lays everything out again.
  useEffect(() => drawing.onChange(() => setMemory(new LayOutMemory())), [drawing]);
  const last = useRef<LaidOutPage>(undefined);
  return useMemo(() => {
    if (isWanted || !last.current)
      last.current = layOut(template, values, style, template.canvas, {
        memory,
        media: (hash) => media.get(hash),
        shaper: drawing.shaper,
        fallbackFonts: fallbackFonts(),
        timeZone: drawing.timeZone,
        ...(fieldSet && { fields: fieldNamesOf(fieldSet) }),
      });
    return last.current;
  }, [isWanted, template, values, style, memory, media, drawing, fieldSet]);
}

/** What people in the room would see amiss on a page, or what keeps it from being shown. */
export const problemsOf = ({ findings }: LaidOutPage): readonly Finding[] =>
  findings.filter(({ severity }) => severity !== "note");
